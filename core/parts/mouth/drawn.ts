/** A mouth when its cords are pulled. */
interface CordPull {
  /** How far round it goes then. */
  readonly aroundCm: number
  /** The hole that is left. */
  readonly openingCm: number
  /** How much of each end of each cord hangs out. */
  readonly tailCm: number
}

/** Fabric is about as thick as this share of a stitch's width (from memory). */
export const THICK_SHARE = 0.6

/** The edge that the mouth is gathered from. */
export interface GatheredEdge {
  readonly mouthCm: number
  readonly eyelets: number
  readonly fabricCm: number
  readonly cords: number
  readonly cordCm: number
  readonly lengthCm: number
}

/**
 * A mouth with its cords pulled by a share of the way, 0 open and 1 tight. Tight, the posts between the eyelets stand side by
 * side in a ring, each as thick as the fabric: `n·t` round. Inside that ring lie half a post and the cords, so the hole left
 * is `n·t/π - t - 2·c` for cords `c` thick in all, or none (a plain model, marked as an estimate wherever it is shown).
 */
export function drawnBy({ mouthCm, eyelets, fabricCm, cords, cordCm, lengthCm }: GatheredEdge, share: number): CordPull {
  const tight = Math.min(mouthCm, eyelets * fabricCm)
  const aroundCm = mouthCm + (tight - mouthCm) * Math.min(1, Math.max(0, share))
  return {
    aroundCm, openingCm: Math.max(0, aroundCm / Math.PI - fabricCm - 2 * cords * cordCm), tailCm: Math.max(0, (lengthCm - aroundCm) / 2),
  }
}
