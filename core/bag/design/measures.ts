/** Lengths of a bag being made that a tape can be laid along. */
export const MEASURES = ['base-length', 'base-width', 'flat-width', 'height', 'part-height'] as const
export type Measure = (typeof MEASURES)[number]

/** A part of the bag under the tape, done or half done. */
export interface MeasuredPart {
  /** `base`, or the id of a part of the wall. */
  readonly part: string
  /** So many of its rounds were worked, and the last left so many stitches: another part than this one is not meant. */
  readonly rounds: number
  readonly stitches: number
  readonly what: Measure
  readonly cm: number
}
