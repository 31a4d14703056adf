import { applyPatches, enablePatches, freeze, type Patch, produceWithPatches } from 'immer'
import type { Fix } from '../part/finding'
import type { Design } from './design'

enablePatches()

/** A reversible change of a design. Undo, redo, findings' fixes and fit results are all edits. */
export interface Edit {
  readonly label: string
  readonly forward: readonly Patch[]
  readonly backward: readonly Patch[]
  /** Edits of one group, such as the keystrokes in one field, are undone together. */
  readonly group?: string
}

/** A design that a recipe may write into. */
export type Writable<T> = T extends readonly (infer I)[] ? Writable<I>[] : T extends object ? { -readonly [K in keyof T]: Writable<T[K]> } : T

/** Changes a design by a recipe; no edit comes back if nothing changed. */
export function edit(design: Design, label: string, recipe: (design: Writable<Design>) => void, group?: string): { design: Design, edit?: Edit } {
  const [next, forward, backward] = produceWithPatches(design, draft => void recipe(draft as Writable<Design>))
  if (forward.length === 0) return { design }
  return { design: next, edit: { label, forward, backward, ...(group ? { group } : {}) } }
}

/** Changes a design as a finding's fix says. */
export function applyFix(design: Design, fix: Fix): { design: Design, edit?: Edit } {
  return edit(design, fix.label, (draft) => {
    for (const { path, value } of fix.changes) {
      const holder = path.slice(0, -1).reduce<unknown>((at, key) => (at as Record<string | number, unknown>)[key], draft)
      const key = path[path.length - 1]!
      if (value === undefined) Reflect.deleteProperty(holder as object, key)
      else (holder as Record<string | number, unknown>)[key] = value
    }
  })
}

export function apply(design: Design, change: Edit): Design {
  return applyPatches(design, change.forward as Patch[])
}

export function undo(design: Design, change: Edit): Design {
  return applyPatches(design, change.backward as Patch[])
}

/** A design that nobody can write into by accident. */
export function frozen(design: Design): Design {
  return freeze(design, true)
}
