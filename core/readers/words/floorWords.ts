import type { BagSizes } from '../../bag/draft/sizes'
import { figure, formatCm, formatLength, type Units } from '../../things/measure/format'
import { type Floor, hasFloor, isDisc } from '../../parts/part/floor'

/** Whether there is nothing but a floor: it is no bag yet, and lies as it is. */
export function isFloorAlone({ floor, height }: Pick<BagSizes, 'floor' | 'height'>): boolean {
  return hasFloor(floor) && height.cm <= 0
}

/** How large a bag lies, in words: `38 cm wide and 40 cm tall lying flat`; of a floor alone, the floor. */
export function lyingWords(sizes: BagSizes, units: Units): string {
  if (isFloorAlone(sizes)) return `A floor, ${floorShort(sizes.floor, units)}`
  return `${formatCm(sizes.flatWidth.cm, units)} wide and ${formatCm(sizes.flatHeight.cm, units)} tall lying flat`
}

/** A floor's size in words: `12.4 ± 0.3 cm across`, `26 ± 0.6 cm by 9.5 ± 0.4 cm`. */
export function floorWords(floor: Floor, units: Units): string {
  if (!hasFloor(floor)) return 'none: it lies flat'
  if (isDisc(floor)) return `${formatLength(floor.length, units)} across`
  return `${formatLength(floor.length, units)} by ${formatLength(floor.width, units)}`
}

/** A floor's size without its uncertainty: `12.4 cm across`, `26 × 9.5 cm`. */
export function floorShort(floor: Floor, units: Units): string {
  if (!hasFloor(floor)) return 'no floor'
  if (isDisc(floor)) return `${formatCm(floor.length.cm, units)} across`
  return `${figure(floor.length.cm, units)} × ${formatCm(floor.width.cm, units)}`
}
