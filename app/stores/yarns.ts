import { defineStore } from 'pinia'
import { computed, reactive, ref } from 'vue'
import type { ShelfYarn } from '~~/core/household/shelf/yarn'
import { CALLED_OFF, useLongWork } from './longWork'
import { ask } from './records'
import { useDocumentList } from './documentList'

/** The yarn shelf. */
export const useYarns = defineStore('yarns', () => {
  const { all: yarns, ...does } = useDocumentList<ShelfYarn>('yarns', '.yarn.json')

  /** The yarn that a bag knows by an id. */
  function byId(id: string | undefined): ShelfYarn | undefined {
    return id === undefined ? undefined : yarns.value.find(({ unreadable, document }) => !unreadable && document.id === id)?.document
  }

  /** Yarns to choose from, by name. */
  const choices = computed(() => yarns.value.filter(({ unreadable }) => !unreadable)
    .map(({ document: { id, name } }) => ({ value: id, title: name })).sort((a, b) => a.title.localeCompare(b.title, 'en')))

  /** A file that is being brought in. */
  const work = reactive(useLongWork())

  /** Result of bringing a file in. */
  const brought = ref('')

  /** Brings yarns in from a table, or from open documents: all of them or none. */
  async function bringInAll(file: File): Promise<void> {
    const told = await does.trying(() => work.run(`${file.name} is being brought in.`, async asked =>
      ask<{ brought: number, there: number }>('/api/yarns/bring', { method: 'POST', body: await file.text(), ...asked })))
    if (work.wasEnded) does.trouble.value = []
    const calledOff = work.wasEnded ? CALLED_OFF : ''
    brought.value = told ? `${told.brought} brought in; ${told.there} were here already.` : calledOff
    if (told) await does.load()
  }

  return { yarns, choices, byId, brought, work, bringInAll, ...does }
})
