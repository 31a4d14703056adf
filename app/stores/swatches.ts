import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import type { SwatchDocument } from '~~/core/design/design'
import { readJson } from '~/reading/readJson'
import { ask, type Kept, kept, useTrying } from './records'

/** The swatches kept in the house. */
export const useSwatches = defineStore('swatches', () => {
  const swatches = shallowRef<readonly Kept<SwatchDocument>[]>([])
  const { trouble, trying } = useTrying()

  async function load(): Promise<void> {
    const found = await trying(() => ask<Kept<SwatchDocument>[]>('/api/swatches'))
    if (found) swatches.value = found
  }

  async function add(document: unknown): Promise<boolean> {
    const added = await trying(() => kept<SwatchDocument>('/api/swatches', document))
    if (added) swatches.value = [added, ...swatches.value]
    return added !== undefined
  }

  /** Brings in a file that somebody exported. */
  async function bringIn(file: File): Promise<void> {
    const read = await readJson(file, '.swatch.json')
    if (read.ok) await add(read.value)
    else trouble.value = [read.why]
  }

  async function save(old: Kept<SwatchDocument>, document: SwatchDocument): Promise<boolean> {
    const saved = await trying(() =>
      ask<{ revision: number, updatedAt: string }>(`/api/swatches/${old.id}`, {
        method: 'PUT',
        body: { revision: old.revision, document },
      }),
    )
    if (saved) swatches.value = swatches.value.map(kept => (kept.id === old.id ? { ...kept, ...saved, document } : kept))
    return saved !== undefined
  }

  async function remove(id: string): Promise<Kept<SwatchDocument> | undefined> {
    const gone = swatches.value.find(kept => kept.id === id)
    const done = await trying(async () => {
      await ask(`/api/swatches/${id}`, { method: 'DELETE' })
      return true
    })
    if (done) swatches.value = swatches.value.filter(kept => kept.id !== id)
    return done ? gone : undefined
  }

  /** Brings back what was thrown away, as it was. */
  async function bringBack(id: string): Promise<void> {
    await trying(() => ask(`/api/shelf/swatches/${id}`, { method: 'POST' }))
    await load()
  }

  return { swatches, trouble, load, add, bringIn, save, remove, bringBack }
})
