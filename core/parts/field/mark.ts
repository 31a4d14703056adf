import { between, text } from './questions'
import type { CountField, TextField } from './field'

/** A mark that every document has. */
export function word<const W extends string>(value: W): TextField<W> {
  return text<W>(value, 1, 20, { pattern: { source: `^${value}$`, message: `must be ${value}` } })
}

/** The version of a document: older ones are brought up to the latest before anything else reads them. */
export function versionField<const V extends number>(latest: V): CountField<V> {
  return { is: 'count', label: 'Version', bounds: between(1, latest) }
}
