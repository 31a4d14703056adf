import { formatGrams, formatGramsRange, formatKg, formatMetres } from '../measure/amounts'
import { formatCm, inHundredthsOfAnInch, type Units } from '../measure/format'
import { STITCHES, type StitchKind, type Terms } from './dictionary'

/*
 * Texts before they are told
 * ==========================
 *
 * Findings, advice and labels are written before the maker's vocabulary and tape are known. What depends on those stands in curly
 * brackets, as data, and is put into words in one place, here:
 *
 *     {dc} {dc.name}     a stitch, by its abbreviation or its name
 *     {12.34 cm}         a length, on the maker's tape
 *     {2.35 mm}          a length too fine for a tape, such as a stitch's
 *     {311 m} {45 g} {2.3 kg}  yarn by length and by weight, and a load
 *     {35-50 g}          from so much yarn to so much
 *     {3 stitch|stitches}  so many of something, in the singular or the plural
 */

/** Options of translating: the maker's vocabulary, and the marks of their tape. */
export interface TranslateOptions {
  readonly terms: Terms
  readonly units: Units
}

/** A value that stands in a text. */
export type Value
  = { readonly cm: number } | { readonly mm: number }
    | { readonly m: number } | { readonly g: number } | { readonly kg: number }
    | { readonly stitch: StitchKind } | { readonly number: number, readonly of: string }

const TOKEN = /\{(?:(\d+)-(\d+) g|(-?[\d.]+) (cm|mm|m|g|kg)|(-?[\d.]+) ([^|{}]+)\|([^{}]+)|(\w+)(\.name)?)\}/g

/** A length in a text that is yet to be told. */
export function tape(cm: number): string {
  return `{${Math.round(cm * 10_000) / 10_000} cm}`
}

/** A fine length in a text that is yet to be told: to a hundredth of a millimetre. */
export function fine(cm: number): string {
  return `{${(cm * 10).toFixed(2)} mm}`
}

/** A length of yarn in a text that is yet to be told: whole metres. */
export function metresOf(metres: number): string {
  return `{${Math.round(metres)} m}`
}

/** A weight of yarn in a text that is yet to be told: whole grams. */
export function gramsOf(grams: number): string {
  return `{${Math.round(grams)} g}`
}

/** From so much yarn to so much by weight, in a text that is yet to be told: whole grams, the span no narrower than it is. */
export function gramsFromTo(low: number, high: number): string {
  return `{${Math.max(0, Math.floor(low))}-${Math.max(0, Math.ceil(high))} g}`
}

/** A load in a text that is yet to be told. */
export function kilosOf(kg: number): string {
  return `{${kg.toFixed(1)} kg}`
}

/** So many of something, in a text that is yet to be told. */
export function many(number: number, one: string, several = `${one}s`): string {
  return `{${number} ${one}|${several}}`
}

interface Token {
  readonly value: Value
  readonly words: (told: TranslateOptions) => string
}

const AMOUNTS = { m: formatMetres, g: formatGrams, kg: formatKg } as const

function amountToken(amount: number, unit: 'm' | 'g' | 'kg'): Token {
  return { value: { [unit]: amount } as Value, words: ({ units }) => AMOUNTS[unit](amount, units) }
}

function tokenOf(found: RegExpMatchArray | readonly (string | undefined)[]): Token | undefined {
  const [, low, high, length, unit, number, one, several, kind, name] = found
  if (low !== undefined)
    return { value: { g: Number(high) }, words: ({ units }) => formatGramsRange(Number(low), Number(high), units) }
  if (length !== undefined && unit === 'cm') return { value: { cm: Number(length) }, words: ({ units }) => formatCm(Number(length), units) }
  if (length !== undefined && unit !== 'mm') return amountToken(Number(length), unit as 'm' | 'g' | 'kg')
  if (length !== undefined)
    return {
      value: { mm: Number(length) },
      words: ({ units }) => (units === 'in' ? inHundredthsOfAnInch(Number(length) / 10) : `${length} mm`),
    }
  if (number !== undefined)
    return { value: { number: Number(number), of: one! }, words: () => `${number} ${Math.abs(Number(number)) === 1 ? one : several}` }
  if (kind === undefined || !(kind in STITCHES)) return undefined
  return {
    value: { stitch: kind as StitchKind },
    words: ({ terms }) => STITCHES[kind as StitchKind][terms][name ? 'name' : 'abbreviation'],
  }
}

/** A text in the maker's vocabulary and on their tape; brackets that hold nothing known stay as they are. */
export function translate(text: string, told: TranslateOptions): string {
  return text.replace(
    TOKEN,
    (whole: string, ...groups: unknown[]) => tokenOf([whole, ...(groups as (string | undefined)[])])?.words(told) ?? whole,
  )
}

/** The values that a text holds, in order. */
export function valuesIn(text: string): Value[] {
  return [...text.matchAll(TOKEN)].flatMap(found => tokenOf(found)?.value ?? [])
}

/** The stitches that a text names by their abbreviations. */
export function stitchesIn(text: string): StitchKind[] {
  return [...text.matchAll(/\{(\w+)\}/g)].flatMap(([, kind]) => (kind! in STITCHES ? [kind as StitchKind] : []))
}
