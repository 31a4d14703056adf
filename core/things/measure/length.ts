/**
 * A length in centimetres with the uncertainty it carries.
 *
 * Every size of a bag descends from a count on a swatch, and a count is good to about half a stitch
 * (craft 4), so no size is shown without its `plusMinusCm`.
 */
export interface Length {
  readonly cm: number
  readonly plusMinusCm: number
}

/** A length known exactly, such as one the maker wants. */
export function exactly(cm: number): Length {
  return { cm, plusMinusCm: 0 }
}

/** The same length `factor` times over; the uncertainty grows with it. */
export function times(length: Length, factor: number): Length {
  return { cm: length.cm * factor, plusMinusCm: length.plusMinusCm * Math.abs(factor) }
}

/**
 * Two lengths end to end. Uncertainties add in full: lengths of one bag come from one swatch, so
 * they err in the same direction together.
 */
export function plus(a: Length, b: Length): Length {
  return { cm: a.cm + b.cm, plusMinusCm: a.plusMinusCm + b.plusMinusCm }
}

/** The uncertainty as a share of the length, 0.025 for 2.5 %; 0 for a length of nothing. */
export function relativeUncertainty(length: Length): number {
  return length.cm === 0 ? 0 : length.plusMinusCm / Math.abs(length.cm)
}

/** The same length with this share of uncertainty. */
export function withUncertainty(cm: number, share: number): Length {
  return { cm, plusMinusCm: Math.abs(cm) * share }
}

/** Independent shares of uncertainty together: the root of the sum of their squares. */
export function combinedShare(...shares: readonly number[]): number {
  return Math.hypot(...shares)
}
