import { type Draft, draft } from '../../bag/draft/draft'
import { causes } from '../../bag/draft/replan/drift'
import { roundName } from '../../bag/draft/roundName'
import { countable, type CountCorrection } from '../../bag/draft/replan/countCorrection'
import { capitalised } from '../../readers/words/numbers'
import type { Manner } from '../../readers/words/openingWords'
import type { CountDeed } from './event'
import { type InHand, uncounted } from './plan'
import { roundOf } from './state'
import type { MakeState, Trail } from './makeState'
import { betweenWords, lineIn, minutesWords, putRightWords, widthWords } from './diagnosisWords'

/** Remedies for a count that is not the planned one. */
export interface WayOn {
  readonly way: 'next-round' | 'nearest' | 'live-with-it' | 'rip-back'
  readonly what: string
  /** The one that shows least and costs least. */
  readonly recommended?: true
  /** The next round as it is then worked. */
  readonly nextRound?: string
  /** The event written down if it is chosen; of ripping back, the round that is gone back to. */
  readonly counted?: CountDeed
  readonly toRound?: number
}

/** Diagnosis of a count of another number, at the hook. */
interface Diagnosis {
  readonly round: number
  readonly planned: number
  readonly counted: number
  readonly what: 'stitches' | 'spaces' | 'loops'
  /** Where the mistake must lie: after the round whose count was last right. */
  readonly between: string
  readonly causes: readonly string[]
  readonly ways: readonly WayOn[]
}

/** Loss by ripping back to the end of a round. */
interface RipBackCost {
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

/** The last count before a round, as planned or not; none if nothing was counted. */
function lastCount({ counts }: Pick<MakeState, 'counts'>, round: number): CountDeed | undefined {
  const below = counts.filter(one => one.round < round)
  return below.reduce<CountDeed | undefined>((last, one) => (last && last.round > one.round ? last : one), undefined)
}

/** The same plan drafted from one count more. */
function draftWith({ plan, found, taken, draft: before }: InHand, one: CountCorrection): Draft {
  return draft(plan, { before, found: [...found.filter(({ round }) => round < one.round), one], taken })
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

/** Counts the loss by ripping back to the end of a round. */
export function lostBy({ road, at }: InHand, state: Pick<MakeState, 'trail' | 'legMinutes'>, toRound: number): RipBackCost {
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
  const marker = leg.worked.edge.closed ? 'its marker is in its first stitch' : 'its first stitch is at the edge'
  return `${capitalised(roundName(drafted, round))} has ${number} ${what}; ${marker}.${colour} It reads: ${line.words}.`
}

function yarnName({ design: { yarns } }: Draft, id: string): string {
  return yarns.find(yarn => yarn.id === id)?.name ?? id
}

function nextRoundWays(hand: InHand, round: number, planned: number, counted: number, manner: Manner): WayOn[] {
  if (round >= hand.draft.rounds.length) return []
  const event = (to: number): CountDeed => ({ do: 'counted', round, planned, found: counted, choice: 'next-round', to })
  const said = (drafted: Draft) => {
    const nextRound = lineIn(drafted, round + 1, manner)
    return nextRound ? { nextRound } : {}
  }
  const right = draftWith(hand, { round, count: counted, to: planned })
  if (stops(hand.draft) || !stops(right)) {
    const how = putRightWords(right, round + 1)
    return [{
      way: 'next-round', counted: event(planned), ...said(right),
      what: `Put it right in ${roundName(right, round + 1)}${how ? `: ${how}` : ''}. Everything above stays as planned.`,
    }]
  }
  const near = stops(draftWith(hand, { round, count: counted })) ? nearestThatDivides(hand, round, counted, planned) : undefined
  return near
    ? [{
        way: 'nearest', counted: event(near.to), ...said(near.drafted),
        what: `Bring it to ${near.to} in ${roundName(near.drafted, round + 1)}, the nearest count that everything above fits: `
          + `${widthWords(hand.draft, near.drafted)}.`,
      }]
    : []
}

function keptWays(hand: InHand, round: number, planned: number, counted: number): WayOn[] {
  const live = draftWith(hand, { round, count: counted })
  if (stops(live) && !stops(hand.draft)) return []
  const last = round === hand.draft.rounds.length
  return [{
    way: 'live-with-it', counted: { do: 'counted', round, planned, found: counted, choice: 'live-with-it' },
    what: last
      ? `Keep ${counted}: this is the last round, and nothing stands on it.`
      : `Keep ${counted}: everything above is planned on it, and ${widthWords(hand.draft, live)}.`,
  }]
}

/** Of fewer stitches no ring can be worked on: the first of the next round stands on all there is. */
const FEWEST_IN_A_RING = 3

/** Why only ripping back is left. */
function whyOnlyBack(hand: InHand, round: number, counted: number): string {
  if (counted < FEWEST_IN_A_RING) return ' Nothing else comes out: a ring of so few stitches cannot be worked on.'
  const stop = draftWith(hand, { round, count: counted }).findings.find(({ weight }) => weight === 'stop')
  return stop ? ` Nothing else comes out: ${stop.what}` : ''
}

/**
 * Diagnoses a round that is done and has another count than planned: where the mistake lies, and the ways on, the best first.
 *
 * @returns nothing if the count is as planned, or there is no such round
 */
export function diagnose(now: InHand, state: MakeState, round: number, counted: number, manner: Manner): Diagnosis | undefined {
  const hand = uncounted(now, round)
  const at = hand.draft.rounds[round - 1]
  if (!at) return undefined
  const { number: planned, what } = countable(at.worked)
  if (planned === counted) return undefined
  const part = hand.draft.parts.find(({ id }) => id === at.part)!
  const last = lastCount(state, round)
  const back = last?.round ?? round - 1
  const lost = lostBy(now, state, back)
  const isRing = !at.worked.edge.closed || counted >= FEWEST_IN_A_RING
  const ways = isRing ? [...nextRoundWays(hand, round, planned, counted, manner), ...keptWays(hand, round, planned, counted)] : []
  const all: readonly WayOn[] = [
    ...ways,
    {
      way: 'rip-back', toRound: back,
      what: `Rip back to ${back === 0 ? 'the start' : roundName(hand.draft, back)}: ${lost.stitches} stitches`
        + `${minutesWords(lost.minutes)} to work again.${ways.length === 0 ? whyOnlyBack(hand, round, counted) : ''}`,
    },
  ]
  return {
    round, planned, counted, what, between: betweenWords(hand.draft, last, round),
    causes: causes(hand.draft, part, round - part.firstRound + 1, counted - planned),
    ways: all.map((way, i) => (i === 0 ? { ...way, recommended: true } : way)),
  }
}
