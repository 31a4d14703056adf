import type { YarnWish } from './yarnDemand'

/** Limits of a search: how much of what the maker will put up with. */
export interface FitWish {
  /** How far each size of the base may be off. */
  readonly toleranceCm: number
  /** Adjusting rounds at most. */
  readonly mostAdjusting: number
  /** A yarn that must last, if one is short. */
  readonly yarn?: YarnWish
}

/** The usual limits. */
export const USUAL_WISH: FitWish = { toleranceCm: 1.5, mostAdjusting: 2 }
