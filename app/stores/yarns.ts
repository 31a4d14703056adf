import { defineStore } from 'pinia'
import type { ShelfYarn } from '~~/core/shelf/yarn'
import { useShelf } from './shelved'

/** The yarn shelf. */
export const useYarns = defineStore('yarns', () => {
  const { all: yarns, ...does } = useShelf<ShelfYarn>('yarns', '.yarn.json')

  /** The yarn that a bag knows by an id. */
  function byId(id: string | undefined): ShelfYarn | undefined {
    return id === undefined ? undefined : yarns.value.find(({ unreadable, document }) => !unreadable && document.id === id)?.document
  }

  return { yarns, byId, ...does }
})
