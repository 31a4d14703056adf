import { GRAMS_PER_OUNCE, KG_PER_POUND, METRES_PER_YARD } from '../measure/amounts'
import { parseNumber } from '../measure/parse'
import { hookNamed } from './hooks'

/** Factors of units typed behind a figure, to the unit that is asked for. */
const UNITS: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  kg: { kg: 1, g: 0.001, lb: KG_PER_POUND, lbs: KG_PER_POUND, oz: GRAMS_PER_OUNCE / 1000 },
  g: { g: 1, kg: 1000, oz: GRAMS_PER_OUNCE, lb: KG_PER_POUND * 1000, lbs: KG_PER_POUND * 1000 },
  m: { m: 1, yd: METRES_PER_YARD, yds: METRES_PER_YARD, cm: 0.01 },
  lb: { lb: 1, lbs: 1, oz: 1 / 16, kg: 1 / KG_PER_POUND, g: 0.001 / KG_PER_POUND },
  oz: { oz: 1, lb: 16, lbs: 16, g: 1 / GRAMS_PER_OUNCE, kg: 1000 / GRAMS_PER_OUNCE },
  yd: { yd: 1, yds: 1, m: 1 / METRES_PER_YARD, ft: 1 / 3 },
  mm: { mm: 1, cm: 10 },
}

/**
 * Reads a figure with a unit as a maker types it: `2,5`, `20 sts`, `2 lb` where kilograms are; where millimetres are, which are of
 * hooks, also their names (`H-8`). Nothing if it cannot be read.
 */
export function parseFigure(text: string, unit = ''): number | undefined {
  const plain = parseNumber(text)
  if (plain !== undefined) return plain
  const [, figure, typed] = /^(.*?\d)\s*([a-z%]+\.?)$/i.exec(text.trim()) ?? []
  const value = figure === undefined ? undefined : parseNumber(figure)
  if (value !== undefined) {
    const factor = UNITS[unit]?.[typed!.toLowerCase()]
    if (factor !== undefined) return Math.round(value * factor * 100_000) / 100_000
    if (unit !== '' && unit.toLowerCase().startsWith(typed!.toLowerCase().replace(/s?\.?$/, ''))) return value
  }
  return unit === 'mm' ? hookNamed(text) : undefined
}
