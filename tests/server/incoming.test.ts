import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type Database from 'better-sqlite3'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { readDesign } from '../../core/bag/design/read'
import { newDesign } from '../../core/bag/design/starter'
import { logbookDocument } from '../../core/making/log/document'
import { makeDocument } from '../../core/making/make/document'
import type { MakeEvent } from '../../core/making/make/event'
import { bagListIn } from '../../server/db/bagList'
import { open } from '../../server/db/connection'
import { repository } from '../../server/db/documents'
import { bringIn, clearIncoming, type Content } from '../../server/db/incoming'
import { makesIn } from '../../server/db/makes'
import { logbookBrought, parcelBrought } from '../../server/jobs/importJobs'
import { packParcel } from '../../server/jobs/packParcel'

let folder: string
let path: string
let db: Database.Database
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'fair-hollow-'))
  path = join(folder, 'records.sqlite')
  db = open(path)
})
afterEach(() => {
  db.close()
  rmSync(folder, { recursive: true })
})

const design = (name: string): Content => ({ sort: 'design', document: newDesign(name) })
function make(name: string, taps: number): { readonly name: string, readonly events: MakeEvent[] } {
  const idOf = (n: number) => `${name.replaceAll(' ', '-')}.${n}`
  const events: MakeEvent[] = [{ do: 'started', plan: newDesign(name), id: idOf(0), turn: 1, at: 0 }]
  for (let n = 1; n <= taps; n++) events.push({ do: 'paused', id: idOf(n), turn: n + 1, at: n * 1000 } as never)
  return { name, events }
}
const inAll = (table: string) => Number(db.prepare(`SELECT count(*) FROM ${table}`).pluck().get())
const names = () => bagListIn(db).page({ find: '', order: 'name', from: 0 }).bags.map(({ name }) => name)

describe('what comes in from elsewhere', () => {
  it('is seen by nobody until all of it is there', () => {
    const seen: unknown[] = []
    const content: Content[] = [...Array.from({ length: 150 }, (_, i) => design(`Bag ${i}`)), { sort: 'make', document: make('Sack', 200) }]
    const ids = bringIn(db, content, () => {
      const trash = repository(db, 'designs', readDesign).inTrash().length + makesIn(db).inTrash().length
      seen.push([names().length, makesIn(db).list().length, trash, inAll('designs') > 0])
    })
    expect(ids).toHaveLength(151)
    expect(seen.length).toBeGreaterThan(4)
    expect(seen.every(one => String(one) === '0,0,0,true')).toBe(true)
    expect(bagListIn(db).page({ find: '', order: 'name', from: 0 }).total).toBe(150)
    expect(makesIn(db).allEvents(ids.at(-1)!).events).toHaveLength(201)
    expect(db.pragma('synchronous', { simple: true })).toBe(2)
  })

  it('is as if it had never come, if the program ends before that or something in it cannot be kept', () => {
    const content = [...Array.from({ length: 100 }, (_, i) => design(`Bag ${i}`)), design('Last')]
    expect(() => bringIn(db, content, () => {
      throw new Error('ended')
    })).toThrow('ended')
    expect([names(), inAll('designs'), inAll('bag_facts')]).toEqual([[], 0, 0])
    const cycle = { ...newDesign('Cannot be written') } as Record<string, unknown>
    cycle.self = cycle
    expect(() => bringIn(db, [...content, { sort: 'design', document: cycle as never }])).toThrow()
    expect([names(), inAll('designs')]).toEqual([[], 0])
    // Killed in the middle: what had come stays in the file until the program begins again.
    db.prepare('INSERT INTO designs (id, name, document, created_at, updated_at, removed_at) '
      + 'VALUES (\'x\', \'Half\', \'{}\', \'1\', \'1\', \'incoming y\')').run()
    expect(names()).toEqual([])
    clearIncoming(db)
    expect(inAll('designs')).toBe(0)
  })

  it('leaves those who save meanwhile their turn', () => {
    const other = open(path)
    const saved = repository(other, 'designs', readDesign)
    let turns = 0
    bringIn(db, Array.from({ length: 400 }, (_, i) => design(`Bag ${i}`)), () => {
      saved.add(newDesign(`Saved ${turns++}`))
    })
    other.close()
    expect(turns).toBeGreaterThan(4)
    expect(inAll('designs')).toBe(400 + turns)
  })

  it('of a logbook of twenty makes comes in whole, and twice comes in once', () => {
    const file = logbookDocument(Array.from({ length: 20 }, (_, i) => {
      const { name, events } = make(`Sack ${i}`, 300)
      return makeDocument(name, events)
    }))
    const bytes = () => strToU8(JSON.stringify(file))
    expect(logbookBrought({ path, bytes: bytes() })).toEqual({ ok: true, taken: 20, there: 0 })
    expect(inAll('make_events')).toBe(20 * 301)
    expect(logbookBrought({ path, bytes: bytes() })).toEqual({ ok: true, taken: 0, there: 20 })
    expect(inAll('makes')).toBe(20)
  })

  it('of a parcel is what was chosen; packed again, it is the same', () => {
    bringIn(db, [design('One'), design('Two'), { sort: 'make', document: make('Sack', 3) }])
    const parcel = packParcel(path)
    const elsewhere = join(folder, 'elsewhere.sqlite')
    open(elsewhere).close()
    const looked = parcelBrought({ path: elsewhere, bytes: parcel.slice() })
    expect(looked).toMatchObject({ ok: true, files: [{ there: false }, { there: false }, { sort: 'make' }] })
    expect(parcelBrought({ path: elsewhere, bytes: parcel.slice(), take: [0, 1, 2] })).toMatchObject({ taken: 3 })
    const files = (bytes: Uint8Array) =>
      Object.fromEntries(Object.entries(unzipSync(bytes)).map(([file, inside]) => [file, JSON.parse(strFromU8(inside)) as unknown]))
    expect(files(packParcel(elsewhere))).toEqual(files(parcel))
  })

  it('is refused before it is unfolded, if it is mostly nothing', () => {
    const spaces = zipSync({ 'a.json': [strToU8(' '.repeat(30_000_000)), { level: 9 }] })
    expect(spaces.length).toBeLessThan(100_000)
    const before = process.memoryUsage().arrayBuffers
    expect(parcelBrought({ path, bytes: spaces })).toMatchObject({ ok: false, why: expect.stringContaining('mostly of nothing') as string })
    expect(process.memoryUsage().arrayBuffers - before).toBeLessThan(5_000_000)
    // Many bags that are alike pack well, and are no such thing.
    const alike = zipSync({ 'b.json': strToU8(JSON.stringify({ ...newDesign('Alike'), note: 'chain stitch '.repeat(150) }, null, 2)) })
    expect(parcelBrought({ path, bytes: alike })).toMatchObject({ ok: true, files: [{ name: 'Alike' }] })
  })
})
