import type { Gauge, StitchSize } from '../../things/gauge/gauge'
import { type Evidence, perStitch } from '../../things/gauge/refine'
import { times } from '../../things/measure/length'
import type { Finding } from '../part/finding'
import type { Floor } from '../part/floor'
import type { LayOut } from '../part/layOut'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type Setting, stopped } from '../part/part'
import type { Start } from '../part/start'
import { foundationOf, withSides } from '../../things/round/edge'
import { startingChains } from '../../things/round/style'
import { type BaseChoice, countsWithin, increasesToTry, offBy, roundsWithin } from './baseChoice'
import { FLOOR_LOOKS, growingNotes } from './circle'
import { endMiddles, sideMarkers, type Stretches } from './ends'
import { flatnessFinding } from './flatness'
import { form, sizesLike, type TapeMeasurement } from './form'
import { meanStitch, reachCm, stitchOfRound } from './inStitches'
import { floorWanted, isWithin, longOff } from './lyingFlat'
import { type EndPlan, endStitches, type OvalCounts, ovalRounds } from './ovalRounds'
import { endsAcross, endsOf, floorOf, foundationRow, growthTold, ovalCounts, perEndOf } from './ovalSizes'
import { fields, type OvalSpec } from './ovalSpec'
import { stadiumLayOut } from './stadium'

/** A chain start needs a chain for every side stitch, one at each end, and the turning chain (craft 5). */
function startOf(spec: OvalSpec, counts: OvalCounts, stitch: StitchSize, turning: number): Start {
  const working = counts.sideStitches + 2
  // About 1 cm more than wanted on a 26 cm base (craft 4; common practice).
  const beforeCm = working * stitch.width.cm * (1 + 1 / 26)
  // As many chains as a stitch is tall, and the one that the first of them stands on.
  if (spec.start === 'foundation-side')
    return { kind: 'foundation-side', chains: startingChains(stitchOfRound(spec, 1), true) + 1 }
  return spec.start === 'chain'
    ? { kind: 'foundation-chain', chains: working + Math.max(1, turning), firstInto: Math.max(1, turning) + 1, beforeCm }
    : { kind: 'foundation-sc', chains: working }
}

/** Works an oval floor from its foundation out. */
function workOval(spec: OvalSpec, setting: Setting): PartResult {
  const { gauge } = setting
  const counts = ovalCounts(spec, gauge)
  const stitch = meanStitch(spec, counts.rounds, gauge)
  const ends = endsOf(spec, gauge)
  const floor = floorOf(counts, ends, stitch, foundationRow(spec, gauge))
  const edgeCount = 2 * counts.sideStitches + endStitches(ends, counts.rounds)
  const around = times(gauge[stitchOfRound(spec, counts.rounds)].width, edgeCount)
  const size = { height: times(stitch.height, 0), circumference: around, floor }
  if (counts.rounds > MOST_ROUNDS || edgeCount * counts.rounds > MOST_STITCHES) {
    return stopped(foundationOf([{ kind: 'chain', count: 1 }]), size, {
      code: 'base-too-big', weight: 'stop',
      what: `This base would take ${counts.rounds.toLocaleString('en')} rounds of up to ${edgeCount.toLocaleString('en')} stitches. `
        + 'Ask for a smaller base, or check the swatch.',
    })
  }
  const { rounds, stretches, stop } = ovalRounds(spec, counts, ends, setting)
  const last = rounds.length - 1
  const wrong = last >= 0 && rounds[last]!.round.facing === 'wrong'
  const edge = rounds[last]?.edge
  return {
    rounds, bagNotes: growingNotes(spec), looks: FLOOR_LOOKS,
    edge: edge ? withSides(edge, endMiddles(stretches[last]!, edge, wrong)) : foundationOf([{ kind: 'chain', count: 1 }]), size,
    findings: [endFinding(spec, ends, stitch, counts.rounds), ...(stop ? [stop] : [])],
    start: startOf(spec, counts, stitch, rounds[0]?.round.begin.chains ?? 0), layOut: ovalLayOut(spec, counts, stretches, floor, gauge),
    markers: stretches.map((names, r) => sideMarkers(names, rounds[r]!.round.facing === 'wrong')),
    advice: [
      'Markers go in the first and the last stitch of both sides; move them up every round. Side stitches stay plain, only the ends grow.',
    ],
  }
}

/** The two ends together are a disc: they lie flat or not by the same ratio. */
function endFinding(spec: OvalSpec, ends: EndPlan, stitch: StitchSize, rounds: number): Finding {
  const perEnd = Math.max(1, Math.round(endStitches(ends, rounds) / 2 / rounds))
  const finding = flatnessFinding(2 * perEnd, spec.stitch, stitch, stitch.height.cm * rounds, 2)
  const better = perEndOf({ perEnd: 'by-gauge', noneFlat: 'more' }, stitch)
  const { fix: _, ...bare } = finding
  const what = finding.what.replace(`With ${2 * perEnd} increases a round the base`, `With ${perEnd} increases at each end the base`)
  const uneven = spec.laterBy !== undefined || spec.firstStitches !== undefined
  if (finding.code === 'base-flat' || better === perEnd || uneven) return { ...bare, what }
  return { ...bare, what, fix: { label: `Use ${better} increases at each end`, changes: [{ path: ['perEnd'], value: better }] } }
}

/** Where an oval's stitches lie: sides on straight lines, ends on half circles, which reach as wide as the floor is. */
function ovalLayOut(spec: OvalSpec, counts: OvalCounts, stretches: readonly Stretches[], floor: Floor, gauge: Gauge): LayOut {
  const half = (counts.sideStitches * meanStitch(spec, counts.rounds, gauge).width.cm) / 2
  const drawn = floor.width.cm / 2 / (reachCm(spec, counts.rounds, gauge) || 1)
  return stadiumLayOut(half, rounds => drawn * reachCm(spec, rounds, gauge), counts, stretches)
}

/** A measured oval tells both the width and the height of its stitches, if it is longer than wide. */
function evidence(
  spec: OvalSpec,
  { sideStitches, rounds }: OvalCounts,
  { lengthCm, widthCm }: TapeMeasurement,
  { gauge }: Setting,
): Evidence | undefined {
  if (widthCm === undefined || lengthCm <= widthCm) return undefined
  const foundation = spec.start === 'foundation-sc' ? 1 : 0
  const [own, mean] = [gauge[spec.stitch], meanStitch(spec, rounds, gauge)]
  // As many of its own stitch as side and rounds are long.
  const across = sideStitches * (mean.width.cm / own.width.cm)
  const out = 2 * rounds * (mean.height.cm / own.height.cm)
  return { kind: spec.stitch, width: perStitch(lengthCm - widthCm, across), height: perStitch(widthCm, out + foundation) }
}

/** Every oval within a tolerance of a wanted length and width. */
function choices(spec: OvalSpec, { gauge }: Setting, toleranceCm: number): BaseChoice[] {
  const foundation = foundationRow(spec, gauge)
  const { sideStitches: side, rounds: now } = ovalCounts(spec, gauge)
  const is = floorOf({ sideStitches: side, rounds: now }, endsOf(spec, gauge), meanStitch(spec, now, gauge), foundation)
  const asked = 'pin' in spec.size ? { lengthCm: is.length.cm, widthCm: is.width.cm } : spec.size.want
  const wanted = floorWanted('stadium', asked)
  return increasesToTry(spec.perEnd, gauge[spec.stitch], true).flatMap((perEnd) => {
    const tried: OvalSpec = { ...spec, ...growthTold(spec, gauge), perEnd }
    const ends = endsOf(tried, gauge)
    const across = (rounds: number) => endsAcross(rounds, ends, meanStitch(tried, rounds, gauge)).cm
    const choiceOf = (sideStitches: number, rounds: number): BaseChoice => {
      const floor = floorOf({ sideStitches, rounds }, ends, meanStitch(tried, rounds, gauge), foundation)
      const stitches = 2 * sideStitches + endStitches(ends, rounds)
      return {
        base: { ...tried, size: { pin: { sideStitches, rounds } } }, stitches,
        ...offBy(
          longOff(asked, floor.length.cm, stitches * gauge[spec.stitch].width.cm),
          { size: 'width', cm: floor.width.cm - wanted.widthCm },
        ),
      }
    }
    return roundsWithin(wanted.widthCm, toleranceCm, rounds => across(rounds) + (foundation?.cm ?? 0)).flatMap(rounds =>
      countsWithin(wanted.lengthCm, toleranceCm, meanStitch(tried, rounds, gauge).width.cm, across(rounds))
        .map(sides => choiceOf(sides, rounds)),
    )
  }).filter(choice => isWithin(choice, toleranceCm))
}

/** An oval floor (craft 5, oval). */
export const oval = form({
  form: 'oval', name: 'oval', does: 'A straight foundation with a half disc at each end: only the ends grow.', fields,
  begins: (like) => {
    const { longerCm, widthCm } = sizesLike(like)
    return { size: { want: { lengthCm: longerCm, widthCm } }, noneFlat: 'more' as const }
  },
  work: workOval, increases: (spec, gauge) => 2 * perEndOf(spec, gauge[spec.stitch]),
  withIncreases: (spec, increases) => ({ ...spec, perEnd: Math.round(increases / 2) }), ends: 2,
  nearestIncreases: increases => 2 * Math.max(2, Math.round(increases / 2)), measures: 'length-and-width', evidence, choices,
})
