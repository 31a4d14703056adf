import { between, choice, count, countOr, length, pin, want, ways } from '../field/ask'
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
import { at, each, inOne, type Step } from '../round/step'
import { facingOf, inStyle } from '../round/style'
import { work } from '../round/work'
import type { Worked } from '../round/worked'
import { explain } from '../round/workError'
import { type BaseChoice, countsWithin, increasesToTry, offBy } from './choice'
import { FLOOR_LOOKS, DECIDES, discSize, type Growing, GROWING, growingNotes } from './circle'
import { endMiddles, FAR, growEnds, NEAR, SIDE_ONE, SIDE_TWO, sideMarkers, type Stretches } from './ends'
import { flatIncreases, flatnessFinding } from './flatness'
import { type BaseStitch, form, type FormSpec, sizesLike, type Taped } from './form'
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
interface Answered {
  readonly stitch: BaseStitch
  readonly perEnd: number | 'by-gauge'
}

/** The counts it comes to now. */
function countsNow(spec: object, { gauge }: Now): OvalCounts {
  return ovalCounts(spec as OvalSpec, gauge)
}

const fields = {
  size: ways('Decide by', [
    LENGTH_AND_WIDTH,
    pin(
      'counts',
      {
        sideStitches: count('Side stitches', between(1, 600), { usually: between(1, 40) }),
        rounds: count('Rounds', PINNED_ROUNDS, { usually: between(1, 12) }),
      },
      {
        does: DECIDES.pin, from: countsNow, sets: (spec: Answered, { gauge }) => ({ perEnd: perEndOf(spec, gauge[spec.stitch]) }),
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
    ],
    { begins: 'chain' },
  ),
  ...GROWING,
} as const

/** An oval floor as the maker asks for it: a rectangle with a half disc at each end (craft 5, oval). */
export type OvalSpec = FormSpec<'oval', typeof fields>

/** Counts of an oval: stitches of a straight side, rounds. */
export interface OvalCounts {
  readonly sideStitches: number
  readonly rounds: number
}

/** The stitches that each end gains a round, in this gauge: half a disc's. */
export function perEndOf(spec: { readonly perEnd: number | 'by-gauge' }, stitch: StitchSize): number {
  return spec.perEnd === 'by-gauge' ? Math.max(2, Math.round(flatIncreases(stitch) / 2)) : spec.perEnd
}

/**
 * The floor that counts come to: as wide as a disc of those rounds, as long as that and the side stitches, by craft 5:
 * `width = 2Rh`, `length = S·w + 2Rh`. A row of foundation sc adds its own height.
 */
export function ovalFloor(counts: OvalCounts, perEnd: number, stitch: StitchSize, foundation?: Length): Floor {
  const disc = discSize(counts.rounds, 2 * perEnd, stitch).floor.length
  const width = foundation ? plus(disc, foundation) : disc
  return { shape: 'stadium', length: plus(times(stitch.width, counts.sideStitches), disc), width }
}

/**
 * The counts whose floor comes nearest to a wanted one: the least sum of squares of what length and width miss. For each
 * number of rounds only one number of side stitches can be best, so all rounds are tried whose width alone is not worse
 * than the best so far.
 */
export function countsForOval(
  want: { lengthCm: number, widthCm: number },
  perEnd: number,
  stitch: StitchSize,
  foundation?: Length,
): OvalCounts {
  let best: OvalCounts = { sideStitches: 1, rounds: 1 }
  let least = Infinity
  for (let rounds = 1; rounds <= MOST_ROUNDS; rounds++) {
    const ends = ovalFloor({ sideStitches: 0, rounds }, perEnd, stitch, foundation)
    const missWidth = ends.width.cm - want.widthCm
    if (missWidth > 0 && missWidth * missWidth > least) break
    const sideStitches = Math.max(1, Math.round((want.lengthCm - ends.length.cm) / stitch.width.cm))
    const missLength = ends.length.cm + sideStitches * stitch.width.cm - want.lengthCm
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
  return spec.start === 'chain'
    ? { kind: 'foundation-chain', chains: working + Math.max(1, turning), firstInto: Math.max(1, turning) + 1, beforeCm }
    : { kind: 'foundation-sc', chains: working }
}

function firstRound(spec: Pick<OvalSpec, 'stitch'>, side: number, perEnd: number): { steps: Step[], stretches: Stretches } {
  const { stitch } = spec
  const steps: Step[] = [
    at('firstChain', each(stitch, 1)), at('chains', each(stitch, side)), at('lastChain', inOne(stitch, perEnd)),
    at('underside', each(stitch, side)), ...(perEnd > 1 ? [at('firstChainAgain', inOne(stitch, perEnd - 1))] : []),
  ]
  const names = [
    [NEAR, 1], [SIDE_ONE, side], [FAR, perEnd], [SIDE_TWO, side], [NEAR, perEnd - 1],
  ] as const
  return { steps, stretches: Uint8Array.from(names.flatMap(([name, count]) => Array<number>(count).fill(name))) }
}

/** The multiple of each place of an end in round `r`: one increase in each group of `r - 1`, as in a disc cut in two. */
function groupMultiple(r: number, spec: Growing): (at: number) => number {
  const plain = r - 2
  const shift = spec.placing === 'staggered' && r % 2 === 0 ? Math.floor(plain / 2) : 0
  const before = spec.increaseAt === 'last' ? plain - shift : shift
  return at => (at % (r - 1) === before ? 2 : 1)
}

interface Rounds {
  readonly rounds: readonly Worked[]
  /** The names of every round's stations. */
  readonly stretches: readonly Stretches[]
  readonly stop?: Finding
}

/** Works the rounds of an oval, of a boat if there is but one. */
export function ovalRounds(
  spec: Growing & Pick<OvalSpec, 'stitch' | 'colour'>,
  counts: OvalCounts,
  perEnd: number,
  setting: Setting,
): Rounds {
  const rounds: Worked[] = []
  const names: Stretches[] = []
  const { sideStitches } = counts
  let on = foundationOf([
    { kind: 'chain', count: 1 }, { kind: 'chain', count: sideStitches }, { kind: 'chain', count: 1 },
    { kind: 'underside', count: sideStitches }, ...(perEnd > 1 ? [{ kind: 'underside', count: 1 } as const] : []),
  ])
  for (let r = 1; r <= counts.rounds; r++) {
    const wrong = facingOf(setting, r - 1).facing === 'wrong'
    const { steps, stretches }
      = r === 1 ? firstRound(spec, sideStitches, perEnd) : growEnds(names[r - 2]!, wrong, spec.stitch, groupMultiple(r, spec))
    const result = work(inStyle(setting, r - 1, spec.stitch, spec.colour, steps), on)
    if (!result.ok)
      return {
        rounds, stretches: names,
        stop: {
          code: result.error.code, weight: 'stop', round: setting.index + r,
          what: `Round ${setting.index + r}: ${explain(result.error)}.`,
        },
      }
    rounds.push(result.worked)
    names.push(stretches)
    on = result.worked.edge
  }
  return { rounds, stretches: names }
}

/** A row of foundation sc adds its own height to the width. */
function foundationRow({ start }: OvalSpec, gauge: Gauge): Length | undefined {
  return start === 'foundation-sc' ? gauge.sc.height : undefined
}

/** The counts that an oval spec comes to in this gauge. */
export function ovalCounts(spec: OvalSpec, gauge: Gauge): OvalCounts {
  const stitch = gauge[spec.stitch]
  return 'pin' in spec.size ? spec.size.pin : countsForOval(spec.size.want, perEndOf(spec, stitch), stitch, foundationRow(spec, gauge))
}

/** Works an oval floor from its foundation out. */
function workOval(spec: OvalSpec, setting: Setting): PartResult {
  const { gauge } = setting
  const stitch = gauge[spec.stitch]
  const perEnd = perEndOf(spec, stitch)
  const counts = ovalCounts(spec, gauge)
  const floor = ovalFloor(counts, perEnd, stitch, foundationRow(spec, gauge))
  const edgeCount = 2 * counts.sideStitches + 2 * perEnd * counts.rounds
  const size = { height: times(stitch.height, 0), circumference: times(stitch.width, edgeCount), floor }
  if (counts.rounds > MOST_ROUNDS || edgeCount * counts.rounds > MOST_STITCHES) {
    return stopped(foundationOf([{ kind: 'chain', count: 1 }]), size, {
      code: 'base-too-big', weight: 'stop',
      what: `This base would take ${counts.rounds.toLocaleString('en')} rounds of up to ${edgeCount.toLocaleString('en')} stitches. `
        + 'Ask for a smaller base, or check the swatch.',
    })
  }
  const { rounds, stretches, stop } = ovalRounds(spec, counts, perEnd, setting)
  const last = rounds.length - 1
  const wrong = last >= 0 && rounds[last]!.round.facing === 'wrong'
  const edge = rounds[last]?.edge
  return {
    rounds, bagNotes: growingNotes(spec), looks: FLOOR_LOOKS,
    edge: edge ? withSides(edge, endMiddles(stretches[last]!, edge, wrong)) : foundationOf([{ kind: 'chain', count: 1 }]), size,
    findings: [endFinding(perEnd, spec.stitch, stitch, counts.rounds), ...(stop ? [stop] : [])],
    start: startOf(spec, counts, stitch, rounds[0]?.round.begin.chains ?? 0), layOut: ovalLayOut(counts, stretches, floor, stitch),
    markers: stretches.map((names, r) => sideMarkers(names, rounds[r]!.round.facing === 'wrong')),
    advice: [
      'Markers go in the first and the last stitch of both sides; move them up every round. Side stitches stay plain, only the ends grow.',
    ],
  }
}

/** The two ends together are a disc: they lie flat or not by the same ratio. */
function endFinding(perEnd: number, kind: BaseStitch, stitch: StitchSize, rounds: number): Finding {
  const finding = flatnessFinding(2 * perEnd, kind, stitch, stitch.height.cm * rounds)
  const better = perEndOf({ perEnd: 'by-gauge' }, stitch)
  const { fix: _, ...bare } = finding
  const what = finding.what.replace(`With ${2 * perEnd} increases a round the base`, `With ${perEnd} increases at each end the base`)
  if (finding.code === 'base-flat' || better === perEnd) return { ...bare, what }
  return { ...bare, what, fix: { label: `Use ${better} increases at each end`, changes: [{ path: ['perEnd'], value: better }] } }
}

/** Where an oval's stitches lie: sides on straight lines, ends on half circles. */
function ovalLayOut(counts: OvalCounts, stretches: readonly Stretches[], floor: Floor, stitch: StitchSize): LayOut {
  const half = (counts.sideStitches * stitch.width.cm) / 2
  const ring = floor.width.cm / 2 / Math.max(1, counts.rounds)
  return stadiumLayOut(half, ring, counts, stretches)
}

/** A measured oval tells both the width and the height of its stitches, if it is longer than wide. */
function evidence(spec: OvalSpec, { sideStitches, rounds }: OvalCounts, { lengthCm, widthCm }: Taped): Evidence | undefined {
  if (widthCm === undefined || lengthCm <= widthCm) return undefined
  const foundation = spec.start === 'foundation-sc' ? 1 : 0
  return { kind: spec.stitch, width: perStitch(lengthCm - widthCm, sideStitches), height: perStitch(widthCm, 2 * rounds + foundation) }
}

/** Every oval within a tolerance of a wanted length and width. */
function choices(spec: OvalSpec, { gauge }: Setting, toleranceCm: number): BaseChoice[] {
  const stitch = gauge[spec.stitch]
  const foundation = foundationRow(spec, gauge)
  const now = ovalFloor(ovalCounts(spec, gauge), perEndOf(spec, stitch), stitch, foundation)
  const wanted = 'pin' in spec.size ? { lengthCm: now.length.cm, widthCm: now.width.cm } : spec.size.want
  return increasesToTry(spec.perEnd, stitch, true).flatMap((perEnd) => {
    const disc = ovalFloor({ sideStitches: 0, rounds: 1 }, perEnd, stitch).width.cm
    const choiceOf = (sideStitches: number, rounds: number): BaseChoice => {
      const floor = ovalFloor({ sideStitches, rounds }, perEnd, stitch, foundation)
      return {
        base: { ...spec, perEnd, size: { pin: { sideStitches, rounds } } }, stitches: 2 * sideStitches + 2 * perEnd * rounds,
        ...offBy({ size: 'length', cm: floor.length.cm - wanted.lengthCm }, { size: 'width', cm: floor.width.cm - wanted.widthCm }),
      }
    }
    return countsWithin(wanted.widthCm, toleranceCm, disc, foundation?.cm ?? 0).flatMap(rounds =>
      countsWithin(wanted.lengthCm, toleranceCm, stitch.width.cm, rounds * disc).map(sides => choiceOf(sides, rounds)),
    )
  })
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
