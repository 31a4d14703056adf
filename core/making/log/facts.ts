import type { Measure } from '../../bag/design/measures'
import type { Design } from '../../bag/design/design'
import { type Draft, draft } from '../../bag/draft/draft'
import type { Measurement } from '../../bag/draft/replan/measurements'
import type { MakeEvent } from '../make/event'
import { MakeLog } from '../make/fold'
import { formatCm, type Units } from '../../things/measure/format'
import { foundIn, type InHand, inHand, progressOf } from '../make/plan'
import type { MakeState } from '../make/makeState'
import { workedRoundsOf, type WorkedLeg } from './workedRounds'
import { keyOf } from './paceKey'
import type { BagFacts, ChangeFact, LoggedFacts, PaceFact } from './bagFacts'
import { floorOf, sizesOf, tensionOf, yarnFact } from './measuredFacts'

/*
 * Facts of a make, about the bag and the hands that made it: what the logbook shows, and what is learnt from. It is worked out from the
 * events once, whenever there are new ones, and is all that is looked at of a bag after that.
 */

/** Changes when the facts are worked out otherwise, so that they are worked out anew. */
export const FACTS_VERSION = 2

/** The measure, in a word behind the part it was measured of. */
export const SIDE_WORDS: Readonly<Record<Measure, string>> = {
  'base-length': 'long', 'base-width': 'across', 'flat-width': 'wide', 'height': 'floor to hook', 'part-height': 'tall',
}

/** Late in a sitting: so many minutes into it. */
const LATE_MIN = 45

/** More points than this no chart needs. */
const MOST_POINTS = 240

/** A leg this many times slower or quicker than the middle one had something in it that was no work. */
const ODD_LEG = 1.6

function middle(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[values.length >> 1] ?? 0
}

/** The pace of every stitch: rounds with a rest in them, and those that took much more or less than usual, say nothing of it. */
function paceOf(legs: readonly WorkedLeg[], drafted: Draft): PaceFact[] {
  const sound = legs.filter(({ broken, stitches, minutes }) => !broken && stitches > 0 && minutes > 0)
  const byKey = new Map<string, WorkedLeg[]>()
  for (const leg of sound) {
    const key = keyOf(drafted, leg.part, leg.kind)
    byKey.set(key, [...(byKey.get(key) ?? []), leg])
  }
  return [...byKey].map(([key, all]): PaceFact => {
    const usual = middle(all.map(({ minutes, stitches }) => minutes / stitches))
    const own = all.filter(({ minutes, stitches }) => Math.abs(Math.log(minutes / stitches / usual)) < Math.log(ODD_LEG))
    const sum = (list: readonly WorkedLeg[], what: 'stitches' | 'minutes') => list.reduce((total, leg) => total + leg[what], 0)
    const late = own.filter(({ into }) => into >= LATE_MIN)
    return {
      key, kind: all[0]!.kind, stitches: sum(own, 'stitches'), minutes: sum(own, 'minutes'), rounds: own.length,
      late: { stitches: sum(late, 'stitches'), minutes: sum(late, 'minutes') },
    }
  })
}

/** Everything that was measured of rounds that still stand, written down for the record too. */
function allTaken({ measured }: MakeState): Measurement[] {
  return measured.flatMap((one): Measurement[] => {
    if (one.do === 'leaned') return [{ round: one.round, leanPerTen: one.perTen }]
    if (one.do === 'stretched') return [{ round: one.round, strip: one.strip }]
    return [{ round: one.round, what: one.what, cm: one.cm, ...(one.redrafts ? {} : { keepsPlan: true }) }]
  })
}

/** Changes on the way: of counts and measures those that hold, for an earlier word that was corrected changed nothing. */
function changesOf(events: readonly MakeEvent[], { counts, measured }: MakeState, units: Units): ChangeFact[] {
  const holding = new Set([...counts, ...measured].map(({ id }) => id))
  return events.flatMap((event): ChangeFact[] => {
    const corrected = ['counted', 'measured', 'leaned', 'stretched'].includes(event.do) && !holding.has(event.id)
    const said = corrected ? undefined : saidChange(event, units)
    return said ? [{ at: event.at, what: said }] : []
  })
}

function saidChange(event: MakeEvent, units: Units): string | undefined {
  switch (event.do) {
    case 'replanned': return event.why || 'the plan was changed'
    case 'ripped': return event.toRound === 0 ? 'ripped back to the start' : `ripped back to round ${event.toRound}`
    case 'counted':
      if (event.choice === 'live-with-it') return `round ${event.round} has ${event.found}, not ${event.planned}: lived with`
      return event.choice === 'next-round' ? `round ${event.round} had ${event.found}, put right in the next` : undefined
    case 'measured':
      return event.redrafts
        ? `measured ${formatCm(event.cm, units)} (${SIDE_WORDS[event.what]}) after round ${event.round}: the rest was planned by it`
        : undefined
    case 'leaned': return `the seam leaned ${event.perTen} stitches in ten rounds: the sides were moved`
    case 'noted': return event.text
    default: return undefined
  }
}

function thinned<T>(list: readonly T[]): readonly T[] {
  const step = Math.ceil(list.length / MOST_POINTS)
  return step <= 1 ? list : list.filter((_, i) => i % step === 0 || i === list.length - 1)
}

function timelineOf(events: readonly MakeEvent[]): { readonly at: number, readonly round: number }[] {
  return events.flatMap((event) => {
    if (event.do === 'started') return [{ at: event.at, round: 0 }]
    if (event.do === 'ripped') return [{ at: event.at, round: event.toRound }]
    const number = event.do === 'moved' && event.to.beats === 'all' ? /^r(\d+)$/.exec(event.to.leg)?.[1] : undefined
    return number ? [{ at: event.at, round: Number(number) }] : []
  })
}

function writtenOf(state: MakeState, plan: Design): LoggedFacts {
  const { gauge, units, yarns } = plan
  return {
    units, hookMm: state.wrote.hookMm ?? gauge.hookMm, strands: gauge.strands,
    gaugeFrom: gauge.learnt ? 'you' : gauge.assumed ? 'craft' : 'swatch',
    yarns: yarns.map(({ id, name, colour }) => ({ id, name, colour })), forWhom: state.wrote.forWhom ?? '',
    yarnUsed: state.wrote.yarnUsed ?? '', notes: state.wrote.notes ?? '',
  }
}

function roundsDone({ road, at: { index } }: InHand): number {
  return road.legs.slice(0, index).filter(({ sort }) => sort === 'round').length
}

function stitchesDone({ road, at: { index } }: InHand): number {
  return road.legs.slice(0, index).reduce((sum, { worked }) => sum + (worked?.edge.count ?? 0), 0)
}

/** Facts of a make, from everything that happened; nothing as long as it is not known which bag was taken up. */
export function bagFacts(events: readonly MakeEvent[]): BagFacts | undefined {
  const log = new MakeLog(events)
  const { state } = log
  const hand = inHand(state)
  if (!hand || !state.plan) return undefined
  const holding = log.holding
  const planned = draft(state.plan, { found: foundIn(state) })
  const measured = draft(state.plan, { found: foundIn(state), taken: allTaken(state) })
  const { legs, sittings } = workedRoundsOf(holding, hand)
  const progress = progressOf(hand, state.finishedAt !== undefined)
  const begunWith = holding.find(event => event.do === 'started')
  const floor = floorOf(state, measured)
  return {
    version: FACTS_VERSION, name: state.plan.name, ...(state.bag ? { bag: state.bag } : {}), begun: state.startedAt ?? 0,
    ...(state.finishedAt === undefined ? {} : { finished: state.finishedAt }), lastAt: holding.at(-1)?.at ?? 0, words: progress.words,
    share: progress.share, minutes: state.minutes, sittings, ...writtenOf(state, state.plan),
    rounds: {
      done: roundsDone(hand), planned: hand.draft.rounds.length,
      begun: begunWith?.do === 'started' && begunWith.plan !== state.plan ? draft(begunWith.plan).rounds.length : planned.rounds.length,
    },
    stitches: stitchesDone(hand), ripped: state.ripped, timeline: thinned(timelineOf(holding)), pace: paceOf(legs, hand.draft),
    sizes: sizesOf(state, hand.draft, planned), tension: tensionOf(measured),
    yarn: planned.design.yarns.flatMap(yarn => yarnFact(state, planned, yarn)), counted: state.counts.length,
    off: state.counts.filter(({ found, planned: due }) => found !== due)
      .map(({ round, planned: due, found, choice }) => ({ round, planned: due, found, choice })),
    changed: changesOf(holding, state, state.plan.units), ...(floor ? { floor } : {}),
    ...(state.wrote.kept ? { kept: state.wrote.kept } : {}),
  }
}
