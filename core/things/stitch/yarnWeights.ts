/**
 * A class of yarn thickness, with the single-crochet gauge and hooks it is usually worked at.
 * From the Craft Yarn Council's Standard Yarn Weight System (from memory).
 */
export interface YarnWeight {
  readonly number: 0 | 1 | 2 | 3 | 4 | 5 | 6 | 7
  readonly name: string
  /** Stitches in 4 inches (10.16 cm) of single crochet, from and to; lace is given in double crochet. */
  readonly stitchesIn4Inches: readonly [from: number, to: number]
  readonly gaugeStitch: 'sc' | 'dc'
  readonly hookMm: readonly [from: number, to: number]
  /** Metres that a hundred grams of cotton or wool of it usually hold (common practice, no source). */
  readonly metresPer100g: number
}

export const YARN_WEIGHTS: readonly YarnWeight[] = [
  { number: 0, name: 'Lace', metresPer100g: 800, stitchesIn4Inches: [32, 42], gaugeStitch: 'dc', hookMm: [1.5, 2.25] },
  { number: 1, name: 'Super fine', metresPer100g: 400, stitchesIn4Inches: [21, 32], gaugeStitch: 'sc', hookMm: [2.25, 3.5] },
  { number: 2, name: 'Fine', metresPer100g: 330, stitchesIn4Inches: [16, 20], gaugeStitch: 'sc', hookMm: [3.5, 4.5] },
  { number: 3, name: 'Light', metresPer100g: 250, stitchesIn4Inches: [12, 17], gaugeStitch: 'sc', hookMm: [4.5, 5.5] },
  { number: 4, name: 'Medium', metresPer100g: 200, stitchesIn4Inches: [11, 14], gaugeStitch: 'sc', hookMm: [5.5, 6.5] },
  { number: 5, name: 'Bulky', metresPer100g: 130, stitchesIn4Inches: [8, 11], gaugeStitch: 'sc', hookMm: [6.5, 9] },
  { number: 6, name: 'Super bulky', metresPer100g: 90, stitchesIn4Inches: [7, 9], gaugeStitch: 'sc', hookMm: [9, 15] },
  { number: 7, name: 'Jumbo', metresPer100g: 50, stitchesIn4Inches: [5, 6], gaugeStitch: 'sc', hookMm: [15, 30] },
]

/** Centimetres in four inches. */
const FOUR_INCHES_CM = 10.16

/**
 * The class of yarn whose usual gauge comes nearest to so many single crochet in a centimetre. A rule of thumb: a firm
 * hand or a small hook, as bags want, reads a class or two finer than the label would.
 */
export function yarnWeightFor(stitchesPerCm: number): YarnWeight {
  const stitches = stitchesPerCm * FOUR_INCHES_CM
  const miss = ({ stitchesIn4Inches: [from, to] }: YarnWeight) => Math.max(0, from - stitches, stitches - to)
  return YARN_WEIGHTS.filter(({ gaugeStitch }) => gaugeStitch === 'sc').reduce((best, one) => miss(one) < miss(best) ? one : best)
}
