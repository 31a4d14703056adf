import { between, choice, count, countOr, length, optional, pin, want, ways } from '../field/ask'
import { DIAMETER_CM, PINNED_ROUNDS } from '../field/bounds'
import { told } from '../field/field'
import { type Now, tenths } from '../field/now'
import type { Gauge, StitchSize } from '../gauge/gauge'
import { type Evidence, perStitch } from '../gauge/refine'
import { type Length, plus, times } from '../measure/length'
import type { Finding } from '../part/finding'
import type { Floor } from '../part/floor'
import type { LayOut } from '../part/layOut'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type Setting, stopped } from '../part/part'
import type { Start } from '../part/start'
import { foundationOf, withSides } from '../round/edge'
import { startingChains } from '../round/style'
import { type BaseChoice, countsWithin, increasesToTry, offBy, roundsWithin } from './choice'
import { FLOOR_LOOKS, DECIDES, GROWING, growingNotes } from './circle'
import { endMiddles, sideMarkers, type Stretches } from './ends'
import { flatIncreases, flatnessFinding } from './flatness'
import { form, type FormSpec, sizesLike, type Taped } from './form'
import { firstStitches, type InStitch, type InStitches, meanStitch, reachCm, saidOf, stitchOfRound } from './inStitches'
import { alikeEnds, type EndPlan, endStitches, type OvalCounts, ovalRounds } from './ovalRounds'
import { FLAT_AND_WIDE, floorWanted, isWithin, longOff } from './lyingFlat'
import { stadiumLayOut } from './stadium'

/** What a base's length and width are now. */
const sizesNow = (_: object, { part }: Now) => ({
  lengthCm: tenths(part?.size.floor?.length.cm ?? 20, DIAMETER_CM),
  widthCm: tenths(part?.size.floor?.width.cm ?? 10, DIAMETER_CM),
})

/** A floor wanted by its length and width. */
export const LENGTH_AND_WIDTH = want(
  'a size',
  {
    lengthCm: length('Length of the floor', DIAMETER_CM, { usually: between(1, 50) }),
    widthCm: length('Width of the floor', DIAMETER_CM, { usually: between(1, 30) }),
  },
  { does: DECIDES.want, from: sizesNow },
)

/** What the questions look at of one another's answers. */
interface Answered extends InStitches {
  readonly perEnd: number | 'by-gauge'
  readonly firstStitches?: readonly (InStitch & { readonly grows?: number })[]
}

/** The counts it comes to now. */
function countsNow(spec: object, { gauge }: Now): OvalCounts {
  return ovalCounts(spec as OvalSpec, gauge)
}

const fields = {
  size: ways('You give', [
    LENGTH_AND_WIDTH,
    FLAT_AND_WIDE,
    pin(
      'counts',
      {
        sideStitches: count('Side stitches', between(1, 600), { usually: between(1, 40) }),
        rounds: count('Rounds', PINNED_ROUNDS, { usually: between(1, 12) }),
      },
      {
        does: DECIDES.pin, from: countsNow,
        sets: (spec: Answered, { gauge }) => ({ perEnd: perEndOf(spec, gauge[spec.stitch]), ...growthTold(spec, gauge) }),
      },
    ),
  ]),
  perEnd: countOr('by-gauge', 'Increases at each end, a round', between(2, 24), {
    usually: between(2, 8), says: 'Stitches in each end of round 1, and the number that each end gains a round.',
    orDoes: told((spec: Answered, { gauge }) => `${perEndOf({ perEnd: 'by-gauge' }, gauge[spec.stitch])} lie flattest in this gauge.`),
    taught: [
      { value: 3, name: '3', does: 'Half of the school of six.' },
      { value: 4, name: '4', does: 'Half of the school of eight: the ends may warp a little.' },
      { value: 5, name: '5', does: 'Between the schools: used in {hdc.name}.' },
      { value: 6, name: '6', does: 'Half of twelve: usual for {dc.name}.' },
    ],
  }),
  start: choice(
    'Start with',
    [
      { value: 'chain', name: 'a chain', does: 'Worked along, around its end, and back along its underside.' },
      {
        value: 'foundation-sc', name: 'foundation {sc}',
        does: 'Chain and first row in one: even, and it does not draw in. Adds a row to the width.',
      },
      {
        value: 'foundation-side', name: 'a foundation that is the first side',
        does: 'Chain and stitch in one, along the first side; round 1 goes on round its end and back along its underside.',
      },
    ],
    { begins: 'chain' },
  ),
  nearEnd: optional(
    choice(
      'The near end is begun with',
      [
        { value: 'one', name: 'one stitch', does: 'The rest of it comes when the round is back.' },
        { value: 'half', name: 'half of it', does: 'The round begins at the middle of the end: the start lies at the side of the bag.' },
        { value: 'whole', name: 'all of it at once', does: 'Then the first side; nothing is left for the end of the round.' },
      ],
    ),
  ),
  farEnd: optional(
    count('Stitches of the far end in round 1, if other', between(1, 24), {
      usually: between(2, 8), says: 'Stitches of the far end in the first round, where it has more or fewer than the near one.',
    }),
  ),
  laterBy: optional(
    count('Increases at each end in later rounds, if other', between(1, 24), {
      usually: between(1, 6),
      says: 'Increases that each end has in every round after the first, where they are more or fewer; 1 is a single one.',
    }),
  ),
  firstStitches: firstStitches('First rounds in other stitches', 'rounds', {
    grows: optional(
      count('Increases at each end, if other', between(1, 24), {
        usually: between(1, 12),
        says: 'What each end has in round 1, and gains in these rounds unless another number is asked for in all later ones.',
      }),
    ),
  }),
  ...GROWING,
} as const

export type { OvalCounts } from './ovalRounds'

/** An oval floor as the maker asks for it: a rectangle with a half disc at each end (craft 5, oval). */
export type OvalSpec = FormSpec<'oval', typeof fields>

/** The stitches that each end gains a round, in this gauge: half a disc's. */
export function perEndOf(spec: { readonly perEnd: number | 'by-gauge' }, stitch: StitchSize): number {
  return spec.perEnd === 'by-gauge' ? Math.max(2, Math.round(flatIncreases(stitch) / 2)) : spec.perEnd
}

/** What each end gains in the `r`-th round as far as it follows the round's stitch, or what is said of that. */
function perEndIn(spec: Answered, r: number, gauge: Gauge): number {
  return saidOf(spec.firstStitches, r)?.grows ?? perEndOf(spec, gauge[stitchOfRound(spec, r)])
}

/** The first rounds in other stitches, with what their ends gain in them said. */
function growthTold({ perEnd, firstStitches }: Answered, gauge: Gauge): Pick<Answered, 'firstStitches'> {
  return firstStitches
    ? { firstStitches: firstStitches.map(one => ({ ...one, grows: one.grows ?? perEndOf({ perEnd }, gauge[one.stitch]) })) }
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
function endsAcross(rounds: number, ends: EndPlan, stitch: StitchSize): Length {
  const edge = endStitches(ends, rounds)
  return rounds > 0 && (edge * stitch.width.cm) / (2 * Math.PI * rounds * stitch.height.cm) < 1
    ? times(stitch.width, edge / Math.PI)
    : times(stitch.height, 2 * rounds)
}

/** The same of ends that may differ, or grow otherwise than they began. */
function floorOf(counts: OvalCounts, ends: EndPlan, stitch: StitchSize, foundation?: Length): Floor {
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

/** The ends of an oval spec. */
function endsOf(spec: OvalSpec, gauge: Gauge): EndPlan {
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
function foundationRow({ start }: OvalSpec, gauge: Gauge): Length | undefined {
  return start === 'foundation-sc' ? gauge.sc.height : undefined
}

/** The counts that an oval spec comes to in this gauge. */
export function ovalCounts(spec: OvalSpec, gauge: Gauge): OvalCounts {
  if ('pin' in spec.size) return spec.size.pin
  const { want: wanted } = spec.size
  const ends = endsOf(spec, gauge)
  const nearest = countsForOval(floorWanted('stadium', wanted), ends, rounds => meanStitch(spec, rounds, gauge), foundationRow(spec, gauge))
  if ('lengthCm' in wanted) return nearest
  // So many stitches along each side as bring the edge nearest to the width lying flat.
  const sides = wanted.flatWidthCm / gauge[spec.stitch].width.cm - endStitches(ends, nearest.rounds) / 2
  return { ...nearest, sideStitches: Math.max(1, Math.round(sides)) }
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
  const finding = flatnessFinding(2 * perEnd, spec.stitch, stitch, stitch.height.cm * rounds)
  const better = perEndOf({ perEnd: 'by-gauge' }, stitch)
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
  { lengthCm, widthCm }: Taped,
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
    return { size: { want: { lengthCm: longerCm, widthCm } } }
  },
  work: workOval, increases: (spec, gauge) => 2 * perEndOf(spec, gauge[spec.stitch]),
  withIncreases: (spec, increases) => ({ ...spec, perEnd: Math.round(increases / 2) }), ends: 2,
  nearestIncreases: increases => 2 * Math.max(2, Math.round(increases / 2)), measures: 'length-and-width', evidence, choices,
})
