import type { Edge } from '../../things/round/edge'

/*
 * Where handles go
 * ================
 *
 * A bag folds at its two sides when it lies flat: boundaries `s0` and `s1` of its edge of `N` places. Folding it there lays the
 * boundary `b` on its mirror image `P - b` on the other face, where `P = s0 + s1 - N/2`. Two slots (or straps, or feet) of `s`
 * places each are mirror images if the second one starts where the mirror image of the first one ends; the gaps between
 * them, one at each side, are then `2·x - P` and what is left of `N - 2s`.
 *
 * Stitches are whole, so the axis `P` that is used must be. Of the whole numbers it takes the nearest to the true one that makes
 * the gaps equal, or, where an odd number of stitches is left between, differ by one. It is at most one off, and so
 * the slots' own axis at most half a stitch off the sides (more by what the sides themselves are not opposite).
 *
 * What is centred on the sides instead of the faces (the feet of a strap from side to side) is placed likewise, with the
 * bag turned by a quarter.
 */

/** Where the middle of a span lies: on the bag's two faces, or on its two sides. */
export type SpanCentre = 'faces' | 'sides'

/** Two spans of places, opposite each other, as boundaries of the edge: each takes `places` of them from its first. */
export interface Placing {
  readonly firsts: readonly [number, number]
  readonly places: number
  /** Places from the end of each span on to the start of the other. */
  readonly gaps: readonly [number, number]
  /** How far the middle between the spans lies from the marked sides, in stitches. */
  readonly offSides: number
  /** How far the spans may be moved either way, in stitches. */
  readonly room: number
}

/** A boundary of an edge of so many places, brought within it. */
export function within(boundary: number, count: number): number {
  return ((boundary % count) + count) % count
}

/** The axis of the fold at an edge's sides: twice the side's boundary, by the mean of both. */
function foldAxis({ count, sides: [a, b] }: Edge): number {
  return a + (b > a ? b : b + count) - count / 2
}

/** The whole number nearest to a wanted axis that makes the gaps equal, or nearly. */
function wholeAxis(wanted: number, between: number): number {
  const candidates = [-1, 0, 1, 2].map(by => Math.floor(wanted) + by)
  const good = candidates.filter(axis => between % 2 === 1 || (axis - between / 2) % 2 === 0)
  return good.reduce((best, axis) => (Math.abs(axis - wanted) < Math.abs(best - wanted) - 1e-9 ? axis : best))
}

/**
 * Places two spans opposite each other.
 *
 * @param places of each span: at least 1, and two of them no more than the edge has
 * @param nudge places that the first span is moved on, the second one mirroring it; no further than there is room
 */
export function placed(edge: Edge, places: number, centred: SpanCentre, nudge = 0): Placing {
  const { count } = edge
  const wanted = foldAxis(edge) + (centred === 'sides' ? count / 2 : 0)
  const between = count - 2 * places
  const axis = wholeAxis(wanted, between)
  const lesser = Math.floor(between / 2)
  const room = nudgeRoom(edge, places)
  const x = (axis + ((axis - lesser) % 2 === 0 ? lesser : lesser + 1)) / 2 + Math.min(room, Math.max(-room, nudge))
  const gap = 2 * x - axis
  return {
    firsts: [within(x, count), within(axis - x - places, count)], places, gaps: [between - gap, gap],
    offSides: Math.abs(axis - wanted) / 2, room,
  }
}

/**
 * Two spans opposite each other across the mouth, a share of the way along the front from side to side: one on the front, and its mirror
 * image on the back.
 */
export function acrossAt(edge: Edge, places: number, share: number, nudge = 0): readonly [number, number] {
  const { count, sides: [side] } = edge
  const first = Math.round(side + (count / 2) * share - places / 2) + nudge
  return [within(first, count), within(Math.round(foldAxis(edge)) - first - places, count)]
}

/** The most that a placing can be nudged either way before its spans meet: half the lesser gap. */
export function nudgeRoom(edge: Edge, places: number): number {
  return Math.floor((edge.count - 2 * places) / 4)
}

/**
 * The number of places nearest to a wanted one that lets two spans be mirror images about the very sides, if those are opposite
 * each other on an edge of so many places; at least 1.
 */
export function placesNear(count: number, wanted: number, centred: SpanCentre): number {
  const near = Math.max(1, Math.round(wanted))
  if (count % 2 === 1) return near
  const odd = centred === 'faces' && (count / 2) % 2 === 1
  if ((near % 2 === 1) === odd) return near
  return wanted < near && near > 1 ? near - 1 : near + 1
}

/** A boundary so many stitches on from the start of the next round, as that round meets them. */
export function boundaryAt({ count, start }: Edge, turn: boolean, stitches: number): number {
  return within(turn ? start - stitches + 1 : start + stitches, count)
}

/** How many stitches the next round works before it comes to the span of so many places from a boundary. */
export function stitchesBefore({ count, start }: Edge, turn: boolean, first: number, places: number): number {
  return within(turn ? start - first - places + 1 : first - start, count)
}

/** The edge with its sides where the maker marked the first one anew, so many stitches on from the start of the next round. */
export function markedAnew(edge: Edge, turn: boolean, sideAt: number | undefined): Edge {
  if (sideAt === undefined) return edge
  const side = boundaryAt(edge, turn, sideAt)
  return { ...edge, sides: [side, within(side + Math.round(edge.count / 2), edge.count)] }
}
