import { applyPatches, enablePatches, type Patch, produce, produceWithPatches } from 'immer'
import type { Change, Fix } from '../../parts/part/finding'
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
export type Writable<T> = T extends readonly (infer I)[]
  ? Writable<I>[]
  : T extends object
    ? { -readonly [K in keyof T]: Writable<T[K]> }
    : T

/** Changes a design by a recipe; no edit comes back if nothing changed. */
export function edit(
  design: Design,
  label: string,
  recipe: (design: Writable<Design>) => void,
  group?: string,
): { design: Design, edit?: Edit } {
  const [next, forward, backward] = produceWithPatches(design, draft => void recipe(draft as Writable<Design>))
  if (forward.length === 0) return { design }
  return { design: next, edit: { label, forward, backward, ...(group ? { group } : {}) } }
}

type Holder = Record<string | number, unknown>

/** Where in its holder a key lies: in a list, a word is the id of one of its things. */
function keyIn(holder: unknown, key: string | number): string | number {
  return Array.isArray(holder) && typeof key === 'string' ? holder.findIndex(one => (one as { id?: unknown }).id === key) : key
}

/** Puts a value in its place; a thing that takes the place of one with an id is known by the same. */
function put(draft: object, { path, value }: Change): void {
  const holder = path.slice(0, -1).reduce<unknown>((at, key) => (at as Holder)[keyIn(at, key)], draft) as Holder
  const last = path.at(-1)!
  const key = keyIn(holder, last)
  if (value === undefined) Reflect.deleteProperty(holder, key)
  else holder[key] = Array.isArray(holder) && typeof last === 'string' ? { ...(value as object), id: last } : value
}

/** Something other than a design with values put in their places. */
export function withChanges<T extends object>(value: T, changes: readonly Change[]): T {
  return produce(value, draft => changes.forEach(change => put(draft as object, change)))
}

/** Changes a design as a finding's fix, or an answer to a question, says. */
export function applyFix(design: Design, { label, changes }: Fix, group?: string): { design: Design, edit?: Edit } {
  return edit(design, label, draft => changes.forEach(change => put(draft, change)), group)
}

export function apply(design: Design, change: Edit): Design {
  return applyPatches(design, change.forward as Patch[])
}

export function undo(design: Design, change: Edit): Design {
  return applyPatches(design, change.backward as Patch[])
}
