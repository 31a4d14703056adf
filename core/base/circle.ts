import type { StitchSize } from '../gauge/gauge'
import { times } from '../measure/length'
import type { Finding } from '../part/finding'
import type { Floor } from '../part/floor'
import type { LayOut } from '../part/layOut'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type PartSize, type Setting, type Size, type Start, stopped, workUp } from '../part/part'
import { type Edge, foundation, halves } from '../round/edge'
import { type Step, each, inOne, repeat } from '../round/step'
import { inStyle } from '../round/style'
import type { Worked } from '../round/worked'
import type { FabricKind } from '../stitch/dictionary'
import { flatIncreases, flatness, flatnessFinding } from './flatness'

/** Stitches a base is worked in. */
export const BASE_STITCHES = ['sc', 'hdc', 'dc'] as const
export type BaseStitch = (typeof BASE_STITCHES)[number]

export const CIRCLE_STARTS = ['ring', 'chain-ring', 'chain'] as const
export const PLACINGS = ['stacked', 'staggered'] as const
export const INCREASE_ENDS = ['first', 'last'] as const

/** A round floor as the maker asks for it (handbook 5, circle). */
export interface CircleSpec {
  readonly form: 'circle'
  readonly stitch: BaseStitch
  /** Increases a round, and the stitches of round 1: a school's number, or what lies flattest in this gauge. */
  readonly increases: number | 'by-gauge'
  /** Wanted across the floor, or across the bag lying flat. */
  readonly size: Size<{ readonly diameterCm: number } | { readonly flatWidthCm: number }, { readonly rounds: number }>
  readonly start: (typeof CIRCLE_STARTS)[number]
  /** Increases one above the other make a polygon; shifted by half a group every second round they make it rounder. */
  readonly placing: (typeof PLACINGS)[number]
  /** Whether a group opens or closes with its increase. */
  readonly increaseAt: (typeof INCREASE_ENDS)[number]
  readonly colour: string
}

/** The increases a round that a spec comes to in this gauge. */
export function increasesOf(spec: Pick<CircleSpec, 'increases'>, stitch: StitchSize): number {
  return spec.increases === 'by-gauge' ? flatIncreases(stitch) : spec.increases
}

/**
 * The steps of round `r` of a disc: `increases` groups of one increase and `r - 2` plain stitches (handbook 5).
 * Staggered discs shift the increase by half a group in every second round.
 */
export function circleRound(r: number, increases: number, kind: FabricKind, placing: CircleSpec['placing'], increaseAt: CircleSpec['increaseAt']): Step[] {
  if (r === 1) return [inOne(kind, increases)]
  const plain = r - 2
  const shift = placing === 'staggered' && r % 2 === 0 ? Math.floor(plain / 2) : 0
  const before = increaseAt === 'last' ? plain - shift : shift
  const group = [each(kind, before), inOne(kind, 2), each(kind, plain - before)]
  return [repeat(increases, ...group.filter(step => step.do !== 'stitch' || step.times > 0))]
}

/** What a disc of so many rounds measures. */
export interface DiscSize extends PartSize {
  readonly floor: Floor
}

/**
 * The size of a disc. With edge enough or to spare it is as wide as its rounds reach; with too little it stands as a
 * shallow cone, as wide as its edge allows (handbook 5). A floor adds nothing to the bag's height.
 */
export function discSize(rounds: number, increases: number, stitch: StitchSize): DiscSize {
  const circumference = times(stitch.width, increases * rounds)
  const across = flatness(increases, stitch).ratio < 1 ? times(circumference, 1 / Math.PI) : times(stitch.height, 2 * rounds)
  return { height: times(stitch.height, 0), circumference, floor: { shape: 'disc', length: across, width: across } }
}

/** The rounds whose disc comes nearest to a wanted diameter; a disc's diameter grows evenly with its rounds. */
export function roundsForDiameter(diameterCm: number, increases: number, stitch: StitchSize): number {
  return Math.max(1, Math.round(diameterCm / discSize(1, increases, stitch).floor.length.cm))
}

export function startOf(spec: Pick<CircleSpec, 'start'>, increases: number, startingChains: number): Start {
  if (spec.start === 'ring') return { kind: 'ring', chains: 0 }
  if (spec.start === 'chain') return { kind: 'chain', chains: Math.max(2, startingChains + 1), firstInto: Math.max(2, startingChains + 1) }
  return { kind: 'chain-ring', chains: Math.max(4, Math.round(increases / 3)) }
}

export function tooMany(rounds: number, increases: number): Finding | undefined {
  const total = (increases * rounds * (rounds + 1)) / 2
  if (rounds <= MOST_ROUNDS && total <= MOST_STITCHES) return undefined
  return {
    code: 'base-too-big', weight: 'stop',
    what: `This base would take ${rounds.toLocaleString('en')} rounds and ${total.toLocaleString('en')} stitches. Ask for a smaller base, or check the swatch: its stitches may be counted over too small a width.`,
  }
}

/** The rounds whose edge, lying flat, comes nearest to a wanted width: half of `increases` stitches a round. */
export function roundsForFlatWidth(flatWidthCm: number, increases: number, stitch: StitchSize): number {
  return Math.max(1, Math.round((2 * flatWidthCm) / (increases * stitch.width.cm)))
}

/** The rounds that a spec comes to. */
function roundsOf({ size }: CircleSpec, increases: number, stitch: StitchSize): number {
  if ('pin' in size) return size.pin.rounds
  return 'diameterCm' in size.want ? roundsForDiameter(size.want.diameterCm, increases, stitch) : roundsForFlatWidth(size.want.flatWidthCm, increases, stitch)
}

/** Works a round floor from its middle out. */
export function circle(spec: CircleSpec, setting: Setting): PartResult {
  const stitch = setting.gauge[spec.stitch]
  const increases = increasesOf(spec, stitch)
  const count = roundsOf(spec, increases, stitch)
  const middle = foundation(spec.start === 'chain' ? 'chain' : 'ring', 1)
  const size = discSize(count, increases, stitch)
  const tooBig = tooMany(count, increases)
  if (tooBig) return stopped(middle, size, tooBig)

  const { rounds, edge, stop } = workUp(middle, count, setting, i =>
    inStyle(setting.rounds, setting.turns + i, spec.stitch, spec.colour, circleRound(i + 1, increases, spec.stitch, spec.placing, spec.increaseAt)))
  return {
    rounds,
    edge: foldedAtStart(edge),
    size,
    findings: [flatnessFinding(increases, stitch, stitch.height.cm * count), ...(stop ? [stop] : [])],
    start: startOf(spec, increases, rounds[0]?.round.begin.chains ?? 0),
    layOut: discLayOut(rounds, size.floor.length.cm / 2 / Math.max(1, count), spec.placing === 'stacked' ? { corners: increases, increaseAt: spec.increaseAt } : undefined),
    markers: rounds.map(() => [0]),
  }
}

/** The polygon that increases one above the other make of a disc: a corner at each of them. */
export interface Polygon {
  readonly corners: number
  readonly increaseAt: CircleSpec['increaseAt']
}

/** How far a disc gives in to its polygon: fabric rounds the corners off (from memory). */
const GIVES_IN = 0.6

/**
 * How far out a polygon's edge lies, in radii of the disc with the same edge all round, at a share of the way from one
 * corner to the next. A regular polygon of `n` sides around an incircle of radius `ρ` has the edge `2nρ·tan(π/n)`.
 */
function outOnPolygon(corners: number, share: number): number {
  const inner = Math.PI / (corners * Math.tan(Math.PI / corners))
  return inner / Math.cos((share - 0.5) * ((2 * Math.PI) / corners))
}

/** Where a disc's stitches lie: ring after ring, each round's stitches evenly spread, starting at the top. */
export function discLayOut(rounds: readonly Worked[], reachCm: number, polygon?: Polygon): LayOut {
  return (round, slot) => {
    if (round < 0) return { x: 0, y: 0 }
    const count = rounds[round]!.edge.count
    const angle = ((slot + 0.5) / count) * 2 * Math.PI
    const out = (round + 1) * reachCm * (polygon ? bulge(polygon, round + 1, (slot + 0.5) / count, rounds[round]!.round.facing === 'wrong') : 1)
    return { x: -Math.sin(angle) * out, y: -Math.cos(angle) * out }
  }
}

/** How far a stacked disc reaches at a share of the way round, against a round one. Its corners are its increases. */
function bulge({ corners, increaseAt }: Polygon, r: number, wayRound: number, wrong: boolean): number {
  const worked = increaseAt === 'last' ? (r - 1) / r : Math.min(1, 1 / r)
  // A turned round meets its groups from the other end.
  const corner = wrong ? 1 - worked : worked
  const share = wayRound * corners - corner
  return 1 + GIVES_IN * (outOnPolygon(corners, share - Math.floor(share)) - 1)
}

/** A round floor has no sides of its own: the bag folds where its rounds start, and half way round. */
export function foldedAtStart(edge: Edge): Edge {
  return { ...edge, sides: halves(edge.count) }
}
