import { flatness } from '../../parts/base/flatness'
import type { Measure } from '../../bag/design/measures'
import type { Design } from '../../bag/design/design'
import { type Draft, draft } from '../../bag/draft/draft'
import { holds, type Measurement } from '../../bag/draft/replan/measurements'
import type { CountChoice, KeptFigures, Lies, MakeEvent } from '../make/event'
import { expected } from '../make/expectedLength'
import { MakeLog } from '../make/fold'
import { formatCm, type Units } from '../../things/measure/format'
import { foundIn, type InHand, inHand, progressOf } from '../make/plan'
import type { MakeState } from '../make/state'
import type { FabricKind, StitchKind } from '../../things/stitch/dictionary'
import { metresOfRounds, yarnNeeds } from '../../bag/yarn/yarn'
import { workedRoundsOf, type Sitting, type WorkedLeg } from './workedRounds'
import { keyOf } from './paceKey'

/*
 * Facts of a make, about the bag and the hands that made it: what the logbook shows, and what is learnt from. It is worked out from the
 * events once, whenever there are new ones, and is all that is looked at of a bag after that.
 */

/** Changes when the facts are worked out otherwise, so that they are worked out anew. */
export const FACTS_VERSION = 2

/** How quickly a stitch went, alone or in a stitch pattern: rounds that a rest lay in are left out. */
export interface PaceFact {
  /** The stitch, and the pattern where it is one: `sc`, `sprigs in hdc`. */
  readonly key: string
  readonly kind: StitchKind
  readonly stitches: number
  readonly minutes: number
  readonly rounds: number
  /** Of these what was worked late in a sitting. */
  readonly late: { readonly stitches: number, readonly minutes: number }
}

/** A size as the plan said it before the first stitch, and as the tape did. */
export interface SizeFact {
  readonly what: Measure
  readonly part: string
  readonly round: number
  readonly rounds: number
  readonly saidCm: number
  readonly plusMinusCm: number
  readonly cm: number
}

/** The measure, in a word behind the part it was measured of. */
export const SIDE_WORDS: Readonly<Record<Measure, string>> = {
  'base-length': 'long', 'base-width': 'across', 'flat-width': 'wide', 'height': 'floor to hook', 'part-height': 'tall',
}

/** A stitch as large as finished work said, beside the swatch. */
export interface TensionFact {
  readonly key: string
  readonly kind: FabricKind
  readonly side: 'width' | 'height'
  readonly cm: number
  readonly swatchCm: number
  readonly error: number
  /** How far into the bag, 0 to 1. */
  readonly along: number
}

/** Predicted and weighed use of a yarn. */
interface YarnFact {
  readonly yarn: string
  readonly name: string
  readonly saidMetres: number
  readonly grams: number
  /** Whether the whole bag was weighed, or a stretch of it. */
  readonly whole: boolean
}

/** A count that was not the planned one. */
interface CountFact {
  readonly round: number
  readonly planned: number
  readonly found: number
  readonly choice: CountChoice
}

/** Something that was changed on the way, in words. */
interface ChangeFact {
  readonly at: number
  readonly what: string
}

/** Facts of a make. */
export interface BagFacts {
  readonly version: number
  readonly name: string
  readonly bag?: string
  readonly begun: number
  readonly finished?: number
  readonly lastAt: number
  readonly words: string
  readonly share: number
  readonly minutes: number
  readonly sittings: readonly Sitting[]
  /** Unit of the maker's tape. */
  readonly units: Units
  readonly hookMm: number
  readonly strands: number
  readonly gaugeFrom: 'swatch' | 'craft' | 'you'
  readonly yarns: readonly { readonly id: string, readonly name: string, readonly colour: string }[]
  readonly forWhom: string
  readonly yarnUsed: string
  readonly notes: string
  readonly rounds: { readonly done: number, readonly planned: number, readonly begun: number }
  readonly stitches: number
  readonly ripped: MakeState['ripped']
  /** When rounds were done, and the ripping back. */
  readonly timeline: readonly { readonly at: number, readonly round: number }[]
  readonly pace: readonly PaceFact[]
  readonly sizes: readonly SizeFact[]
  readonly tension: readonly TensionFact[]
  readonly yarn: readonly YarnFact[]
  readonly counted: number
  readonly off: readonly CountFact[]
  readonly changed: readonly ChangeFact[]
  /** Of a bag that came in by a table: what the table says of it. Nothing is learnt from it. */
  readonly kept?: KeptFigures
  readonly floor?: { readonly lies: Lies, readonly increases: number, readonly ratio: number, readonly kind: FabricKind }
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

/** Predictions before anything was measured, of the length that the tape was laid on: so many rounds of that part. */
function saidAtFirst(made: Draft, planned: Draft, round: number, what: Measure): ReturnType<typeof expected> {
  const part = made.parts.find(one => holds(one, round))
  const then = planned.parts.find(({ id }) => id === part?.id)
  const rounds = part ? round - part.firstRound + 1 : 0
  return then && rounds <= then.rounds.length ? expected(planned, then.firstRound - 1 + rounds, what) : undefined
}

function sizesOf(state: MakeState, made: Draft, planned: Draft): SizeFact[] {
  return state.measured.flatMap((one): SizeFact[] => {
    if (one.do !== 'measured') return []
    const said = saidAtFirst(made, planned, one.round, one.what)
    if (!said) return []
    return [
      {
        what: one.what, part: said.part.name, round: one.round, rounds: said.rounds, saidCm: said.length.cm,
        plusMinusCm: said.length.plusMinusCm, cm: one.cm,
      },
    ]
  })
}

function tensionOf(measured: Draft): TensionFact[] {
  const all = Math.max(1, measured.rounds.length)
  return measured.stages.stages.flatMap(({ seen }) => seen).map(({ kind, texture, side, cm, error, round }) => ({
    key: texture ? `${texture} in ${kind}` : kind, kind, side, cm, swatchCm: measured.swatchGauge[kind][side].cm, error,
    along: Math.min(1, round / all),
  }))
}

/** A stretch of the bag that was weighed: after one round, up to another. */
interface WeighedStretch {
  readonly grams: number
  readonly from: number
  readonly to: number
  readonly at: number
}

/** Weights of a yarn: of the work itself, or what was left of the yarn first and last. */
function weighedStretch(state: MakeState, planned: Draft, yarn: string): WeighedStretch | undefined {
  const all = state.weighed.filter(one => one.yarn === yarn)
  const round = (one: (typeof all)[number]) => one.round ?? roundAt(state, planned)
  const work = all.filter(one => one.of === 'work').at(-1)
  if (work) return { grams: work.grams, from: 0, to: round(work), at: work.at }
  const left = all.filter(one => one.of !== 'work')
  const [first, last] = [left[0], left.at(-1)]
  if (!first || !last || first === last) return undefined
  return { grams: first.grams - last.grams, from: round(first), to: round(last), at: last.at }
}

/** Predicted yarn of what was weighed, and its weight. */
function yarnFact(state: MakeState, planned: Draft, yarn: Design['yarns'][number]): YarnFact[] {
  const stretch = weighedStretch(state, planned, yarn.id)
  if (!stretch) return []
  const { grams, from, to, at } = stretch
  const whole = state.finishedAt !== undefined && at >= state.finishedAt && from === 0
  const saidMetres = whole
    ? (yarnNeeds(planned).find(one => one.yarn.id === yarn.id)?.metres ?? 0)
    : metresOfRounds(planned, yarn.id, from + 1, to)
  return grams > 0 && saidMetres > 0 ? [{ yarn: yarn.id, name: yarn.name, saidMetres, grams, whole }] : []
}

/** The round at which something was done that did not say so itself: the one that the hook had come to. */
function roundAt({ trail }: MakeState, planned: Draft): number {
  for (let one = trail; one; one = one.before) {
    const number = /^r(\d+)$/.exec(one.leg)?.[1]
    if (number) return Number(number)
  }
  return planned.rounds.length
}

function floorOf(state: MakeState, measured: Draft): BagFacts['floor'] {
  const looked = state.looked.at(-1)
  const [base] = measured.parts
  if (!looked || !base || base.from.in !== 'base' || base.size.floor?.shape !== 'disc' || base.rounds.length < 2) return undefined
  const increases = base.rounds.at(-1)!.edge.count - base.rounds.at(-2)!.edge.count
  if (increases < 1) return undefined
  const { stitch } = base.from.spec
  return { lies: looked.lies, increases, ratio: flatness(increases, measured.gauge[stitch]).ratio, kind: stitch }
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

/** Facts of the bag itself, and the maker's words. */
type LoggedFacts = Pick<BagFacts, 'units' | 'hookMm' | 'strands' | 'gaugeFrom' | 'yarns' | 'forWhom' | 'yarnUsed' | 'notes'>

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

/** The figures of a bag's line in the logbook: those of its table, if it came in by one, else as it was worked. */
export function lineFigures({ kept, sittings, minutes, rounds, stitches, ripped, off }: BagFacts): KeptFigures {
  return kept ?? { sittings: sittings.length, minutes, rounds: rounds.done, stitches, ripped: ripped.rounds, off: off.length }
}
