import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Design } from '~~/core/bag/design/design'
import { applyFix as fixed, edit as edited, type Edit, type Writable } from '~~/core/bag/design/edit'
import { type History, NO_HISTORY, record, redo as redone, undo as undone } from '~~/core/bag/design/history'
import { same } from '~~/core/things/measure/same'
import { unsoundness } from '~~/core/bag/design/consistency'
import { newDesign } from '~~/core/bag/design/starter'
import { type Draft, draft as drafted } from '~~/core/bag/draft/draft'
import { withoutDrafting } from '~~/core/bag/draft/withoutDrafting'
import type { Change, Fix } from '~~/core/parts/part/finding'
import { fetchKinds, NOT_FETCHED } from '~/kinds/fetchKinds'
import { useTape } from './tape'

/**
 * The bag in hand: its design, what follows from it, and what can be undone. There always is one; `isOpen` says whether it is a maker's.
 */
export const useDocument = defineStore('document', () => {
  const isOpen = ref(false)
  const design = shallowRef<Design>(newDesign('No bag'))
  const history = shallowRef<History>(NO_HISTORY)
  const tape = useTape()
  watch(() => (isOpen.value ? design.value : undefined), (open) => {
    tape.units = open?.units
    tape.hands = open?.hands
  }, { flush: 'sync', immediate: true })
  /** Why the last edit was not taken, in words; nothing after one that was. */
  const refused = ref<string>()
  /** That the program made a mistake with the bag as it is: it is drawn as it was before. */
  const mistaken = ref(false)
  /** Rounds that are the same up to the first change are taken over from the draft before. */
  const draft = computed<Draft>((before) => {
    const now = attempted(before)
    return now ?? before ?? drafted(newDesign('No bag'))
  })
  /** The last undo or redo; a new object each time. */
  const stepped = shallowRef<{ readonly did: 'undo' | 'redo', readonly label: string }>()
  const undoLabel = computed(() => history.value.past.at(-1)?.label)
  const redoLabel = computed(() => history.value.future[0]?.label)

  /** Drafts the bag in hand; nothing where that is beyond the program, which is its own mistake and must not take the screen away. */
  function attempted(before: Draft | undefined): Draft | undefined {
    try {
      const now = (before && withoutDrafting(before, design.value)) ?? drafted(design.value, { before })
      setMistaken(false)
      return now
    }
    catch (error) {
      console.error((error as Error).name)
      setMistaken(true)
      return undefined
    }
  }

  function setMistaken(now: boolean): void {
    if (mistaken.value !== now) queueMicrotask(() => (mistaken.value = now))
  }

  /** Takes a bag in hand, as it is kept, with what can be undone of it. */
  function put(bag: Design, undoable: History = NO_HISTORY): void {
    design.value = bag
    history.value = undoable
    refused.value = undefined
    isOpen.value = true
  }

  /** Takes over what was changed elsewhere. What was done here can still be undone as long as it stands where it stood. */
  function adopt(bag: Design): void {
    const standing = (lists: Design) => [lists.wall, lists.yarns, lists.repeats].map(list => list.map(({ id }) => id))
    if (!same(standing(design.value), standing(bag))) history.value = NO_HISTORY
    design.value = bag
  }

  /** Lets go of the bag. */
  function close(): void {
    isOpen.value = false
    history.value = NO_HISTORY
  }

  /**
   * Takes an edit that leaves the bag sound; another one is told and not taken. The same rules hold here and where it is saved. One that
   * brings a kind of part that is not here yet is made once it is.
   */
  function take(made: () => { readonly design: Design, readonly edit?: Edit }): string | undefined {
    const { design: next, edit } = made()
    if (!edit || !isOpen.value) return undefined
    const coming = fetchKinds(next)
    if (coming) {
      coming.then(() => take(made), () => (refused.value = NOT_FETCHED))
      return undefined
    }
    const why = unsoundness(next)?.message
    // What is typed is told in its field.
    refused.value = edit.group ? undefined : why
    if (why) return why
    history.value = record(history.value, edit)
    design.value = next
    return undefined
  }

  /** Changes the bag; edits of one group, such as the keystrokes in a field, are undone together. */
  function edit(label: string, recipe: (design: Writable<Design>) => void, group?: string): string | undefined {
    return take(() => edited(design.value, label, recipe, group))
  }

  /** Puts values in their places, all as one edit; returns why it was not taken, if it was not. */
  function change(label: string, changes: readonly Change[], group?: string): string | undefined {
    return take(() => fixed(design.value, { label, changes }, group))
  }

  function applyFix(fix: Fix): string | undefined {
    return take(() => fixed(design.value, fix))
  }

  function step(move: typeof undone): void {
    const label = move === undone ? undoLabel.value : redoLabel.value
    const after = attemptedStep(move)
    const coming = after && fetchKinds(after.design)
    if (coming) {
      coming.then(() => step(move), () => (refused.value = NOT_FETCHED))
      return
    }
    // What was done no longer fits the bag: it was changed elsewhere meanwhile.
    if (!after || unsoundness(after.design)) {
      history.value = NO_HISTORY
      return
    }
    history.value = after.history
    design.value = after.design
    if (label) stepped.value = { did: move === undone ? 'undo' : 'redo', label }
  }

  function attemptedStep(move: typeof undone): ReturnType<typeof undone> | undefined {
    try {
      return move(design.value, history.value)
    }
    catch {
      return undefined
    }
  }

  return {
    isOpen, design, draft, history, refused, mistaken, stepped, undoLabel, redoLabel, put, adopt, close, edit, change, applyFix,
    undo: () => step(undone), redo: () => step(redone),
  }
})
