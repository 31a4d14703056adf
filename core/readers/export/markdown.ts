import { asMarkdown } from '../words/asText'
import { patternOf } from '../words/pattern'
import { exported } from './kind'

/** The pattern in Markdown. */
export const markdown = exported({
  as: 'md', name: 'Pattern as Markdown', type: 'text/markdown', extension: 'md',
  write: (draft, terms, repeats, taught) => asMarkdown(patternOf(draft, terms, repeats, taught)),
})
