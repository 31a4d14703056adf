import { asText } from '../words/asText'
import { patternOf } from '../words/pattern'
import { exported } from './kind'

/** The pattern in plain text. */
export const text = exported({
  as: 'text', name: 'Pattern as text', type: 'text/plain', extension: 'txt',
  write: (draft, terms, repeats, taught) => asText(patternOf(draft, terms, repeats, taught)),
})
