import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { Design } from '~~/core/design/design'
import { newDesign } from '~~/core/design/starter'
import { readJson } from '~/reading/readJson'
import { type Kept, kept, useTrying } from './records'

/** The bags kept in the house: listing, starting, bringing in and throwing away. */
export const useBags = defineStore('bags', () => {
  const bags = shallowRef<readonly Kept<Design>[]>([])
  const { trouble, trying } = useTrying()
  const loaded = ref(false)

  async function load(): Promise<void> {
    const found = await trying(() => $fetch<Kept<Design>[]>('/api/designs'))
    if (found) bags.value = found
    loaded.value = true
  }

  async function add(document: unknown): Promise<Kept<Design> | undefined> {
    const added = await trying(() => kept<Design>('/api/designs', document))
    if (added) bags.value = [added, ...bags.value]
    return added
  }

  /** A new bag, named so that it can be told from the others. */
  function start(): Promise<Kept<Design> | undefined> {
    const names = new Set(bags.value.map(({ document }) => document.name))
    let number = 1
    while (names.has(number === 1 ? 'New bag' : `New bag ${number}`)) number++
    return add(newDesign(number === 1 ? 'New bag' : `New bag ${number}`))
  }

  /** Brings in a file that somebody exported. */
  async function bringIn(file: File): Promise<Kept<Design> | undefined> {
    const read = await readJson(file, '.design.json')
    if (read.ok) return add(read.value)
    trouble.value = [read.why]
    return undefined
  }

  async function remove(id: string): Promise<Kept<Design> | undefined> {
    const gone = bags.value.find(bag => bag.id === id)
    const done = await trying(async () => {
      await $fetch(`/api/designs/${id}`, { method: 'DELETE' })
      return true
    })
    if (done) bags.value = bags.value.filter(bag => bag.id !== id)
    return done ? gone : undefined
  }

  return { bags, trouble, loaded, load, add, start, bringIn, remove }
})
