import { isDisc } from '../../parts/part/floor'
import { flatness } from '../../parts/base/flatness'
import type { Measure } from '../../bag/design/measures'
import type { Design } from '../../bag/design/design'
import type { Draft } from '../../bag/draft/draft'
import { holds } from '../../bag/draft/replan/measurements'
import { expected } from '../make/expectedLength'
import type { MakeState } from '../make/makeState'
import { metresOfRounds, yarnNeeds } from '../../bag/yarn/yarn'
import type { BagFacts, SizeFact, TensionFact, YarnFact } from './bagFacts'

/** Predictions before anything was measured, of the length that the tape was laid on: so many rounds of that part. */
function saidAtFirst(made: Draft, planned: Draft, round: number, what: Measure): ReturnType<typeof expected> {
  const part = made.parts.find(one => holds(one, round))
  const then = planned.parts.find(({ id }) => id === part?.id)
  const rounds = part ? round - part.firstRound + 1 : 0
  return then && rounds <= then.rounds.length ? expected(planned, then.firstRound - 1 + rounds, what) : undefined
}

export function sizesOf(state: MakeState, made: Draft, planned: Draft): SizeFact[] {
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

export function tensionOf(measured: Draft): TensionFact[] {
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
export function yarnFact(state: MakeState, planned: Draft, yarn: Design['yarns'][number]): YarnFact[] {
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

export function floorOf(state: MakeState, measured: Draft): BagFacts['floor'] {
  const looked = state.looked.at(-1)
  const [base] = measured.parts
  if (!looked || !base?.from.base || !isDisc(base.size.floor) || base.rounds.length < 2) return undefined
  const increases = base.rounds.at(-1)!.edge.count - base.rounds.at(-2)!.edge.count
  if (increases < 1) return undefined
  const { stitch } = base.from
  return { lies: looked.lies, increases, ratio: flatness(increases, measured.gauge[stitch]).ratio, kind: stitch }
}
