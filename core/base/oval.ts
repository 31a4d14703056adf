import type { StitchSize } from '../gauge/gauge'
import { type Length, plus, times } from '../measure/length'
import type { Finding } from '../part/finding'
import type { Floor } from '../part/floor'
import type { LayOut } from '../part/layOut'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type Setting, type Size, type Start, stopped } from '../part/part'
import { foundationOf, withSides } from '../round/edge'
import { at, each, inOne, type Step } from '../round/step'
import { inStyle } from '../round/style'
import { work } from '../round/work'
import type { Worked } from '../round/worked'
import { explain } from '../round/workError'
import type { BaseStitch, CircleSpec } from './circle'
import { discSize } from './circle'
import { endMiddles, FAR, growEnds, NEAR, SIDE_ONE, SIDE_TWO, sideMarkers, type Stretches } from './ends'
import { flatIncreases, flatnessFinding } from './flatness'
import { stadiumLayOut } from './stadium'

export const OVAL_STARTS = ['chain', 'foundation-sc'] as const

/** An oval floor as the maker asks for it: a rectangle with a half disc at each end (handbook 5, oval). */
export interface OvalSpec {
  readonly form: 'oval'
  readonly stitch: BaseStitch
  /** Stitches in each end of round 1, and the number that each end gains a round: 3, 4, 5, 6, or what lies flattest. */
  readonly perEnd: number | 'by-gauge'
  readonly size: Size<{ readonly lengthCm: number, readonly widthCm: number }, { readonly sideStitches: number, readonly rounds: number }>
  readonly start: (typeof OVAL_STARTS)[number]
  readonly placing: CircleSpec['placing']
  readonly increaseAt: CircleSpec['increaseAt']
  readonly colour: string
}

/** Counts of an oval: stitches of a straight side, rounds. */
export interface OvalCounts {
  readonly sideStitches: number
  readonly rounds: number
}

/** The stitches that each end gains a round, in this gauge: half a disc's. */
export function perEndOf(spec: Pick<OvalSpec, 'perEnd'>, stitch: StitchSize): number {
  return spec.perEnd === 'by-gauge' ? Math.max(2, Math.round(flatIncreases(stitch) / 2)) : spec.perEnd
}

/**
 * The floor that counts come to: as wide as a disc of those rounds, as long as that and the side stitches, by handbook 5:
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
export function countsForOval(want: { lengthCm: number, widthCm: number }, perEnd: number, stitch: StitchSize, foundation?: Length): OvalCounts {
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

/** A chain start needs a chain for every side stitch, one at each end, and the turning chain (handbook 5). */
function startOf(spec: OvalSpec, counts: OvalCounts, stitch: StitchSize, turning: number): Start {
  const working = counts.sideStitches + 2
  // About 1 cm more than wanted on a 26 cm base (handbook 4; common practice).
  const beforeCm = working * stitch.width.cm * (1 + 1 / 26)
  return spec.start === 'chain'
    ? { kind: 'foundation-chain', chains: working + Math.max(1, turning), firstInto: Math.max(1, turning) + 1, beforeCm }
    : { kind: 'foundation-sc', chains: working }
}

function firstRound(spec: OvalSpec, side: number, perEnd: number): { steps: Step[], stretches: Stretches } {
  const { stitch } = spec
  const steps: Step[] = [
    at('firstChain', each(stitch, 1)), at('chains', each(stitch, side)), at('lastChain', inOne(stitch, perEnd)),
    at('underside', each(stitch, side)), ...(perEnd > 1 ? [at('firstChainAgain', inOne(stitch, perEnd - 1))] : []),
  ]
  const names = [[NEAR, 1], [SIDE_ONE, side], [FAR, perEnd], [SIDE_TWO, side], [NEAR, perEnd - 1]] as const
  return { steps, stretches: Uint8Array.from(names.flatMap(([name, count]) => Array<number>(count).fill(name))) }
}

/** The multiple of each place of an end in round `r`: one increase in each group of `r - 1`, as in a disc cut in two. */
function groupMultiple(r: number, spec: Pick<OvalSpec, 'placing' | 'increaseAt'>): (at: number) => number {
  const plain = r - 2
  const shift = spec.placing === 'staggered' && r % 2 === 0 ? Math.floor(plain / 2) : 0
  const before = spec.increaseAt === 'last' ? plain - shift : shift
  return at => at % (r - 1) === before ? 2 : 1
}

interface Rounds {
  readonly rounds: readonly Worked[]
  /** The names of every round's slots. */
  readonly stretches: readonly Stretches[]
  readonly stop?: Finding
}

/** Works the rounds of an oval, of a boat if there is but one. */
export function ovalRounds(spec: OvalSpec, counts: OvalCounts, perEnd: number, setting: Setting): Rounds {
  const rounds: Worked[] = []
  const names: Stretches[] = []
  const { sideStitches } = counts
  let on = foundationOf([
    { kind: 'chain', count: 1 }, { kind: 'chain', count: sideStitches }, { kind: 'chain', count: 1 },
    { kind: 'underside', count: sideStitches }, ...(perEnd > 1 ? [{ kind: 'underside', count: 1 } as const] : []),
  ])
  for (let r = 1; r <= counts.rounds; r++) {
    const wrong = setting.rounds.style === 'turned' && (setting.turns + r - 1) % 2 === 1
    const { steps, stretches } = r === 1
      ? firstRound(spec, sideStitches, perEnd)
      : growEnds(names[r - 2]!, wrong, spec.stitch, groupMultiple(r, spec))
    const result = work(inStyle(setting.rounds, setting.turns + r - 1, spec.stitch, spec.colour, steps), on)
    if (!result.ok) return { rounds, stretches: names, stop: { code: result.error.code, weight: 'stop', round: setting.index + r, what: `Round ${setting.index + r}: ${explain(result.error)}.` } }
    rounds.push(result.worked)
    names.push(stretches)
    on = result.worked.edge
  }
  return { rounds, stretches: names }
}

/** The counts that an oval spec comes to in this gauge. */
export function ovalCounts(spec: OvalSpec, setting: Setting): OvalCounts {
  const stitch = setting.gauge[spec.stitch]
  const foundation = spec.start === 'foundation-sc' ? setting.gauge.sc.height : undefined
  return 'pin' in spec.size ? spec.size.pin : countsForOval(spec.size.want, perEndOf(spec, stitch), stitch, foundation)
}

/** Works an oval floor from its foundation out. */
export function oval(spec: OvalSpec, setting: Setting): PartResult {
  const stitch = setting.gauge[spec.stitch]
  const perEnd = perEndOf(spec, stitch)
  const counts = ovalCounts(spec, setting)
  const foundation = spec.start === 'foundation-sc' ? setting.gauge.sc.height : undefined
  const floor = ovalFloor(counts, perEnd, stitch, foundation)
  const edgeCount = 2 * counts.sideStitches + 2 * perEnd * counts.rounds
  const size = { height: times(stitch.height, 0), circumference: times(stitch.width, edgeCount), floor }
  if (counts.rounds > MOST_ROUNDS || edgeCount * counts.rounds > MOST_STITCHES) {
    return stopped(foundationOf([{ kind: 'chain', count: 1 }]), size, {
      code: 'base-too-big', weight: 'stop',
      what: `This base would take ${counts.rounds.toLocaleString('en')} rounds of up to ${edgeCount.toLocaleString('en')} stitches. Ask for a smaller base, or check the swatch.`,
    })
  }
  const { rounds, stretches, stop } = ovalRounds(spec, counts, perEnd, setting)
  const last = rounds.length - 1
  const wrong = last >= 0 && rounds[last]!.round.facing === 'wrong'
  const edge = rounds[last]?.edge
  return {
    rounds,
    edge: edge ? withSides(edge, endMiddles(stretches[last]!, edge, wrong)) : foundationOf([{ kind: 'chain', count: 1 }]),
    size,
    findings: [endFinding(perEnd, stitch, counts.rounds), ...(stop ? [stop] : [])],
    start: startOf(spec, counts, stitch, rounds[0]?.round.begin.chains ?? 0),
    layOut: ovalLayOut(counts, stretches, floor, stitch),
    markers: stretches.map((names, r) => sideMarkers(names, rounds[r]!.round.facing === 'wrong')),
    advice: ['Markers go in the first and the last stitch of both sides; move them up every round. Side stitches stay plain, only the ends grow.'],
  }
}

/** The two ends together are a disc: they lie flat or not by the same ratio. */
function endFinding(perEnd: number, stitch: StitchSize, rounds: number): Finding {
  const finding = flatnessFinding(2 * perEnd, stitch, stitch.height.cm * rounds)
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
