import type { Problem } from './problem'

/*
 * Checks before anything else of what comes from a file or a request: that it is not larger, deeper or odder than any document
 * could be. It costs one look at each value, and what it refuses is not looked at further.
 */

/** How large a document can be: values in all, and in any one list. */
export interface Limits {
  readonly values: number
  readonly list: number
}

/** Far above what a design holds whose every list is full. */
export const DESIGN_LIMITS: Limits = { values: 20_000, list: 100 }

/** The message for a field that a document does not have. */
export const NO_FIELD = 'is not a field of this document; remove it'

const DEEPEST = 16
const MOST_FIELDS = 64

interface Place {
  readonly value: unknown
  readonly key: string | number
  readonly under?: Place
  readonly deep: number
}

const LONGEST_NAME = 40

function nameOf(key: string | number): string {
  return typeof key === 'string' && key.length > LONGEST_NAME ? `${key.slice(0, LONGEST_NAME)}…` : String(key)
}

function pathOf(place: Place): string {
  const keys: string[] = []
  for (let at: Place | undefined = place; at?.under; at = at.under) keys.unshift(nameOf(at.key))
  return keys.join('.')
}

/** Names that every object answers to: as fields of a document they would be taken for what they are not. */
function isReserved(key: string): boolean {
  return key in Object.prototype
}

function troubleOf({ value, deep }: Place, { list }: Limits): string | undefined {
  if (deep > DEEPEST) return `lies more than ${DEEPEST} levels deep; no document does`
  if (Array.isArray(value)) return value.length > list ? `holds ${value.length} things; at most ${list} are taken` : undefined
  const fields = Object.keys(value as object).length
  return fields > MOST_FIELDS ? `holds ${fields} fields; no part of a document has more than ${MOST_FIELDS}` : undefined
}

/** Trouble with the size or the shape of a document; nothing if it can be looked at closely. */
export function beyondLimits(input: unknown, limits: Limits): Problem | undefined {
  const waiting: Place[] = [{ value: input, key: '', deep: 0 }]
  let seen = 0
  for (let place = waiting.pop(); place; place = waiting.pop()) {
    if (typeof place.value !== 'object' || place.value === null) continue
    const trouble = troubleOf(place, limits)
    if (trouble) return { field: pathOf(place) || 'document', message: trouble }
    const reserved = Array.isArray(place.value) ? undefined : Object.keys(place.value).find(isReserved)
    if (reserved !== undefined)
      return { field: pathOf({ value: undefined, key: reserved, under: place, deep: 0 }), message: NO_FIELD }
    for (const [key, value] of Object.entries(place.value)) waiting.push({ value, key, under: place, deep: place.deep + 1 })
    if ((seen += Object.keys(place.value).length) > limits.values)
      return { field: 'document', message: `holds more than ${limits.values} values; no document needs so many` }
  }
  return undefined
}
