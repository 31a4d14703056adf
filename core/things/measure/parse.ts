import { CM_PER_INCH, type Units } from './format'

const GLYPHS: Record<string, string> = {
  '⅛': '1/8', '¼': '1/4', '⅜': '3/8', '½': '1/2', '⅝': '5/8', '¾': '3/4', '⅞': '7/8',
}

const NUMBER = /^(-?\d+(?:[.,]\d+)?|-?[.,]\d+)?(?:\s*(\d+)\/(\d+))?$/

/** Thousands as the program itself writes them: `11,886`. A decimal comma before just three figures nobody types. */
const THOUSANDS = /^-?[1-9]\d{0,2}(?:,\d{3})+$/

/** A plain number, a fraction or a mixed number (`4 3/4`, `4¾`, `12,5`) or nothing if it is none of these. */
export function parseNumber(text: string): number | undefined {
  const plain = text
    .trim()
    .replace(/[⅛¼⅜½⅝¾⅞]/g, glyph => ` ${GLYPHS[glyph]}`)
    .trim()
  if (THOUSANDS.test(plain)) return Number(plain.replaceAll(',', ''))
  const fractionOnly = /^(-?)(\d+)\/(\d+)$/.exec(plain)
  if (fractionOnly)
    return Number(fractionOnly[3]) === 0 ? undefined : (Number(`${fractionOnly[1]}1`) * Number(fractionOnly[2])) / Number(fractionOnly[3])
  const match = NUMBER.exec(plain)
  if (!match || match[1] === undefined) return undefined
  const whole = Number(match[1].replace(',', '.'))
  if (match[2] === undefined) return whole
  if (Number(match[3]) === 0 || !Number.isInteger(whole)) return undefined
  const part = Number(match[2]) / Number(match[3])
  return whole < 0 ? whole - part : whole + part
}

/**
 * Reads a length as a maker types it, in centimetres. A unit behind the figure (`cm`, `mm`, `in`, `"`) beats `units`.
 * Nothing if it cannot be read.
 */
export function parseLengthCm(text: string, units: Units): number | undefined {
  const match = /^(.*?)\s*(cm|mm|in|inch|inches|"|″)?$/i.exec(text.trim())
  const value = parseNumber(match?.[1] ?? '')
  if (value === undefined) return undefined
  const unit = (match?.[2] ?? units).toLowerCase()
  if (unit === 'cm') return value
  return unit === 'mm' ? value / 10 : value * CM_PER_INCH
}
