import type { FudgeKind } from '../../things/round/fudgeWays'

/** A round of the bag in which a miscount is put right: worked otherwise in so many places, or spread evenly round it. */
export interface PutRightIn {
  readonly round: number
  readonly how: { readonly kind: FudgeKind, readonly places: number } | 'spread'
  /** Where it is worked otherwise. */
  readonly where: 'seam' | 'ends' | 'row'
}
