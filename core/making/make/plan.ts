import { routeOf } from '../../readers/beats/route'
import { placeOfLeg, type Route } from '../../readers/beats/leg'
import { type HookPosition, hookPositionAt } from '../../readers/beats/position'
import type { Design } from '../../bag/design/design'
import { same } from '../../things/measure/same'
import { type Draft, draft } from '../../bag/draft/draft'
import type { CountCorrection } from '../../bag/draft/replan/countCorrection'
import { roundName } from '../../bag/draft/roundName'
import type { Measurement } from '../../bag/draft/replan/measurements'
import { capitalised } from '../../readers/words/numbers'
import type { ValuesOf } from '../../parts/field/spec'
import type { MakeEvent, Spot } from './event'
import type { PROGRESS_FIELDS } from './fields'
import { stateOf } from './fold'
import { roundOf } from './state'
import type { MakeState } from './makeState'

/** The make in hand: the plan drafted from the counts that were lived with, its route, and where on it the hook is. */
export interface InHand {
  readonly plan: Design
  readonly found: readonly CountCorrection[]
  readonly taken: readonly Measurement[]
  readonly draft: Draft
  readonly road: Route
  readonly at: HookPosition
}

/** The counts of a make that its plan is drafted from: those that are not as planned. */
export function foundIn({ counts }: Pick<MakeState, 'counts'>): CountCorrection[] {
  return counts
    .filter(({ choice }) => choice !== 'as-planned')
    .map(({ round, found, to }) => ({ round, count: found, ...(to === undefined ? {} : { to }) }))
    .sort((a, b) => a.round - b.round)
}

/** Measurements of a make that its plan is drafted by: all that were not written down for the record alone. */
export function takenIn({ measured }: Pick<MakeState, 'measured'>): Measurement[] {
  return measured.flatMap((one): Measurement[] => {
    if (one.do === 'leaned') return [{ round: one.round, leanPerTen: one.perTen }]
    if (one.do === 'stretched') return [{ round: one.round, strip: one.strip }]
    return one.redrafts ? [{ round: one.round, what: one.what, cm: one.cm }] : []
  })
}

/** Where the hook is on a road: of a leg that a changed plan no longer has, after the last one done that it still has. */
function spotOn(road: Route, { spot, trail }: MakeState): Spot {
  if (placeOfLeg(road, spot.leg) !== undefined || roundOf(spot.leg) !== undefined) return spot
  let known = trail
  while (known && placeOfLeg(road, known.leg) === undefined) known = known.before
  return known ? { leg: known.leg, beats: 'all' } : spot
}

/**
 * The plan of a make and where the hook is in it; nothing as long as it is not known what was taken up.
 *
 * @param before what was in hand before: as long as plan and counts stay, only the hook moves
 */
export function inHand(state: MakeState, before?: InHand): InHand | undefined {
  const { plan } = state
  if (!plan) return undefined
  const found = foundIn(state)
  const taken = takenIn(state)
  if (before && before.plan === plan && same(before.found, found) && same(before.taken, taken))
    return { ...before, at: hookPositionAt(before.road, spotOn(before.road, state)) }
  const drafted = draft(plan, { before: before?.draft, found, taken })
  const road = routeOf(drafted)
  return { plan, found, taken, draft: drafted, road, at: hookPositionAt(road, spotOn(road, state)) }
}

/** The bag as it would be had this round not been counted yet, nor any above: what a count of it is held against. */
export function uncounted(hand: InHand, round: number): InHand {
  const found = hand.found.filter(one => one.round < round)
  if (found.length === hand.found.length) return hand
  const drafted = draft(hand.plan, { before: hand.draft, found, taken: hand.taken })
  const road = routeOf(drafted)
  const index = road.at.get(hand.at.leg?.id ?? '') ?? hand.at.index
  return { ...hand, found, draft: drafted, road, at: { ...hand.at, index, leg: road.legs[index] } }
}

/** How far a make is, for lists. */
export type Progress = ValuesOf<typeof PROGRESS_FIELDS>

function wordsOf({ draft, at: { leg } }: InHand, finished: boolean): string {
  if (finished) return 'Finished'
  if (!leg) return 'All is done'
  if (leg.sort === 'round') return `${capitalised(roundName(draft, leg.number))} of ${leg.of}, ${leg.title}`
  return leg.sort === 'row' ? `${leg.title}, row ${leg.number}` : leg.title
}

/** How far the hook is on its road. */
export function progressOf(hand: InHand, finished: boolean): Progress {
  const { road, at: { leg, index }, draft: { rounds } } = hand
  const done = road.legs.slice(0, index).filter(({ sort }) => sort === 'round').length
  return {
    round: leg?.sort === 'round' ? leg.number : done, of: rounds.length, share: finished ? 1 : shareDone(road, index),
    words: wordsOf(hand, finished), ...(finished ? { finished } : {}),
  }
}

/** How far a make is by all that happened to it; nothing of one that was never taken up. */
export function progressIn(events: readonly MakeEvent[]): Progress | undefined {
  const state = stateOf(events)
  const hand = inHand(state)
  return hand && progressOf(hand, state.finishedAt !== undefined)
}

/** Weight of told steps beside stitches. */
const STEP_WEIGHT = 20

function weightOf({ worked }: Route['legs'][number]): number {
  return worked ? worked.edge.count : STEP_WEIGHT
}

function shareDone({ legs }: Route, index: number): number {
  const sum = (list: Route['legs']) => list.reduce((all, leg) => all + weightOf(leg), 0)
  return sum(legs.slice(0, index)) / Math.max(1, sum(legs))
}
