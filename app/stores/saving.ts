import { defineStore } from 'pinia'
import { ref, watch } from 'vue'
import type { Design } from '~~/core/design/design'
import { useDocument } from './document'
import { type Kept, refusalLines, statusOf } from './records'

/** How a bag's latest state stands with the server. */
export type Saving = 'saved' | 'waiting' | 'saving' | 'failed' | 'overtaken' | 'refused'

/** Typing rests this long before it is saved; a failed save is tried again after the longer while. */
const REST_MS = 350
const RETRY_MS = 3000

/** Whether the bag in hand is saved: fetches it, sends what changed, and says what stands in the way. */
export const useSaving = defineStore('saving', () => {
  const bag = useDocument()
  const id = ref<string>()
  const state = ref<Saving>('saved')
  const trouble = ref<string[]>([])

  let revision = 0
  let onServer: Design | undefined
  let timer: ReturnType<typeof setTimeout> | undefined
  let flushing: Promise<void> | undefined

  const isUnsaved = () => bag.isOpen && bag.design !== onServer

  async function open(wanted: string): Promise<void> {
    if (id.value === wanted && bag.isOpen) return
    await flush()
    close()
    id.value = wanted
    try {
      const kept = await $fetch<Kept<Design>>(`/api/designs/${encodeURIComponent(wanted)}`)
      if (id.value !== wanted) return
      revision = kept.revision
      onServer = kept.document
      bag.put(kept.document)
    }
    catch (error) {
      id.value = undefined
      trouble.value = refusalLines(error)
    }
  }

  function onChange(): void {
    if (!isUnsaved() || state.value === 'overtaken') return
    state.value = 'waiting'
    clearTimeout(timer)
    timer = setTimeout(() => void flush(), REST_MS)
  }
  watch(() => bag.design, onChange, { flush: 'sync' })

  async function send(design: Design): Promise<void> {
    state.value = 'saving'
    try {
      const saved = await $fetch<{ revision: number }>(`/api/designs/${id.value}`, {
        method: 'PUT', body: { revision, document: design }, keepalive: true,
      })
      revision = saved.revision
      onServer = design
      trouble.value = []
      state.value = bag.design === design ? 'saved' : 'waiting'
    }
    catch (error) {
      const status = statusOf(error)
      trouble.value = refusalLines(error)
      state.value = status === 409 || status === 404 ? 'overtaken' : status === 422 ? 'refused' : 'failed'
      if (state.value === 'failed') timer = setTimeout(() => void flush(), RETRY_MS)
    }
  }

  /** Saves what is not saved yet, one save after the other, until nothing is left or one fails. */
  function flush(): Promise<void> {
    clearTimeout(timer)
    // Whoever asks while saves are under way waits for those: they go on until the latest state is kept.
    return (flushing ??= saveUntilKept().finally(() => (flushing = undefined)))
  }

  async function saveUntilKept(): Promise<void> {
    while (isUnsaved() && state.value !== 'overtaken') {
      await send(bag.design)
      if (state.value !== 'saved' && state.value !== 'waiting') return
    }
  }

  /** Lets go of the bag: what was changed elsewhere can then be opened afresh. */
  function close(): void {
    clearTimeout(timer)
    id.value = undefined
    bag.close()
    state.value = 'saved'
    trouble.value = []
  }

  return { id, state, trouble, open, flush, close }
})
