import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Portrait } from '~~/core/readers/chart/portrait'
import type { Design } from '~~/core/bag/design/design'
import { newDesign } from '~~/core/bag/design/starter'
import { randomWord } from '~/keeping/newId'
import { readJson } from '~/reading/readJson'
import { ask, type KeptRecord, kept, statusOf, useTrying } from './records'
import { useSettings } from './settings'

/** A bag in the list: what is shown of it. */
export interface ListedBag {
  readonly id: string
  readonly name: string
  readonly revision: number
  readonly updatedAt: string
  readonly portrait: Portrait | null
  /** Whether the portrait is of how it is now. */
  readonly drawn: boolean
  /** How far the one on the hook is; nothing where none is. */
  readonly inHand: { readonly share: number, readonly words: string } | null
  readonly finished: number
  readonly ordered: number
  readonly tags: readonly string[]
}

/** Bags by what is done with them. */
export const GROUPS = [
  { value: 'all', name: 'all' }, { value: 'hand', name: 'on the hook' }, { value: 'drafts', name: 'drafts' },
  { value: 'finished', name: 'finished' }, { value: 'orders', name: 'in orders' },
] as const
export type Group = (typeof GROUPS)[number]['value']

/** In which order bags are listed. */
export const ORDERS = [
  { value: 'changed', name: 'Last changed first' }, { value: 'name', name: 'By name' }, { value: 'begun', name: 'Last begun first' },
  { value: 'tall', name: 'Tallest first' },
] as const
export type BagSort = (typeof ORDERS)[number]['value']

interface Page {
  readonly bags: readonly ListedBag[]
  readonly total: number
  /** The key of the next stretch. */
  readonly next: string | null
}

/** A portrait that is not drawn yet is asked for again after so long. */
const DRAWN_MS = 700
const MOST_TRIES = 20

/** The bags that are kept: listing, starting, importing, copying and deleting. */
export const useBags = defineStore('bags', () => {
  const bags = shallowRef<readonly ListedBag[]>([])
  const total = ref(0)
  const find = ref('')
  const order = ref<BagSort>('changed')
  const group = ref<Group>('all')
  const { trouble, trying } = useTrying()
  const settings = useSettings()
  const loaded = ref(false)
  /** The program does not answer: what this device knows is all there is. */
  const away = ref(false)
  const more = computed(() => bags.value.length < total.value)

  let asked = 0
  let tries = 0
  let again: ReturnType<typeof setTimeout> | undefined

  let next: string | null = null
  const page = (after = '') =>
    ask<Page>('/api/designs', { query: { find: find.value, order: order.value, group: group.value, after } })

  async function load(): Promise<void> {
    const now = ++asked
    clearTimeout(again)
    trouble.value = []
    try {
      const first = await page()
      if (now !== asked) return
      bags.value = first.bags
      total.value = first.total
      next = first.next
      away.value = false
      lookAgain()
    }
    catch (error) {
      if (now !== asked) return
      away.value = statusOf(error) === undefined
      if (!away.value) await trying(() => Promise.reject(error as Error))
    }
    loaded.value = true
  }

  /** Portraits are drawn after the save: those that are not yet are looked for a few times. */
  function lookAgain(): void {
    if (bags.value.every(({ drawn }) => drawn) || ++tries > MOST_TRIES) {
      tries = 0
      return
    }
    again = setTimeout(() => void refresh(), DRAWN_MS)
  }

  async function refresh(): Promise<void> {
    const now = asked
    const first = await page().catch(() => undefined)
    if (!first || now !== asked) return
    const fresh = new Map(first.bags.map(bag => [bag.id, bag]))
    bags.value = bags.value.map(bag => fresh.get(bag.id) ?? bag)
    lookAgain()
  }

  async function loadMore(): Promise<void> {
    const now = asked
    const further = await trying(() => page(next ?? ''))
    if (!further || now !== asked) return
    const there = new Set(bags.value.map(({ id }) => id))
    bags.value = [...bags.value, ...further.bags.filter(({ id }) => !there.has(id))]
    total.value = further.total
    next = further.next
  }

  function add(document: unknown): Promise<KeptRecord<Design> | undefined> {
    return trying(() => kept<Design>('/api/designs', document))
  }

  /** A new bag, named so that it can be told from the others. */
  async function start(): Promise<KeptRecord<Design> | undefined> {
    const known = await trying(() => ask<Page>('/api/designs', { query: { find: 'New bag', from: 0 } }))
    const names = new Set([...(known?.bags ?? []), ...bags.value].map(({ name }) => name))
    let number = 1
    while (names.has(number === 1 ? 'New bag' : `New bag ${number}`)) number++
    return known && add({ ...newDesign(number === 1 ? 'New bag' : `New bag ${number}`), ...settings.forNewBags() })
  }

  function copy(id: string): Promise<KeptRecord<Design> | undefined> {
    return trying(() => ask<KeptRecord<Design>>(`/api/designs/${id}/copy`, { method: 'POST', headers: { 'Save-Id': randomWord(20) } }))
  }

  /** Brings in a file that somebody exported. */
  async function bringIn(file: File): Promise<KeptRecord<Design> | undefined> {
    const read = await readJson(file, '.design.json')
    if (read.ok) return add(read.value)
    trouble.value = [read.why]
    return undefined
  }

  async function remove(id: string): Promise<ListedBag | undefined> {
    const gone = bags.value.find(bag => bag.id === id)
    const done = await trying(async () => {
      await ask(`/api/designs/${id}`, { method: 'DELETE' })
      return true
    })
    if (!done) return undefined
    bags.value = bags.value.filter(bag => bag.id !== id)
    total.value--
    return gone
  }

  /** Brings back what was thrown away, as it was. */
  async function bringBack(id: string): Promise<void> {
    await trying(() => ask(`/api/trash/designs/${id}`, { method: 'POST' }))
    await load()
  }

  return { bags, total, find, order, group, more, away, trouble, loaded, load, loadMore, add, start, copy, bringIn, remove, bringBack }
})
