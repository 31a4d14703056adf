import type { StitchKind } from '../../things/stitch/dictionary'

/*
 * The craft's figures before any bag of the maker's own: rules of thumb, from memory, each with how far makers differ from it.
 */

/** Seconds a stitch takes a practised maker (from memory; common practice, no source). */
export const CRAFT_SECONDS: Readonly<Record<StitchKind, number>> = { ch: 1.5, slst: 2.5, sc: 3.5, hdc: 4, dc: 5, tr: 6.5 }

/** How far makers' paces differ from that, and one maker's pace from bag to bag, as logarithms (from memory). */
export const PACE_SPREAD = { makers: 0.35, bags: 0.06 } as const

/** How far the pace of a stitch not timed yet may be from the others of one maker (from memory). */
export const OTHER_STITCH_SPREAD = 0.15

/** A stitch pattern goes slower than its stitches alone (from memory). */
export const PATTERN_SLOWER = 1.25

/** How much slower the hands are late in a sitting (from memory), and how far makers differ. */
export const TIRED = { value: Math.log(1.08), makers: 0.08, bags: 0.05 } as const

/** Share of the time for ripping back and counting besides (from memory). */
export const AGAIN = { value: Math.log(1.05), makers: 0.05, bags: 0.03 } as const

/** How far bags come out from their swatches, and one maker's from each other (from memory). */
export const SWATCH_SPREAD = { makers: 0.05, bags: 0.015 } as const

/** How far what is measured within one bag differs: hands tighten over it (from memory). */
export const WITHIN_BAG = 0.01

/** How far the yarn a stitch eats differs from the factors (from memory), and from bag to bag. */
export const YARN_SPREAD = { makers: 0.25, bags: 0.05 } as const

/** Minutes an evening of work has, and days from one to the next, before anything is known (from memory). */
export const USUAL_EVENING = { minutes: 60, daysApart: 1.5 } as const
