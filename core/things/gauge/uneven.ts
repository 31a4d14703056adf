import type { Length } from '../measure/length'

/*
 * A bag is not its swatch: the stitches of both are a little off, each on its own, and their errors even out only in part. That comes on
 * top of the half stitch that a count is good to.
 */

/** How far one stitch is off those beside it, as a share of it (from memory: 5 to 6 % in even hands; the larger one is taken). */
const UNEVEN_SHARE = 0.06

/** Nineteen lengths of twenty lie within so many standard deviations (common practice, no source). */
const DEVIATIONS = 2

/** How many stitches across, and how many rounds up, a swatch was counted over. */
export interface SwatchExtent {
  readonly stitches: number
  readonly rounds: number
}

/**
 * A length as sure as stitches are even, besides what the gauge is good to: `n` of them side by side are off by the root of `n` of one, in
 * the work as in the swatch.
 *
 * @param stitchCm how long one of them is, along the length
 * @param counted how many of them the swatch's count told
 */
export function unevenly({ cm, plusMinusCm }: Length, stitchCm: number, counted: number): Length {
  const deviationCm = UNEVEN_SHARE * Math.sqrt(Math.abs(cm) * stitchCm + (cm * cm) / counted)
  return { cm, plusMinusCm: Math.hypot(plusMinusCm, DEVIATIONS * deviationCm) }
}
