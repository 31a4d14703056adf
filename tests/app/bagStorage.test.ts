import { readFileSync } from 'node:fs'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Design } from '~~/core/bag/design/design'
import { readDesign } from '~~/core/bag/design/read'
import { type StoredBag, storedBag } from '~/keeping/bagStorage'

/** Bags that this device kept, as they are opened again. The browser's database is away: what was written at once is all there is. */

const read = (path: string) => JSON.parse(readFileSync(new URL(`../../${path}`, import.meta.url), 'utf8')) as Design
const before = read('tests/kept/version-3/gooseberry-net.json')
const now = (() => {
  const reading = readDesign(read('demo/gooseberry-net.json'))
  if (!reading.ok) throw new Error('the demo cannot be read')
  return reading.document
})()

function kept(bag: Partial<StoredBag>): void {
  const { history: _, ...atOnce } = { id: 'bag', revision: 3, unsaved: true, at: 1, base: before, design: before, ...bag } as StoredBag
  localStorage.setItem('fair-hollow.desk.bag', JSON.stringify(atOnce))
}

beforeEach(() => {
  const texts = new Map<string, string>()
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => texts.get(key) ?? null, setItem: (key: string, text: string) => void texts.set(key, text),
    removeItem: (key: string) => void texts.delete(key),
  })
})

describe('a bag that an earlier version of the program kept here', () => {
  it('is opened as this version writes it: itself, what it started from, and what was sent', async () => {
    kept({ sent: { save: 'save-1', design: before } })
    const bag = (await storedBag('bag'))!
    expect(JSON.stringify(bag)).not.toContain('"band"')
    expect([bag.design, bag.base, bag.sent?.design].map(one => one?.version)).toEqual([4, 4, 4])
    expect(bag.sent?.save).toBe('save-1')
    expect(readDesign(bag.design)).toEqual({ ok: true, document: now })
    expect(bag.history).toEqual({ past: [], future: [] })
    expect(bag.unsaved).toBe(true)
  })

  it('is left as it is if this version wrote it', async () => {
    kept({ base: now, design: now })
    expect((await storedBag('bag'))!.design).toEqual(now)
  })
})
