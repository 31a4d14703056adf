import type { Change } from '../part/finding'
import type { PlacedField } from './placedField'

/**
 * Text answered as it is typed, or a word of a certain form once it has that form: a day or an hour half typed is none yet. Emptied, what
 * may be left out is left out.
 *
 * @returns nothing as long as it is no answer
 */
export function textAnswered({ field, path }: PlacedField, text: string): Change[] | undefined {
  if (text === '' && field.optional) return [{ path, value: undefined }]
  const pattern = field.is === 'text' ? field.pattern : undefined
  return pattern && !new RegExp(pattern.source, pattern.flags).test(text) ? undefined : [{ path, value: text }]
}
