import type { Length } from '../measure/length'
import type { FabricKind } from '../stitch/dictionary'
import type { Gauge } from './gauge'

/** A size of one kind's stitch taken from finished work: the finished base is the best swatch (craft 4). */
export interface Evidence {
  readonly kind: FabricKind
  readonly width?: Length
  readonly height?: Length
}

/** Accuracy of a tape laid over finished work (from memory). */
export const TAPE_CM = 0.3

/** A stitch's size from a length of so many stitches, as sure as the tape. */
export function perStitch(measuredCm: number, stitches: number): Length {
  return { cm: measuredCm / stitches, plusMinusCm: TAPE_CM / stitches }
}

/**
 * Two measurements of one thing made into one, each weighing as the inverse of its uncertainty squared, which is the
 * least uncertain way to combine them (standard inverse-variance weighting; e.g. Taylor, An Introduction to Error
 * Analysis, chapter 7).
 */
export function weighted(a: Length, b: Length): Length {
  const [wa, wb] = [1 / (a.plusMinusCm * a.plusMinusCm), 1 / (b.plusMinusCm * b.plusMinusCm)]
  return { cm: (a.cm * wa + b.cm * wb) / (wa + wb), plusMinusCm: 1 / Math.sqrt(wa + wb) }
}

/** A length scaled, with the share of uncertainty of what it is scaled by. */
function scaled(length: Length, before: Length, after: Length): Length {
  const share = Math.min(
    length.plusMinusCm / length.cm,
    Math.hypot(length.plusMinusCm / length.cm - before.plusMinusCm / before.cm, after.plusMinusCm / after.cm),
  )
  return { cm: (length.cm * after.cm) / before.cm, plusMinusCm: ((length.cm * after.cm) / before.cm) * share }
}

/**
 * How far a stitch of the bag differs from the swatch's, nine times of ten (from memory: a bag is worked in the round, for hours, and
 * nobody watches their tension as on a swatch). It adds to the error of the swatch's count, so a measured bag outweighs its swatch.
 */
const SWATCH_TO_BAG = 0.08

type Side = 'width' | 'height'

/** A swatch's stitch as a measure of the bag's: less sure than its count. */
function ofBag(length: Length): Length {
  return { cm: length.cm, plusMinusCm: Math.hypot(length.plusMinusCm, length.cm * SWATCH_TO_BAG) }
}

/**
 * A gauge refined by finished work. The measured kind takes the weighted mean of swatch and work; kinds that were not
 * measured on the swatch follow in proportion, and those that were stay as they are.
 */
export function refine(gauge: Gauge, { kind, width, height }: Evidence): Gauge {
  const { counted, toldSide, ...own } = gauge[kind]
  const known = (side: Side) => (counted || (toldSide && toldSide !== side) ? ofBag(own[side]) : own[side])
  const better = {
    width: width ? weighted(known('width'), width) : own.width, height: height ? weighted(known('height'), height) : own.height,
  }
  const told: Side | undefined = width && height ? undefined : width ? 'width' : 'height'
  const half = told && (counted ?? toldSide === told) ? { toldSide: told } : {}
  const refined = { ...gauge, [kind]: { ...own, ...better, ...half, known: 'measured' as const } }
  for (const other of Object.keys(gauge) as (keyof Gauge)[]) {
    const { counted: _, toldSide: __, ...next } = gauge[other]
    if (other === kind || next.known === 'measured' || next.height.cm === 0) continue
    refined[other] = { ...next, width: scaled(next.width, own.width, better.width), height: scaled(next.height, own.height, better.height) }
  }
  return refined
}

/** How far a maker's tension may wander in a round: over a hundred rounds about 4 % (from memory: hands tighten over a bag). */
const DRIFT_SHARE = 0.004

/** A gauge as it is known so many rounds after it was learnt: the same, and less sure, as a random walk strays. */
export function drifted(gauge: Gauge, rounds: number): Gauge {
  if (rounds <= 0) return gauge
  const share = DRIFT_SHARE * Math.sqrt(rounds)
  const less = (length: Length): Length => ({ cm: length.cm, plusMinusCm: Math.hypot(length.plusMinusCm, length.cm * share) })
  return Object.fromEntries(
    Object.entries(gauge).map(([kind, size]) => [kind, { ...size, width: less(size.width), height: less(size.height) }]),
  ) as Gauge
}
