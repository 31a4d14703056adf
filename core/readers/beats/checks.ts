import { hasFloor } from '../../parts/part/floor'
import { contextsIn } from '../../bag/design/partContexts'
import { isBase, wallPartOf } from '../../bag/draft/fold/draftPart'
import { risenCm } from '../../parts/part/rise'
import { relativeUncertainty } from '../../things/measure/length'
import type { Draft, DraftPart } from '../../bag/draft/draft'
import { type Countable, countable } from '../../bag/draft/replan/countCorrection'
import type { WorkedRound } from '../../things/round/workedRound'
import { floorWords } from '../words/floorWords'
import { tape } from '../../things/stitch/translate'
import { demandOf } from '../../parts/wall/wall'
import { type Beat, groupsIn } from './beat'
import type { Leg, Route } from './leg'

/** A count that is asked for when a round is done: how many it should be, of what, and how to count them. */
export interface CountAsked {
  readonly round: number
  readonly planned: number
  /** The thing that is counted: stitches by their V's, spaces, loops. */
  readonly what: Countable['what']
  readonly how: string
  /** Why it pays here. */
  readonly why: string
}

/** A measure that is asked for: of what, what it should be, in centimetres. */
export interface TapeAsked {
  readonly what: 'base-width' | 'base-length' | 'height' | 'flat-width'
  readonly plannedCm: number
  readonly plusMinusCm: number
  readonly how: string
}

/** "In sixes": a round of turns alike is counted by its turns. */
function inTurns(beats: readonly Beat[], number: number): string | undefined {
  const groups = groupsIn(beats)
  const each = number / groups
  return groups > 2 && Number.isInteger(each) && each > 1 && each <= 30 ? `${groups} times ${each}` : undefined
}

/** The chains over each handle or slot that a round has just left: they are no stitches yet. */
function overHandles({ edge, on }: WorkedRound): string | undefined {
  if (!edge.free || on.free) return undefined
  const runs = edge.free.map(({ from }) => edge.chains[from]!)
  return runs.every(chains => chains === runs[0]) ? `${runs.length === 1 ? '' : `${runs.length} times `}${runs[0]}` : runs.join(' and ')
}

/** How things are counted (craft 17; common practice, no source). */
function howToCount(worked: WorkedRound, what: Countable['what'], beats: readonly Beat[], number: number): string {
  const turns = inTurns(beats, number)
  const goes = turns ? ` It goes ${turns}.` : ''
  if (what === 'loops') return `Count the loops round the edge, the one at the hook too.${goes}`
  if (what === 'spaces') return `Count the spaces between the stitches.${goes}`
  const { join, begin } = worked.round
  const over = overHandles(worked)
  if (over) return `Count the V's on top between the handles; the chains are counted apart: ${over}.${goes}`
  if (join === 'open') return `Count the V's on top, from one end to the other; the last one is the one most often missed.${goes}`
  const chain = begin.counts ? ', the starting chain is one' : ''
  return `Count the V's on top, beginning at the marker${join === 'slip' ? `; the join is no stitch${chain}` : ''}.${goes}`
}

/** Rounds without any question after which a count pays again. */
const LONG_STRETCH = 10
/** Of the first rounds of a floor each is quickly counted; later every third. */
const EARLY_ROUNDS = 4
/** Fewer are seen at a glance. */
const WORTH_COUNTING = 15

/** A base is a floor only where the bag has one. */
function baseName({ size: { floor } }: DraftPart): string {
  return hasFloor(floor) ? 'The floor' : 'The base'
}

/** Whether a part works a repeat that a count must divide by: a texture, a net, a casing. */
function asksOfCount({ design, known: { gauge } }: Draft, part: DraftPart): boolean {
  const spec = wallPartOf(part)
  const asks = spec && demandOf(spec, contextsIn(design, gauge))?.asks
  return asks !== undefined && (asks.multiple > 1 || asks.plus !== 0 || asks.takes !== undefined)
}

/** Why a count pays before a part is begun. */
function whyBefore(draft: Draft, above: DraftPart): string | undefined {
  if (above.casing) return 'A casing comes next: its eyelets must come out.'
  if (above.net) return 'A net comes next: its loops must come out.'
  if (above.handles.length > 0 || above.grip) return 'Handles come next: they are placed by this count.'
  if (asksOfCount(draft, above)) return 'The next part works a repeat that must come out.'
  return changesCount(above) ? 'The next part adds or takes away stitches: it begins on this count.' : undefined
}

/** Why a count pays within a part of repeats: of its first round, in a net now and then, and at its end. */
function whyWithin(draft: Draft, part: DraftPart, inPart: number, last: boolean): string | undefined {
  const worked = part.rounds[inPart]!
  if (worked.edge.free && !worked.on.free) return 'The handles hang on this count: both sides of the bag alike.'
  if (part.casing && last) return 'Cords run through these eyelets: count them before the next round hides them.'
  if (part.net && (inPart === 0 || inPart % 3 === 2 || last)) return 'A loop is easily lost or won, and hard to find later.'
  if (inPart === 0 && asksOfCount(draft, part)) return 'The first round of repeats: every later one stands on it.'
  return undefined
}

/** Why a count pays when a round is done; nothing where it does not (handbook 16). */
function whyCount({ draft }: Route, part: DraftPart, number: number): string | undefined {
  const { worked } = draft.rounds[number - 1]!
  const inPart = number - part.firstRound
  const last = inPart === part.rounds.length - 1
  if (last && isBase(part)) return `${baseName(part)} is done: everything above stands on this count.`
  const above = draft.parts.slice(draft.parts.indexOf(part) + 1).find(({ rounds }) => rounds.length > 0)
  const before = last && above ? whyBefore(draft, above) : undefined
  const within = before ?? whyWithin(draft, part, inPart, last)
  if (within) return within
  if (changes(worked) && (inPart < EARLY_ROUNDS || inPart % 3 === 2 || last)) return 'Stitches were added or taken away in this round.'
  const plainBefore = part.net ? 0 : plainRun(part, inPart)
  return plainBefore > 0 && plainBefore % LONG_STRETCH === 0 ? `${plainBefore} plain rounds: a stitch is easily lost.` : undefined
}

/** Whether a part adds or takes away. */
function changesCount({ rounds }: DraftPart): boolean {
  return rounds.some(({ edge, on }) => edge.count !== on.count)
}

/** Whether a round adds or takes away, of more than are seen at a glance. */
function changes({ edge, on }: WorkedRound): boolean {
  return edge.count !== on.count && on.count > 1 && edge.count >= WORTH_COUNTING
}

/** How many rounds up to and with this one left the count as it was. */
function plainRun({ rounds }: DraftPart, inPart: number): number {
  let found = 0
  while (found <= inPart && rounds[inPart - found]!.edge.count === rounds[inPart - found]!.on.count) found++
  return found
}

/** The count that is asked for when a leg is done; nothing where it does not pay. */
export function countAfter(road: Route, leg: Leg): CountAsked | undefined {
  if (leg.sort !== 'round') return undefined
  const part = road.draft.parts.find(({ id }) => id === leg.part)!
  const why = whyCount(road, part, leg.number)
  return why === undefined ? undefined : countOf(leg, why)
}

/** The count of a round as it would be asked for. */
export function countOf(leg: Leg, why: string): CountAsked | undefined {
  if (leg.sort !== 'round' || !leg.worked) return undefined
  const { what, number } = countable(leg.worked)
  return { round: leg.number, planned: number, what, how: howToCount(leg.worked, what, leg.beats(), number), why }
}

/** Occasions for the tape when a leg is done: the end of the base, ten rounds of wall, a part's end (craft 17). */
export function tapeAfter({ draft }: Route, leg: Leg): TapeAsked | undefined {
  if (leg.sort !== 'round') return undefined
  const part = draft.parts.find(({ id }) => id === leg.part)!
  const inPart = leg.number - part.firstRound + 1
  const { floor } = part.size
  if (isBase(part)) {
    if (inPart < part.rounds.length || !hasFloor(floor)) return undefined
    return {
      what: 'base-width', plannedCm: floor.width.cm, plusMinusCm: floor.width.plusMinusCm,
      how: 'Lay it flat without stretching, and measure across the middle, the narrow way. '
        + `Planned: ${floorWords(floor, draft.design.units)}.`,
    }
  }
  const tenth = inPart === 10
  if ((!tenth && inPart < part.rounds.length) || part.size.height.cm < 2) return undefined
  const { cm, plusMinusCm } = heightAt(draft.parts, part, inPart)
  return {
    what: 'height', plannedCm: cm, plusMinusCm, how: `From the floor's edge up to the hook, lying flat. Planned: ${tape(cm)}.`,
  }
}

/** How tall the bag stands when so many rounds of a part are done. */
export function heightAt(
  parts: readonly DraftPart[],
  part: DraftPart,
  inPart: number,
): { readonly cm: number, readonly plusMinusCm: number } {
  const below = parts.slice(0, parts.indexOf(part))
  const own = risenCm(part, 0, inPart)
  return {
    cm: below.reduce((sum, { size }) => sum + size.height.cm, 0) + own,
    plusMinusCm: below.reduce((sum, { size }) => sum + size.height.plusMinusCm, 0) + own * relativeUncertainty(part.size.height),
  }
}
