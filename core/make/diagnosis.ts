import { type Draft, draft } from '../draft/draft'
import { causes } from '../draft/drift'
import { countable, type CountCorrection } from '../draft/countCorrection'
import { tape } from '../stitch/tell'
import { saidLine } from '../words/lines'
import type { Manner } from '../words/say'
import type { Counted } from './event'
import type { InHand } from './plan'
import { type MakeState, roundOf, type Trail } from './state'

/** What can be done about a count that is not the planned one. */
export interface WayOn {
  readonly way: 'next-round' | 'nearest' | 'live-with-it' | 'rip-back'
  readonly what: string
  /** The next round as it is then worked. */
  readonly nextRound?: string
  /** What is written down if it is chosen; of ripping back, the round that is gone back to. */
  readonly counted?: Counted
  readonly toRound?: number
}

/** What a count of another number means, at the hook. */
export interface Diagnosis {
  readonly round: number
  readonly planned: number
  readonly counted: number
  readonly what: 'stitches' | 'spaces' | 'loops'
  /** Where the mistake must lie: after the round whose count was last right. */
  readonly between: string
  readonly causes: readonly string[]
  readonly ways: readonly WayOn[]
}

/** What is lost by ripping back to the end of a round. */
export interface Lost {
  readonly rounds: number
  readonly stitches: number
  /** Minutes that they took, where the log knows. */
  readonly minutes: number
}

/** Counts this far off are looked at for one that comes out. */
const NEAREST_WITHIN = 8

function stops({ findings }: Draft): boolean {
  return findings.some(({ weight }) => weight === 'stop')
}

/** The last round before this one whose count is known, as planned or lived with; 0 if none was counted. */
export function lastRight({ counts }: Pick<MakeState, 'counts'>, round: number): number {
  return counts.reduce((last, one) => (one.round < round ? Math.max(last, one.round) : last), 0)
}

function betweenWords(right: number, round: number): string {
  if (right === 0) return `No round below was counted yet: the mistake may lie anywhere up to round ${round}.`
  if (right === round - 1) return `Round ${right} was right, so the mistake lies in round ${round}.`
  return `Round ${right} was counted and right, so the mistake lies in rounds ${right + 1} to ${round}.`
}

/** The same plan drafted from one count more. */
function draftWith({ plan, found, taken, draft: before }: InHand, one: CountCorrection): Draft {
  return draft(plan, before, [...found.filter(({ round }) => round < one.round), one], taken)
}

function lineIn(drafted: Draft, round: number, manner: Manner): string | undefined {
  const at = drafted.rounds[round - 1]
  const part = at && drafted.parts.find(({ id }) => id === at.part)
  if (!at || !part) return undefined
  const { words, count } = saidLine(drafted, part, at, manner)
  return `${words}. ${count}`
}

/** What changes at the mouth. */
function mouthWords(before: Draft, after: Draft): string {
  const by = after.sizes.flatWidth.cm - before.sizes.flatWidth.cm
  if (Math.abs(by) < 0.05) return 'the bag stays as wide as planned'
  return `the bag comes out ${tape(Math.abs(by))} ${by > 0 ? 'wider' : 'narrower'} lying flat`
}

/** The count nearest to what was found that everything above comes out on, if the next round brings it there. */
function nearestThatDivides(hand: InHand, round: number, counted: number, planned: number): { to: number, drafted: Draft } | undefined {
  for (let by = 0; by <= NEAREST_WITHIN; by++) {
    for (const to of by === 0 ? [counted] : [counted + by, counted - by]) {
      if (to === planned || to === counted || to < 1) continue
      const drafted = draftWith(hand, { round, count: counted, to })
      if (!stops(drafted)) return { to, drafted }
    }
  }
  return undefined
}

/** What ripping back to the end of a round loses. */
export function lostBy({ road, at }: InHand, state: Pick<MakeState, 'trail' | 'legMinutes'>, toRound: number): Lost {
  let minutes = state.legMinutes
  for (let trail: Trail | undefined = state.trail; trail && (roundOf(trail.leg) ?? Infinity) > toRound; trail = trail.before)
    minutes += trail.minutes
  const gone = road.legs.slice(0, at.index + 1).filter(leg => leg.sort === 'round' && leg.number > toRound)
  const whole = gone.filter(leg => leg !== at.leg)
  const part = at.leg && gone.includes(at.leg) && at.done > 0 ? at.leg.beats()[at.done - 1]!.to : 0
  return {
    rounds: whole.length + (part > 0 ? 1 : 0), stitches: whole.reduce((sum, leg) => sum + leg.worked!.edge.count, 0) + part, minutes,
  }
}

/** How a round is known again when rows are pulled out: its count, its marker, what is special in it. */
export function knownBy({ road, draft: drafted }: InHand, round: number, manner: Manner): string {
  if (round === 0) return 'Down to the very start.'
  const leg = road.legs[road.at.get(`r${round}`) ?? -1]
  if (!leg?.worked) return ''
  const line = leg.line(manner)!
  const { number, what } = countable(leg.worked)
  const above = drafted.rounds[round]?.worked.round
  const own = leg.worked.round
  const colour = above && above.colour !== own.colour ? ` It is the last round in ${yarnName(drafted, own.colour)}.` : ''
  return `Round ${round} has ${number} ${what}; its marker is in its first stitch.${colour} It reads: ${line.words}.`
}

function yarnName({ design: { yarns } }: Draft, id: string): string {
  return yarns.find(yarn => yarn.id === id)?.name ?? id
}

function nextRoundWays(hand: InHand, round: number, planned: number, counted: number, manner: Manner): WayOn[] {
  const ways: WayOn[] = []
  const event = (to: number): Counted => ({ do: 'counted', round, planned, found: counted, choice: 'next-round', to })
  const right = draftWith(hand, { round, count: counted, to: planned })
  const next = round < hand.draft.rounds.length
  const asPlanned = next && !stops(right)
  const asBefore = !stops(hand.draft) ? asPlanned : next
  if (asBefore) {
    const words = lineIn(right, round + 1, manner)
    ways.push({
      way: 'next-round', what: `Put it right in round ${round + 1}: then all above stays as planned.`, counted: event(planned),
      ...(words ? { nextRound: words } : {}),
    })
  }
  const near = next && stops(draftWith(hand, { round, count: counted })) ? nearestThatDivides(hand, round, counted, planned) : undefined
  if (near) {
    const words = lineIn(near.drafted, round + 1, manner)
    ways.push({
      way: 'nearest', what: `Go to ${near.to} in round ${round + 1}, the nearest that everything above comes out on: `
        + `${mouthWords(hand.draft, near.drafted)}.`,
      counted: event(near.to), ...(words ? { nextRound: words } : {}),
    })
  }
  return ways
}

/**
 * What it means that a maker counts another number than planned in a round that is done, and the ways on.
 *
 * @returns nothing if the count is as planned, or there is no such round
 */
export function diagnose(hand: InHand, state: MakeState, round: number, counted: number, manner: Manner): Diagnosis | undefined {
  const at = hand.draft.rounds[round - 1]
  if (!at) return undefined
  const { number: planned, what } = countable(at.worked)
  if (planned === counted) return undefined
  const part = hand.draft.parts.find(({ id }) => id === at.part)!
  const live = draftWith(hand, { round, count: counted })
  const right = lastRight(state, round)
  const back = right > 0 ? right : round - 1
  const lost = lostBy(hand, state, back)
  const ways: WayOn[] = [
    ...nextRoundWays(hand, round, planned, counted, manner),
    ...(stops(live) && !stops(hand.draft)
      ? []
      : [{
          way: 'live-with-it' as const, what: `Live with it: what is still to come is drafted from ${counted}, and `
            + `${mouthWords(hand.draft, live)}.`,
          counted: { do: 'counted', round, planned, found: counted, choice: 'live-with-it' } as const,
        }]),
    {
      way: 'rip-back', toRound: back,
      what: `Rip back to ${back === 0 ? 'the start' : `round ${back}`}: ${lost.stitches} stitches${minutesWords(lost.minutes)} to work `
        + 'again.',
    },
  ]
  return {
    round, planned, counted, what, between: betweenWords(right, round),
    causes: causes(hand.draft, part, round - part.firstRound + 1, counted - planned), ways,
  }
}

/** Minutes in brackets, where there are any. */
function minutesWords(minutes: number): string {
  return minutes < 1 ? '' : ` (about ${Math.round(minutes)} min)`
}
