import type { LayOut } from '../part/layOut'
import type { Finding } from '../part/finding'
import type { Grip, Handle } from '../part/handle'
import type { Net, PartSize } from '../part/part'
import type { Piece } from '../part/piece'
import type { Edge } from '../round/edge'
import type { Worked } from '../round/worked'

/** A part of the bag as drafted. */
export interface DraftPart {
  /** `base`, `turnUp`, `wall.0`: also where its spec is in the design. */
  readonly id: string
  readonly name: string
  /** Number of its first round in the bag; the part has `rounds.length` of them, which may be none. */
  readonly firstRound: number
  readonly rounds: readonly Worked[]
  readonly edge: Edge
  readonly size: PartSize
  readonly findings: readonly Finding[]
  /** How many of its rounds, the last ones, stand up and make its height. */
  readonly rising: number
  /** Of a base: where its stitches lie, seen from above. */
  readonly layOut?: LayOut
  /** Stitches that carry a marker, a list a round. */
  readonly markers?: readonly (readonly number[])[]
  readonly advice: readonly string[]
  /** How much each round rises, where they differ; `size.height` shared out evenly otherwise. */
  readonly rises?: readonly number[]
  /** How far round each round goes, where they differ; `size.circumference` otherwise. */
  readonly arounds?: readonly number[]
  /** What is said beside each round. */
  readonly notes?: readonly (string | undefined)[]
  /** Of a net: its loops. */
  readonly net?: Net
  /** Of a casing: its eyelets. */
  readonly casing?: { readonly eyelets: number }
  /** Handles that hang on it, and what is worked on its own for it. */
  readonly handles: readonly Handle[]
  readonly grip?: Grip
  readonly sidesMoved: number
  readonly pieces: readonly Piece[]
}

/** How much the `i`-th of a part's rounds rises, in centimetres; nothing for a round of a floor. */
export function riseOf({ rounds, rising, rises, size }: DraftPart, i: number): number {
  if (i < rounds.length - rising) return 0
  return rises?.[i] ?? (rising > 0 ? size.height.cm / rising : 0)
}

/** How far round the `i`-th of a part's rounds goes, in centimetres. */
export function aroundOf({ arounds, size }: DraftPart, i: number): number {
  return arounds?.[i] ?? size.circumference.cm
}

/** A round with its number in the bag. */
export interface DraftRound {
  readonly number: number
  readonly part: string
  readonly worked: Worked
}
