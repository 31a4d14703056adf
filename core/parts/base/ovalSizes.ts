import type { Gauge, StitchSize } from '../../things/gauge/gauge'
import { type Length, plus, times } from '../../things/measure/length'
import type { Floor } from '../part/floor'
import { MOST_ROUNDS } from '../part/part'
import { flatIncreases, gaugeIncreases, type NoneFlat } from './flatness'
import { type InStitch, type InStitches, meanStitch, saidOf, stitchOfRound } from './inStitches'
import { type FloorWanted, floorWanted } from './lyingFlat'
import { alikeEnds, type EndPlan, endStitches, type OvalCounts } from './ovalRounds'

/*
 * How large an oval is: what its ends gain, the floor that counts come to, and the counts that come nearest to a floor.
 */

/** Answers that the questions look at of one another. */
export interface OvalSizeAnswers extends InStitches {
  readonly perEnd: number | 'by-gauge'
  readonly noneFlat?: NoneFlat
  readonly firstStitches?: readonly (InStitch & { readonly grows?: number })[]
}

/** Questions of an oval, as far as its counts and sizes follow from it. */
export interface OvalAsked extends OvalSizeAnswers {
  readonly size: { readonly pin: OvalCounts } | { readonly want: FloorWanted }
  readonly start: string
  readonly nearEnd?: 'one' | 'half' | 'whole'
  readonly farEnd?: number
  readonly laterBy?: number
}

/** The stitches that each end gains a round, in this gauge: half a disc's. */
export function perEndOf(spec: Pick<OvalSizeAnswers, 'perEnd' | 'noneFlat'>, stitch: StitchSize): number {
  if (spec.perEnd !== 'by-gauge') return spec.perEnd
  // The nearest is that of the nearest whole disc; half of an odd one is the larger half.
  if (spec.noneFlat !== 'more') return Math.max(2, Math.round(flatIncreases(stitch) / 2))
  return gaugeIncreases(stitch, 2, 'more') / 2
}

/** Gain of each end in the `r`-th round as far as it follows the round's stitch, or what is said of that. */
function perEndIn(spec: OvalSizeAnswers, r: number, gauge: Gauge): number {
  return saidOf(spec.firstStitches, r)?.grows ?? perEndOf(spec, gauge[stitchOfRound(spec, r)])
}

/** The first rounds in other stitches, with what their ends gain in them said. */
export function growthTold({ perEnd, noneFlat, firstStitches }: OvalSizeAnswers, gauge: Gauge): Pick<OvalSizeAnswers, 'firstStitches'> {
  const asked = { perEnd, ...(noneFlat ? { noneFlat } : {}) }
  return firstStitches
    ? { firstStitches: firstStitches.map(one => ({ ...one, grows: one.grows ?? perEndOf(asked, gauge[one.stitch]) })) }
    : {}
}

/**
 * The floor that counts come to: as wide as a disc of those rounds, as long as that and the side stitches, by craft 5:
 * `width = 2Rh`, `length = S·w + 2Rh`. A row of foundation sc adds its own height.
 */
export function ovalFloor(counts: OvalCounts, perEnd: number, stitch: StitchSize, foundation?: Length): Floor {
  return floorOf(counts, alikeEnds(perEnd), stitch, foundation)
}

/** The two ends laid together are a disc, as wide as its rounds reach, or where it has too little edge as that allows. */
export function endsAcross(rounds: number, ends: EndPlan, stitch: StitchSize): Length {
  const edge = endStitches(ends, rounds)
  return rounds > 0 && (edge * stitch.width.cm) / (2 * Math.PI * rounds * stitch.height.cm) < 1
    ? times(stitch.width, edge / Math.PI)
    : times(stitch.height, 2 * rounds)
}

/** The same of ends that may differ, or grow otherwise than they began. */
export function floorOf(counts: OvalCounts, ends: EndPlan, stitch: StitchSize, foundation?: Length): Floor {
  const disc = endsAcross(counts.rounds, ends, stitch)
  const width = foundation ? plus(disc, foundation) : disc
  return { shape: 'stadium', length: plus(times(stitch.width, counts.sideStitches), disc), width }
}

/**
 * The counts whose floor comes nearest to a wanted one: the least sum of squares of what length and width miss. For each
 * number of rounds only one number of side stitches can be best, so all rounds are tried whose width alone is not worse
 * than the best so far.
 *
 * @param meanOf the mean stitch of so many rounds
 */
export function countsForOval(
  want: { lengthCm: number, widthCm: number },
  perEnd: number | EndPlan,
  meanOf: (rounds: number) => StitchSize,
  foundation?: Length,
): OvalCounts {
  const ends = typeof perEnd === 'number' ? alikeEnds(perEnd) : perEnd
  let best: OvalCounts = { sideStitches: 1, rounds: 1 }
  let least = Infinity
  for (let rounds = 1; rounds <= MOST_ROUNDS; rounds++) {
    const stitch = meanOf(rounds)
    const bare = floorOf({ sideStitches: 0, rounds }, ends, stitch, foundation)
    const missWidth = bare.width.cm - want.widthCm
    if (missWidth > 0 && missWidth * missWidth > least) break
    const sideStitches = Math.max(1, Math.round((want.lengthCm - bare.length.cm) / stitch.width.cm))
    const missLength = bare.length.cm + sideStitches * stitch.width.cm - want.lengthCm
    const miss = missLength * missLength + missWidth * missWidth
    if (miss < least) {
      least = miss
      best = { sideStitches, rounds }
    }
  }
  return best
}

/** The ends of an oval spec. */
export function endsOf(spec: OvalAsked, gauge: Gauge): EndPlan {
  const { nearEnd = 'one', farEnd, laterBy } = spec
  const perEnd = perEndIn(spec, 1, gauge)
  const alike = [perEndOf(spec, gauge[spec.stitch]), ...(growthTold(spec, gauge).firstStitches ?? []).map(({ grows }) => grows)]
    .every(grows => grows === perEnd)
  const first = { one: 1, half: Math.max(1, Math.floor(perEnd / 2)), whole: perEnd }[nearEnd]
  return {
    near: perEnd, first, far: farEnd ?? perEnd, gains: r => laterBy ?? perEndIn(spec, r, gauge),
    halves: (farEnd ?? perEnd) === perEnd && (laterBy === undefined ? alike : laterBy === perEnd),
  }
}

/** A row of foundation sc adds its own height to the width. */
export function foundationRow({ start }: OvalAsked, gauge: Gauge): Length | undefined {
  return start === 'foundation-sc' ? gauge.sc.height : undefined
}

/** The counts that an oval spec comes to in this gauge. */
export function ovalCounts(spec: OvalAsked, gauge: Gauge): OvalCounts {
  if ('pin' in spec.size) return spec.size.pin
  const { want: wanted } = spec.size
  const ends = endsOf(spec, gauge)
  const nearest = countsForOval(floorWanted('stadium', wanted), ends, rounds => meanStitch(spec, rounds, gauge), foundationRow(spec, gauge))
  if ('lengthCm' in wanted) return nearest
  // So many stitches along each side as bring the edge nearest to the width lying flat.
  const sides = wanted.flatWidthCm / gauge[spec.stitch].width.cm - endStitches(ends, nearest.rounds) / 2
  return { ...nearest, sideStitches: Math.max(1, Math.round(sides)) }
}
