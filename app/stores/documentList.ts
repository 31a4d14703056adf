import { shallowRef } from 'vue'
import { readJson } from '~/reading/readJson'
import { ask, type KeptRecord, kept, shared, useTrying } from './records'

/**
 * Small documents: their list, one added, saved, deleted and restored.
 *
 * @param path what the server knows it by
 * @param ending how its files end
 */
export function useDocumentList<D>(path: 'swatches' | 'yarns' | 'orders', ending: string) {
  const all = shallowRef<readonly KeptRecord<D>[]>([])
  const { trouble, trying } = useTrying()

  const load = shared(async (): Promise<void> => {
    const found = await trying(() => ask<KeptRecord<D>[]>(`/api/${path}`))
    if (found) all.value = found
  })

  async function add(document: unknown): Promise<boolean> {
    const added = await trying(() => kept<D>(`/api/${path}`, document))
    if (added) all.value = [added, ...all.value]
    return added !== undefined
  }

  /** Brings in a file that somebody exported. */
  async function bringIn(file: File): Promise<void> {
    const read = await readJson(file, ending)
    if (read.ok) await add(read.value)
    else trouble.value = [read.why]
  }

  async function save(old: KeptRecord<D>, document: D): Promise<boolean> {
    const saved = await trying(() =>
      ask<{ revision: number, updatedAt: string }>(`/api/${path}/${old.id}`, { method: 'PUT', body: { revision: old.revision, document } }))
    if (saved) all.value = all.value.map(one => (one.id === old.id ? { ...one, ...saved, document } : one))
    return saved !== undefined
  }

  async function remove(id: string): Promise<KeptRecord<D> | undefined> {
    const gone = all.value.find(one => one.id === id)
    const done = await trying(async () => {
      await ask(`/api/${path}/${id}`, { method: 'DELETE' })
      return true
    })
    if (done) all.value = all.value.filter(one => one.id !== id)
    return done ? gone : undefined
  }

  /** Brings back what was thrown away, as it was. */
  async function bringBack(id: string): Promise<void> {
    await trying(() => ask(`/api/trash/${path}/${id}`, { method: 'POST' }))
    await load()
  }

  return { all, trouble, trying, load, add, bringIn, save, remove, bringBack }
}
