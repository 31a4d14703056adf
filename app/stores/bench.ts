import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { HandlesAs } from '~~/core/chart/handles'
import type { Design } from '~~/core/design/design'
import { applyFix as fixed, edit as edited, type Edit, type Writable } from '~~/core/design/edit'
import { type History, NO_HISTORY, record, redo as redone, undo as undone } from '~~/core/design/history'
import { type Draft, draft as drafted } from '~~/core/draft/draft'
import type { Fix } from '~~/core/part/finding'
import { type Kept, refusalLines, statusOf } from './records'

/** How a bag's latest state stands with the server. */
export type Saving = 'saved' | 'waiting' | 'saving' | 'failed' | 'overtaken' | 'refused'

/** Typing rests this long before it is saved; a failed save is tried again after the longer while. */
const REST_MS = 350
const RETRY_MS = 3000

/** The bag on the bench: its design, what can be undone, what follows from it, and whether it is saved. */
export const useBench = defineStore('bench', () => {
  const id = ref<string>()
  const design = shallowRef<Design>()
  const history = shallowRef<History>(NO_HISTORY)
  const selected = ref('bag')
  const saving = ref<Saving>('saved')
  const trouble = ref<string[]>([])
  /** What is the same up to the first change is taken over from the draft before. */
  const draft = computed<Draft | undefined>(before => design.value && drafted(design.value, before))
  /** A design that is only looked at: drawn in the place of the bag's own until it is let go. */
  const looked = shallowRef<Design>()
  const shown = computed(() => looked.value ? drafted(looked.value, draft.value) : draft.value)
  /** How far the cords of a casing are pulled in the drawing, 0 open to 1 tight; and how far they are threaded, 1 all the way. Neither is saved. */
  const pulled = ref(0)
  const threaded = ref(1)
  /** How handles are drawn: held up, loaded or lying flat; not saved. */
  const handlesAs = ref<HandlesAs>('held')
  const undoLabel = computed(() => history.value.past.at(-1)?.label)
  const redoLabel = computed(() => history.value.future[0]?.label)

  let revision = 0
  let onServer: Design | undefined
  let timer: ReturnType<typeof setTimeout> | undefined
  let flushing: Promise<void> | undefined

  async function open(wanted: string): Promise<void> {
    if (id.value === wanted && design.value) return
    await flush()
    id.value = wanted
    design.value = undefined
    history.value = NO_HISTORY
    selected.value = 'bag'
    pulled.value = 0
    threaded.value = 1
    trouble.value = []
    try {
      const kept = await $fetch<Kept<Design>>(`/api/designs/${encodeURIComponent(wanted)}`)
      if (id.value !== wanted) return
      revision = kept.revision
      onServer = kept.document
      design.value = kept.document
      saving.value = 'saved'
    }
    catch (error) {
      id.value = undefined
      trouble.value = refusalLines(error)
    }
  }

  /** Shows what the bag would be with a fix, without changing it; nothing to show the bag itself again. */
  function look(fix?: Fix): void {
    looked.value = fix && design.value ? fixed(design.value, fix).design : undefined
  }

  function put(next: Design): void {
    design.value = next
    looked.value = undefined
    if (saving.value === 'overtaken') return
    saving.value = 'waiting'
    clearTimeout(timer)
    timer = setTimeout(() => void flush(), REST_MS)
  }

  function take(change: { design: Design, edit?: Edit }): void {
    if (!change.edit) return
    history.value = record(history.value, change.edit)
    put(change.design)
  }

  /** Changes the bag; edits of one group, such as the keystrokes in a field, are undone together. */
  function edit(label: string, recipe: (design: Writable<Design>) => void, group?: string): void {
    if (design.value) take(edited(design.value, label, recipe, group))
  }

  function applyFix(fix: Fix): void {
    if (design.value) take(fixed(design.value, fix))
  }

  function step(move: typeof undone): void {
    if (!design.value) return
    const after = move(design.value, history.value)
    if (after.design === design.value) return
    history.value = after.history
    put(after.design)
  }

  async function send(state: Design): Promise<void> {
    saving.value = 'saving'
    try {
      const saved = await $fetch<{ revision: number }>(`/api/designs/${id.value}`, { method: 'PUT', body: { revision, document: state }, keepalive: true })
      revision = saved.revision
      onServer = state
      trouble.value = []
      saving.value = design.value === state ? 'saved' : 'waiting'
    }
    catch (error) {
      const status = statusOf(error)
      trouble.value = refusalLines(error)
      saving.value = status === 409 || status === 404 ? 'overtaken' : status === 422 ? 'refused' : 'failed'
      if (saving.value === 'failed') timer = setTimeout(() => void flush(), RETRY_MS)
    }
  }

  /** Saves what is not saved yet, one save after the other, until nothing is left or one fails. */
  function flush(): Promise<void> {
    clearTimeout(timer)
    // Whoever asks while saves are under way waits for those: they go on until the latest state is kept.
    return flushing ??= saveUntilKept().finally(() => (flushing = undefined))
  }

  async function saveUntilKept(): Promise<void> {
    while (design.value && design.value !== onServer && saving.value !== 'overtaken') {
      await send(design.value)
      if (saving.value !== 'saved' && saving.value !== 'waiting') return
    }
  }

  /** Lets go of the bag: what was changed elsewhere can then be opened afresh. */
  function close(): void {
    clearTimeout(timer)
    id.value = undefined
    design.value = undefined
    history.value = NO_HISTORY
    looked.value = undefined
    saving.value = 'saved'
    trouble.value = []
  }

  return {
    id, design, draft, shown, selected, pulled, threaded, handlesAs, saving, trouble, undoLabel, redoLabel,
    open, edit, applyFix, look, flush, close,
    undo: () => step(undone),
    redo: () => step(redone),
  }
})
