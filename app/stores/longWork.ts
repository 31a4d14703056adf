import { ref, shallowRef } from 'vue'
import { randomWord } from '~/keeping/newId'
import { ask } from './records'

/** How work of the server stands that lasts: so many are before it, or so much of it is done, where that is known. */
export type Standing = { readonly before: number } | { readonly share: number | null }

/** Carried by a request for long work: its name, and a signal that ends it. */
export interface LongAsk {
  readonly headers: Readonly<Record<string, string>>
  readonly signal: AbortSignal
}

/** Said of a file that was being brought in. */
export const CALLED_OFF = 'Called off. Nothing was brought in.'

/** The server is asked so often, and not at all about work that is done sooner. */
const LOOK_MS = 400

/**
 * Work that the server does for this page and that may last: what it is, in words, how it stands, and what ends it where nothing is left
 * half done.
 */
export function useLongWork() {
  const words = ref('')
  const standing = shallowRef<Standing | null>(null)
  const off = shallowRef<AbortController>()
  const wasEnded = ref(false)

  async function look(name: string): Promise<void> {
    const found = await ask<{ standing: Standing | null }>(`/api/library/jobs/${name}`).catch(() => ({ standing: null }))
    // What is no longer in a worker is on its way here: it stands as it stood.
    standing.value = found.standing ?? standing.value
  }

  /**
   * Has something done, and says what until it is.
   *
   * @param canEnd whether it can be called off
   * @throws what the asking throws
   */
  async function run<T>(said: string, work: (asking: LongAsk) => Promise<T>, canEnd = true): Promise<T> {
    const [name, own] = [randomWord(20), new AbortController()]
    words.value = said
    standing.value = null
    wasEnded.value = false
    off.value = canEnd ? own : undefined
    const looks = setInterval(() => void look(name), LOOK_MS)
    try {
      return await work({ headers: { 'Job-Name': name }, signal: own.signal })
    }
    finally {
      clearInterval(looks)
      wasEnded.value = own.signal.aborted
      words.value = ''
      off.value = undefined
    }
  }

  return { words, standing, wasEnded, off, run }
}
