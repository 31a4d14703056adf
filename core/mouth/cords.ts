import type { Gauge } from '../gauge/gauge'
import { STITCHES } from '../stitch/dictionary'
import type { Size } from '../part/part'

/** Ways to come by a cord: a chain; a chain with slip stitches along its back; a chain of yarn taken double; one bought. */
export const CORD_KINDS = ['chain', 'slip-stitched', 'doubled', 'bought'] as const
export type CordKind = (typeof CORD_KINDS)[number]

/** The drawstrings of a casing as the maker asks for them. */
export interface CordsSpec {
  /** One, or two opposed. */
  readonly number: 1 | 2
  readonly kind: CordKind
  /** How long the ends hang when the bag is open; or the whole cord's length. */
  readonly size: Size<{ readonly tailCm: number }, { readonly lengthCm: number }>
  /** Two short ones besides, looped around posts at the quarters: pulling them opens the bag. */
  readonly opening: boolean
  readonly colour: string
}

/** What a cord comes to. */
export interface Cord {
  /** From end to end, knots made. */
  readonly lengthCm: number
  /** Each end, beyond the mouth, when the bag is open. */
  readonly tailCm: number
  /** Chains to work before the knots are made; none for a bought one. */
  readonly chains: number
  /** Yarn for one cord. */
  readonly yarnCm: number
  readonly thickCm: number
}

/** What the knots at both ends take up (from memory). */
const KNOTS_CM = 6
/** An opening cord, from its post and back, both ends (from memory). */
const OPENING_CM = 24

/** How thick a cord is, in widths of a chain (from memory). */
const THICK: Record<CordKind, number> = { 'chain': 0.5, 'slip-stitched': 0.65, 'doubled': 0.8, 'bought': 0.6 }

/** Yarn in a length of cord, in lengths of it: a chain eats three to four times its length (handbook 12; from memory). */
function yarnPer(kind: CordKind): number {
  const chain = STITCHES.ch.yarnPerWidth
  switch (kind) {
    case 'chain': return chain
    case 'slip-stitched': return chain + STITCHES.slst.yarnPerWidth
    case 'doubled': return 2 * chain
    case 'bought': return 0
  }
}

/** A cord so long from end to end; its ends hang out beyond a mouth so far round. */
export function cordOf(kind: CordKind, lengthCm: number, aroundCm: number, gauge: Gauge): Cord {
  const worked = lengthCm + (kind === 'bought' ? 0 : KNOTS_CM)
  // Yarn taken double makes a chain about a third longer (from memory).
  const chainCm = gauge.ch.width.cm * (kind === 'doubled' ? 1.35 : 1)
  return {
    lengthCm, tailCm: (lengthCm - aroundCm) / 2, chains: kind === 'bought' ? 0 : Math.ceil(worked / chainCm), yarnCm: worked * yarnPer(kind), thickCm: THICK[kind] * gauge.ch.width.cm,
  }
}

/** The drawstring for a mouth: once round and its two ends (handbook 9). */
export function drawstring({ kind, size }: CordsSpec, mouthCm: number, gauge: Gauge): Cord {
  return cordOf(kind, 'pin' in size ? size.pin.lengthCm : mouthCm + 2 * size.want.tailCm, mouthCm, gauge)
}

/** One of the two short cords that open the bag. */
export function openingCord({ kind }: CordsSpec, gauge: Gauge): Cord {
  return cordOf(kind, OPENING_CM, 0, gauge)
}

/** All the yarn that the cords take, in centimetres. */
export function cordsYarnCm(spec: CordsSpec, mouthCm: number, gauge: Gauge): number {
  return spec.number * drawstring(spec, mouthCm, gauge).yarnCm + (spec.opening ? 2 * openingCord(spec, gauge).yarnCm : 0)
}
