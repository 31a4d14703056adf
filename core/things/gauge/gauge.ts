import { combinedShare, type Length, withUncertainty } from '../measure/length'
import { FABRIC_KINDS, type FabricKind, STITCHES, type StitchKind } from '../stitch/dictionary'
import type { SwatchExtent } from './uneven'

/** The maker's counts on a swatch in one stitch kind. */
export interface SwatchCount {
  /** Stitches across `overCm`. */
  readonly stitches: number
  /** Rounds (or rows) up `tallCm`. */
  readonly rounds: number
  readonly overCm: number
  /** Height the rounds were counted over; as tall as it is wide if left out. */
  readonly tallCm?: number
}

/** A swatch: the hook and yarn it was worked with and what was counted, per stitch kind. */
export interface Swatch {
  readonly hookMm: number
  readonly strands: number
  readonly measured: Readonly<Partial<Record<FabricKind, SwatchCount>>>
  /** A length of chain counted: what the loops of a net are made of. */
  readonly chain?: { readonly chains: number, readonly overCm: number }
  /** True while these are the figures to start from and nobody has measured anything. */
  readonly assumed?: boolean
  /** Not counted on a swatch but learnt from finished bags. */
  readonly learnt?: LearntGauge
}

/** Lesson of finished bags about a gauge: from how many, and within how much the next one's sizes lie, nine times of ten. */
interface LearntGauge {
  readonly bags: number
  readonly widePercent: number
  readonly tallPercent: number
  /** The maker's own floors lay flat from this share of edge to that: 1 is just as much as a flat disc needs. */
  readonly flatFrom?: number
  readonly flatTo?: number
}

/** How wide and how tall one stitch of a kind is, and how that is known. */
export interface StitchSize {
  readonly width: Length
  readonly height: Length
  readonly known: 'measured' | 'estimated' | 'assumed'
  /** The measured kind an estimate was taken from. */
  readonly from?: FabricKind
  /** How many were counted on the swatch; left out where finished work said how large it is, and how sure that is. */
  readonly counted?: SwatchExtent
  /** The one side that finished work has told so far; the other is still as the swatch said. */
  readonly toldSide?: 'width' | 'height'
  /** The shares of edge with which the maker's own floors lay flat, where finished bags taught that. */
  readonly liesFlat?: readonly [number, number]
}

/** The size of every stitch kind on this maker's hook. */
export type Gauge = Readonly<Record<StitchKind, StitchSize>>

/** Accuracy of a count: half a stitch, or half a round (craft 4; common practice, no source). */
const COUNT_ERROR = 0.5

/** Further doubt in a kind that was not itself measured (from memory). */
const ESTIMATE_SHARE = 0.1

/** Doubt in figures that nobody measured at all (from memory: tensions differ by that much and more). */
const ASSUMED_SHARE = 0.15

function fromCount(kind: FabricKind, measured: SwatchCount, { assumed, learnt }: Swatch): StitchSize {
  const doubt = assumed ? ASSUMED_SHARE : 0
  const [wide, tall] = learnt
    ? [learnt.widePercent / 100, learnt.tallPercent / 100]
    : [combinedShare(COUNT_ERROR / measured.stitches, doubt), combinedShare(COUNT_ERROR / measured.rounds, doubt)]
  return {
    width: withUncertainty(measured.overCm / measured.stitches, wide),
    height: withUncertainty((measured.tallCm ?? measured.overCm) / measured.rounds, tall),
    known: assumed ? 'assumed' : 'measured', from: kind, ...(learnt ? {} : { counted: measured }),
    ...(learnt?.flatFrom === undefined || learnt.flatTo === undefined ? {} : { liesFlat: [learnt.flatFrom, learnt.flatTo] as const }),
  }
}

/** A kind that was not measured, from one that was: as wide, and taller in proportion (craft 4; from memory). */
function estimate(kind: StitchKind, base: StitchSize, from: FabricKind): StitchSize {
  const ratio = STITCHES[kind].heightInSc / STITCHES[from].heightInSc
  const doubt = (length: Length) => combinedShare(length.plusMinusCm / length.cm, ESTIMATE_SHARE)
  return {
    width: withUncertainty(base.width.cm, doubt(base.width)), height: withUncertainty(base.height.cm * ratio, doubt(base.height)),
    known: base.known === 'assumed' ? 'assumed' : 'estimated', from, ...(base.counted ? { counted: base.counted } : {}),
  }
}

/** The measured kind whose height is nearest to this one's. */
function nearestMeasured(kind: StitchKind, swatch: Swatch): FabricKind | undefined {
  const distance = (other: FabricKind) => Math.abs(Math.log(STITCHES[other].heightInSc / (STITCHES[kind].heightInSc || 1)))
  return FABRIC_KINDS.filter(other => swatch.measured[other]).sort((a, b) => distance(a) - distance(b))[0]
}

/**
 * Width and height of every stitch kind from a swatch.
 *
 * Measured kinds come from their own count, the others are estimated from the nearest measured one. A chain is as
 * long as a single crochet is wide; chains and slip stitches add no height to a round.
 *
 * @throws if nothing was measured: a design is validated before it gets here
 */
export function gaugeOf(swatch: Swatch): Gauge {
  const sizes = {} as Record<StitchKind, StitchSize>
  const kinds = Object.keys(STITCHES) as StitchKind[]
  for (const kind of kinds) {
    const own = swatch.measured[kind as FabricKind]
    const from = nearestMeasured(kind, swatch)
    if (!from) throw new Error('a gauge needs one measured stitch kind')
    sizes[kind] = own
      ? fromCount(kind as FabricKind, own, swatch)
      : estimate(kind, fromCount(from, swatch.measured[from]!, swatch), from)
  }
  if (swatch.chain)
    sizes.ch = { ...sizes.ch, width: chainWidth(swatch.chain, swatch.assumed === true), known: swatch.assumed ? 'assumed' : 'measured' }
  return sizes
}

/** How long a chain is, from a length of them: good to half a chain, as any count. */
function chainWidth({ chains, overCm }: NonNullable<Swatch['chain']>, assumed: boolean): Length {
  return withUncertainty(overCm / chains, combinedShare(COUNT_ERROR / chains, assumed ? ASSUMED_SHARE : 0))
}
