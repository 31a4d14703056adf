import { text } from './questions'
import type { Fields } from './field'

/** A mark that every document has. */
export function word(value: string): Fields[string] {
  return text(value, 1, 20, { pattern: { source: `^${value}$`, message: `must be ${value}` } })
}
