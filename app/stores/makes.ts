import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { forget, type KeptMake, keptMakes } from '~/keeping/makeJournal'
import { readJson } from '~/reading/readJson'
import { usePost } from './post'
import { ask, useTrying } from './records'

/** A bag on the hook as it is listed. */
type ListedMake = Omit<KeptMake, 'upTo'>

/** The bags on the hook: those the server keeps, and those that only this device knows yet. */
export const useMakes = defineStore('makes', () => {
  const makes = shallowRef<readonly ListedMake[]>([])
  const { trouble, trying } = useTrying()
  const post = usePost()

  async function load(): Promise<void> {
    const own = await keptMakes().catch(() => [])
    makes.value = sorted(own)
    try {
      const known = await ask<ListedMake[]>('/api/makes')
      const unknown = own.filter(({ id }) => !known.some(one => one.id === id))
      makes.value = sorted([...known, ...unknown])
      // Thrown away elsewhere, or not sent yet: asking tells which.
      for (const { id } of unknown) await post.now(id)
      if (unknown.length > 0) {
        const left = new Set((await keptMakes()).map(({ id }) => id))
        makes.value = makes.value.filter(({ id }) => left.has(id) || known.some(one => one.id === id))
      }
    }
    catch {
      // The server is away: what this device knows is listed.
    }
  }

  async function remove(id: string): Promise<ListedMake | undefined> {
    const gone = makes.value.find(make => make.id === id)
    const done = await trying(async () => {
      await ask(`/api/makes/${id}`, { method: 'DELETE' })
      await forget(id)
      return true
    })
    if (done) makes.value = makes.value.filter(make => make.id !== id)
    return done ? gone : undefined
  }

  /** Brings back what was thrown off the hook, with all that happened to it. */
  async function bringBack(id: string): Promise<void> {
    await trying(() => ask(`/api/trash/makes/${id}`, { method: 'POST' }))
    await load()
  }

  /** Keeps a make that comes from a file, or that was thrown away a moment ago. */
  async function add(document: unknown): Promise<ListedMake | undefined> {
    const added = await trying(() => ask<ListedMake>('/api/makes', { method: 'POST', body: document as object }))
    if (added) makes.value = sorted([added, ...makes.value])
    return added
  }

  async function bringIn(file: File): Promise<ListedMake | undefined> {
    const read = await readJson(file, '.make.json')
    if (read.ok) return add(read.value)
    trouble.value = [read.why]
    return undefined
  }

  return { makes, trouble, load, remove, bringBack, add, bringIn }
})

function sorted(list: readonly ListedMake[]): ListedMake[] {
  return [...list].sort((a, b) => (a.updatedAt < b.updatedAt ? 1 : -1))
}
