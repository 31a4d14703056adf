import type { Start } from '../../parts/part/start'
import type { Edge } from '../../things/round/edge'
import type { Step } from '../../things/round/step'
import type { Terms } from '../../things/stitch/dictionary'
import { sayClauses } from './manner'
import { clausesOf } from './sentenceOf'

/** Steps in words on an edge, without start or end: a maker's own line, or a suggestion. Repeats stand in brackets. */
export function stepsWords(steps: readonly Step[], { terms, on, start }: { terms: Terms, on: Edge, start: Start }): string {
  return sayClauses(clausesOf(steps, on, start), { terms, repeats: 'brackets', start })
}
