import { weighted } from '../../../things/gauge/refine'
import { combinedShare, type Length, relativeUncertainty } from '../../../things/measure/length'

/** A length as it was measured, and as it was told before. */
export interface LengthComparison {
  readonly told: number
  readonly real: Length
}

/** A texture's share of its height or width, weighed against what was seen of it. */
export function newShare(share: Length, stitch: Length, { told, real }: LengthComparison): Length {
  const doubt = combinedShare(share.plusMinusCm / share.cm, relativeUncertainty(stitch))
  const both = weighted({ cm: told, plusMinusCm: told * doubt }, real)
  return { cm: (share.cm * both.cm) / told, plusMinusCm: (share.cm * both.plusMinusCm) / told }
}

/** A stitch's size by a stretch of it: as much larger or smaller as the stretch was. */
export function scaledBy(stitch: Length, { told, real }: LengthComparison): Length {
  return { cm: (stitch.cm * real.cm) / told, plusMinusCm: (stitch.cm * real.plusMinusCm) / told }
}
