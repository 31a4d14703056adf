import type { BagFacts, SizeFact } from './bagFacts'

/** How good the sizes were that were said with a band: how many the tape found inside it. */
export interface Calibration {
  readonly from: BagFacts['gaugeFrom']
  readonly said: number
  readonly inside: number
  /** The middle one of how far they were off, as a share. */
  readonly middleOff: number
}

/** Accuracy of a tape: a size that far from its range may well lie inside. */
const TAPE_CM = 0.3

export function isInside({ saidCm, plusMinusCm, cm }: SizeFact): boolean {
  return Math.abs(cm - saidCm) <= Math.hypot(plusMinusCm, TAPE_CM)
}

/** How good the sizes said were, by where their gauge came from. */
export function calibrationOf(bags: readonly BagFacts[]): Calibration[] {
  return (['craft', 'swatch', 'you'] as const).flatMap((from): Calibration[] => {
    const sizes = bags.filter(({ gaugeFrom }) => gaugeFrom === from).flatMap(bag => bag.sizes)
    if (sizes.length === 0) return []
    const off = sizes.map(({ saidCm, cm }) => Math.abs(cm - saidCm) / saidCm).sort((a, b) => a - b)
    return [{ from, said: sizes.length, inside: sizes.filter(isInside).length, middleOff: off[off.length >> 1]! }]
  })
}
