import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Design } from '~~/core/design/design'
import { applyFix as fixed, edit as edited, type Edit, type Writable } from '~~/core/design/edit'
import { type History, NO_HISTORY, record, redo as redone, undo as undone } from '~~/core/design/history'
import { newDesign } from '~~/core/design/starter'
import { type Draft, draft as drafted } from '~~/core/draft/draft'
import type { Change, Fix } from '~~/core/part/finding'

/**
 * The bag in hand: its design, what follows from it, and what can be undone. There always is one; `isOpen` says whether it is a maker's.
 */
export const useDocument = defineStore('document', () => {
  const isOpen = ref(false)
  const design = shallowRef<Design>(newDesign('No bag'))
  const history = shallowRef<History>(NO_HISTORY)
  /** What is the same up to the first change is taken over from the draft before. */
  const draft = computed<Draft>(before => drafted(design.value, before))
  const undoLabel = computed(() => history.value.past.at(-1)?.label)
  const redoLabel = computed(() => history.value.future[0]?.label)

  /** Takes a bag in hand, as it is kept: nothing of it can be undone yet. */
  function put(bag: Design): void {
    design.value = bag
    history.value = NO_HISTORY
    isOpen.value = true
  }

  /** Lets go of the bag. */
  function close(): void {
    isOpen.value = false
    history.value = NO_HISTORY
  }

  function take({ design: next, edit }: { design: Design, edit?: Edit }): void {
    if (!edit || !isOpen.value) return
    history.value = record(history.value, edit)
    design.value = next
  }

  /** Changes the bag; edits of one group, such as the keystrokes in a field, are undone together. */
  function edit(label: string, recipe: (design: Writable<Design>) => void, group?: string): void {
    take(edited(design.value, label, recipe, group))
  }

  /** Puts values in their places, all as one edit. */
  function change(label: string, changes: readonly Change[], group?: string): void {
    take(fixed(design.value, { label, changes }, group))
  }

  function applyFix(fix: Fix): void {
    take(fixed(design.value, fix))
  }

  function step(move: typeof undone): void {
    const after = move(design.value, history.value)
    history.value = after.history
    design.value = after.design
  }

  return {
    isOpen, design, draft, undoLabel, redoLabel, put, close, edit, change, applyFix, undo: () => step(undone), redo: () => step(redone),
  }
})
