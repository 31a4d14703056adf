import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import type { Design } from '~~/core/bag/design/design'
import { allStoredBags, type StoredBag, storeBag, dropStoredBag, tidyStoredBags } from '~/keeping/bagStorage'

/** Tried again after so long while the list is looked at. */
const RETRY_MS = 15_000

/** Bags on this device: work that the server does not have, and bags to open while it is away. */
export const useLocalBags = defineStore('desk', () => {
  /** Work that the server does not have, with why. */
  const left = shallowRef<readonly StoredBag[]>([])
  /** Bags that can be opened without the server. */
  const here = shallowRef<readonly Pick<StoredBag, 'id' | 'design' | 'at'>[]>([])

  async function look(): Promise<void> {
    const all = await allStoredBags()
    here.value = all
    left.value = all.filter(({ unsaved }) => unsaved)
  }

  /** Sends what was left behind, and puts it together with what came meanwhile; what clashes stays and is told. */
  async function send(): Promise<void> {
    await look()
    if (left.value.length === 0) return tidyStoredBags()
    // What puts states together knows every kind of part: it is fetched where there is something to put together.
    const { sendLeft } = await import('~/keeping/send/sendBag')
    for (const bag of left.value.filter(({ why }) => why !== 'refused' && why !== 'gone')) await storeBag(await sendLeft(bag))
    await look()
    await tidyStoredBags()
  }

  /** Gives up what is only here. */
  async function drop(id: string): Promise<void> {
    await dropStoredBag(id)
    await look()
  }

  /** Keeps the state here as a bag of its own. */
  function asCopy({ design }: StoredBag): Design {
    return { ...design, name: `${design.name}, my copy`.slice(0, 80) }
  }

  return { left, here, look, send, drop, asCopy, retryMs: RETRY_MS }
})
