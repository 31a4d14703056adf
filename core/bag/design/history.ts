import type { Design } from './design'
import { apply, type Edit, undo as takeBack } from './edit'

/** Edits of a design that can be undone, and those undone that can be done again. */
export interface History {
  readonly past: readonly Edit[]
  readonly future: readonly Edit[]
}

/** Further back than this nobody goes. */
const LONGEST = 500

export const NO_HISTORY: History = { past: [], future: [] }

function merge(earlier: Edit, later: Edit): Edit {
  return { ...later, forward: [...earlier.forward, ...later.forward], backward: [...later.backward, ...earlier.backward] }
}

/** Adds an edit just made; one of the same group as the last joins it. What was undone can no longer be done again. */
export function record(history: History, change: Edit): History {
  const last = history.past[history.past.length - 1]
  if (last?.group && last.group === change.group && history.future.length === 0) {
    return { past: [...history.past.slice(0, -1), merge(last, change)], future: [] }
  }
  return { past: [...history.past, change].slice(-LONGEST), future: [] }
}

export function undo(design: Design, history: History): { design: Design, history: History } {
  const last = history.past[history.past.length - 1]
  if (!last) return { design, history }
  return { design: takeBack(design, last), history: { past: history.past.slice(0, -1), future: [last, ...history.future] } }
}

export function redo(design: Design, history: History): { design: Design, history: History } {
  const [next, ...later] = history.future
  if (!next) return { design, history }
  return { design: apply(design, next), history: { past: [...history.past, next], future: later } }
}
