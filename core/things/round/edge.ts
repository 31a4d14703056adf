import { byName } from '../measure/byName'
/** The kinds of place that a round can work into, as kept in an edge's bytes. */
export const PLACE_KINDS = ['stitch', 'space', 'ring', 'chain', 'underside', 'rowEnd', 'hole'] as const
export type PlaceKind = (typeof PLACE_KINDS)[number]

export const PLACE_CODE = byName(PLACE_KINDS, (_, code) => code)

/**
 * A run of an edge that hangs free of the bag, from one foot to the other: a handle worked in the round. It goes from boundary
 * `from` on to boundary `to`, in the order its places were made, over the start if need be.
 */
export interface FreeRun {
  readonly from: number
  readonly to: number
  /** Stitches of the bag's own rim that it bridges. */
  readonly bridges: number
}

/**
 * The ordered places that the next round can work into.
 *
 * Places are numbered from 0 in the order in which they were made; place 0 is where the round started, and where the next
 * one starts unless the round was closed elsewhere (`start`). A boundary `b` lies just before place `b`. An edge is immutable: the arrays
 * are never written after `work` returns them.
 */
export interface Edge {
  readonly count: number
  /** A `PLACE_CODE` per place. */
  readonly kinds: Uint8Array
  /** Chains in a space, per place; 0 for everything else. */
  readonly chains: Uint16Array
  /** First and last place of the edge below that each place stands on; -1 where there is nothing below. */
  readonly from: Int32Array
  readonly to: Int32Array
  /** The boundaries at the bag's two sides, where it folds when it lies flat. */
  readonly sides: readonly [number, number]
  /** A round that closes on itself, not a row. */
  readonly closed: boolean
  /** The place that the hook stands at: the first that the next round meets. */
  readonly start: number
  /** How many places the edge below has; 0 where there is none. */
  readonly over: number
  /** Its round began past the join: the place that the join is in was met last. */
  readonly past?: true
  /** Handles worked in the round; none if left out. */
  readonly free?: readonly FreeRun[]
}

/** An edge of equal places that stands on nothing: a ring, a chain, a foundation. */
export function foundation(kind: PlaceKind, count: number, closed = true): Edge {
  return {
    count, kinds: new Uint8Array(count).fill(PLACE_CODE[kind]), chains: new Uint16Array(count), from: new Int32Array(count).fill(-1),
    to: new Int32Array(count).fill(-1), sides: halves(count), closed, start: 0, over: 0,
  }
}

/** A run of equal places of a foundation. */
export interface Run {
  readonly kind: PlaceKind
  readonly count: number
}

/** A foundation of several runs of places, one after the other: along a chain, round its end, back along its underside. */
export function foundationOf(runs: readonly Run[], closed = true): Edge {
  const edge = foundation(
    'stitch',
    runs.reduce((sum, { count }) => sum + count, 0),
    closed,
  )
  let at = 0
  for (const { kind, count } of runs) {
    edge.kinds.fill(PLACE_CODE[kind], at, at + count)
    at += count
  }
  return edge
}

/** The same edge, folding elsewhere when the bag lies flat. */
export function withSides(edge: Edge, sides: readonly [number, number]): Edge {
  const wrap = (side: number) => ((Math.round(side) % edge.count) + edge.count) % edge.count
  return { ...edge, sides: [wrap(sides[0]), wrap(sides[1])] }
}

/** The sides of an edge that folds in half at its round's start. */
export function halves(count: number): readonly [number, number] {
  return [0, Math.round(count / 2)]
}

/** How many places of a kind an edge has. */
export function placesOf(edge: Edge, kind: PlaceKind): number {
  let found = 0
  for (const code of edge.kinds) if (code === PLACE_CODE[kind]) found++
  return found
}
