import type { Units } from './format'

/** Metres in a yard, and grams in an ounce and a pound: exact by the international yard and pound agreement of 1959. */
export const METRES_PER_YARD = 0.9144
export const GRAMS_PER_OUNCE = 28.349_523_125
export const KG_PER_POUND = 0.453_592_37

/** A figure to one place under ten, whole above it. */
function plain(value: number): string {
  return String(Math.abs(value) < 10 ? Math.round(value * 10) / 10 : Math.round(value))
}

/** So much yarn in length, in whole metres or yards: `311 m`, `340 yd`. */
export function formatMetres(metres: number, units: Units): string {
  return units === 'in' ? `${Math.round(metres / METRES_PER_YARD)} yd` : `${Math.round(metres)} m`
}

/** So much yarn by weight: `45 g`, `1.6 oz`. */
export function formatGrams(grams: number, units: Units): string {
  return units === 'in' ? `${plain(grams / GRAMS_PER_OUNCE)} oz` : `${Math.round(grams)} g`
}

/** From so many grams to so many: `35 to 50 g`, `1.2 to 1.8 oz`; one figure where both read the same. */
export function formatGramsRange(low: number, high: number, units: Units): string {
  const [from, to] = [formatGrams(low, units), formatGrams(high, units)]
  return from === to ? to : `${from.split(' ')[0]} to ${to}`
}

/** How far so much of a yarn runs: `220 m in 100 g`, `68 yd in 1 oz`. */
export function formatRunning(metresPer100g: number, units: Units): string {
  return units === 'in'
    ? `${Math.round((metresPer100g / 100) * GRAMS_PER_OUNCE / METRES_PER_YARD)} yd in 1 oz`
    : `${Math.round(metresPer100g)} m in 100 g`
}

/** A load: `2.3 kg`, `5.1 lb`. */
export function formatKg(kg: number, units: Units): string {
  return units === 'in' ? `${(kg / KG_PER_POUND).toFixed(1)} lb` : `${kg.toFixed(1)} kg`
}

/** The unit shown with inches, and how much of the metric one it is. */
const WITH_INCHES: Readonly<Record<string, { readonly unit: string, readonly each: number }>> = {
  g: { unit: 'oz', each: GRAMS_PER_OUNCE }, kg: { unit: 'lb', each: KG_PER_POUND }, m: { unit: 'yd', each: METRES_PER_YARD },
}

/** The unit that an amount is asked in of somebody who measures so, and how much of the one it is kept in that is. */
export function askedIn(unit: string | undefined, units: Units): { readonly unit: string | undefined, readonly each: number } {
  return (units === 'in' && WITH_INCHES[unit ?? '']) || { unit, each: 1 }
}
