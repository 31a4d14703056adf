import { defineStore } from 'pinia'
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { ref } from 'vue'
import type { MakeEvent } from '~~/core/making/make/event'
import type { Progress } from '~~/core/making/make/plan'
import { journalEvent } from '~/keeping/makeJournal'
import { Post, type PostState } from '~/keeping/send/post'

/** Whoever has a make in hand, and is told of what comes. */
export interface Listener {
  readonly events: (events: readonly MakeEvent[]) => void
  readonly gone: () => void
  readonly progress: () => Progress | undefined
}

/** Asks for news so often while the page is looked at. */
const LOOK_MS = 15_000

interface Spoken {
  readonly make: string
  readonly event: MakeEvent
}

/** The way of events from the hook: written down here, told to the other tabs, sent to the server, and the answers brought back. */
export const usePost = defineStore('post', () => {
  const state = ref<PostState>({ waiting: 0, kept: true, away: false })
  const listeners = new Map<string, Listener>()
  const tabs = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('fair-hollow.hook')

  const post = new Post({
    state: told => (state.value = told), events: (make, events) => listeners.get(make)?.events(events),
    gone: make => listeners.get(make)?.gone(), progress: make => listeners.get(make)?.progress(),
  })

  if (tabs) tabs.onmessage = ({ data }: MessageEvent<Spoken>) => listeners.get(data.make)?.events([data.event])

  /** Looks for news now and then, and when the page is shown again. */
  function look(): void {
    if (document.visibilityState === 'visible') void post.now([...listeners.keys()][0])
  }
  if (typeof window !== 'undefined') {
    useEventListener(document, 'visibilitychange', look)
    useEventListener(['online', 'pageshow'], look)
    useEventListener('beforeunload', (event) => {
      if (state.value.waiting > 0 && !state.value.kept) event.preventDefault()
    })
    useIntervalFn(() => !state.value.away && look(), LOOK_MS)
  }

  /** Writes an event down and sends it on its way. */
  async function write(make: string, event: MakeEvent): Promise<void> {
    state.value = { ...state.value, waiting: state.value.waiting + 1 }
    tabs?.postMessage({ make, event } satisfies Spoken)
    await journalEvent(make, event)
    post.soon()
  }

  /** Listens for a make's news until called off. */
  function listen(make: string, listener: Listener): () => void {
    listeners.set(make, listener)
    return () => listeners.delete(make)
  }

  return { state, write, listen, now: (make?: string) => post.now(make) }
})
