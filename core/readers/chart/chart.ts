import { AIMS } from '../../things/round/step'
import { isDrawnTogether, sharesPlace, type WorkedRound } from '../../things/round/workedRound'

/**
 * Where every stitch lies on paper, in centimetres, x to the right and y downwards.
 *
 * A stitch is drawn from its foot, on the round below, to its head; stitches that share a place share a foot, so
 * increases and decreases show by themselves. The arrays run over all the stitches of all the rounds drawn.
 */
export interface Chart {
  readonly rounds: readonly ChartRound[]
  readonly kinds: Uint8Array
  readonly headX: Float32Array
  readonly headY: Float32Array
  readonly footX: Float32Array
  readonly footY: Float32Array
  /** 1 for the second and further stitches of an increase, 2 for stitches drawn together. */
  readonly marks: Uint8Array
  readonly box: { readonly left: number, readonly top: number, readonly width: number, readonly height: number }
}

/** A round of a chart: its stitches are `from` up to but not with `to` in the chart's arrays. */
export interface ChartRound {
  readonly number: number
  readonly part: string
  readonly from: number
  readonly to: number
  readonly colour: string
  /** Where the round starts: the place for its number. */
  readonly startX: number
  readonly startY: number
  /** The width that one of its stitches has to itself, where heads side by side do not tell. */
  readonly roomCm?: number
  /** Of a round with handles: the width that each of its things has. */
  readonly roomsCm?: Float32Array
  /** Of a round of loops: how many chains each has. A loop is drawn from its left knot (its foot) over its top (its head). */
  readonly loopChains?: number
}

const ALONG = AIMS.indexOf('chains')

export const INCREASED = 1
const DECREASED = 2

/**
 * How far along its round a thing made lies, in places, seen from the right side: turned rounds are worked the other
 * way: rounds from the same first place, rows from the other end.
 */
export function stationOf(made: number, count: number, worked: WorkedRound): number {
  if (worked.round.facing === 'right') return made
  if (!worked.edge.closed || worked.edge.past) return count - 1 - made
  return made === 0 ? 0 : count - made
}

/** The way round of what a stitch stands on, the short way from one end of it to the other; its own where the seam lies between. */
export function footing(own: number, from: number, to: number): number {
  const parent = Math.abs(from - to) > 0.5 ? ((from + to + 1) / 2) % 1 : (from + to) / 2
  return Math.abs(parent - own) > 0.25 ? own : parent
}

/**
 * Whether a thing made is a handle's chain, or is worked along such a chain or a buttonhole's: it stands upright, wherever its foot is
 * said to be.
 */
export function isAlongChain({ on, edge, aims }: WorkedRound, made: number): boolean {
  const place = edge.from[made]!
  if (edge.free !== undefined && edge.chains[made]! > 0) return true
  return aims[made] === ALONG || (on.free !== undefined && place === edge.to[made] && on.chains[place]! > 0)
}

/** Empty arrays for a chart of so many stitches. */
export function blank(count: number): Omit<Chart, 'rounds' | 'box'> {
  return {
    kinds: new Uint8Array(count), marks: new Uint8Array(count), headX: new Float32Array(count), headY: new Float32Array(count),
    footX: new Float32Array(count), footY: new Float32Array(count),
  }
}

/** Whether a round shapes the fabric: stitches doubled or drawn together in a round that skips nothing, not a texture's groups. */
export function shapes({ edge, on, aims }: WorkedRound): boolean {
  if (edge.count === on.count) return false
  let covered = 0
  let last = -1
  for (let made = 0; made < edge.count; made++) {
    if (aims[made] !== 0) return false
    const apart = Math.abs(edge.to[made]! - edge.from[made]!)
    if (edge.from[made] !== last) covered += Math.min(apart, on.count - apart) + 1
    last = edge.from[made]!
  }
  return covered === on.count
}

/** Whether a thing made in a round that shapes is part of an increase, a decrease or neither. */
export function markOf(worked: WorkedRound, made: number): number {
  if (isDrawnTogether(worked, made)) return DECREASED
  return sharesPlace(worked, made) ? INCREASED : 0
}
