import type { Start } from '../part/start'
import type { Edge } from '../round/edge'
import type { Step } from '../round/step'
import type { Terms } from '../stitch/dictionary'
import { sayClauses } from './say'
import { clausesOf } from './sentenceOf'

/** Steps in words on an edge, without start or end: a maker's own line, or a suggestion. Repeats stand in brackets. */
export function stepsWords(steps: readonly Step[], { terms, on, start }: { terms: Terms, on: Edge, start: Start }): string {
  return sayClauses(clausesOf(steps, on, start), { terms, repeats: 'brackets', start })
}
