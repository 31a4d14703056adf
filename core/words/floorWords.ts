import { figure, formatCm, formatLength, type Units } from '../measure/format'
import type { Floor } from '../part/floor'

/** A floor's size in words: `12.4 ± 0.3 cm across`, `26 ± 0.6 cm by 9.5 ± 0.4 cm`. */
export function floorWords(floor: Floor, units: Units): string {
  if (floor.shape === 'none') return 'none: it lies flat'
  if (floor.shape === 'disc') return `${formatLength(floor.length, units)} across`
  return `${formatLength(floor.length, units)} by ${formatLength(floor.width, units)}`
}

/** A floor's size without its uncertainty: `12.4 cm across`, `26 × 9.5 cm`. */
export function floorShort(floor: Floor, units: Units): string {
  if (floor.shape === 'none') return 'no floor'
  if (floor.shape === 'disc') return `${formatCm(floor.length.cm, units)} across`
  return `${figure(floor.length.cm, units)} × ${formatCm(floor.width.cm, units)}`
}
