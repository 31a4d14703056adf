import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type Database from 'better-sqlite3'
import { strToU8, zipSync } from 'fflate'
import JSZip from 'jszip'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { readDesign, readSwatch } from '../../core/bag/design/read'
import { readMake } from '../../core/making/make/read'
import { readOrder } from '../../core/household/plan/readOrder'
import { readShelfYarn } from '../../core/household/shelf/read'
import { open } from '../../server/db/connection'
import { DEMO_DESIGNS, DEMO_LOGBOOK, DEMO_MAKES, DEMO_SWATCHES, DEMO_YARNS, DEMO_ORDERS, layOutDemoWorld } from '../../server/db/demoWorld'
import { repository } from '../../server/db/documents'
import { makesIn, type MakeListed } from '../../server/db/makes'
import { packParcel } from '../../server/jobs/packParcel'
import { type ParcelFile, unpackParcel } from '../../server/jobs/unpackParcel'

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

function unpacked(bytes: Uint8Array): readonly ParcelFile[] {
  const found = unpackParcel(path, bytes)
  if (!found.ok) throw new Error(found.why)
  return found.files
}

const refusal = (bytes: Uint8Array) => {
  const found = unpackParcel(path, bytes)
  return found.ok ? 'taken' : found.why
}

describe('everything in one file', () => {
  it('is a zip of open documents, as a reader of zips finds that knows nothing of this program', async () => {
    layOutDemoWorld(db)
    const zip = await JSZip.loadAsync(packParcel(path), { checkCRC32: true })
    const files = Object.values(zip.files).filter(({ dir }) => !dir)
    const all = [DEMO_DESIGNS, DEMO_SWATCHES, DEMO_YARNS, DEMO_ORDERS, DEMO_MAKES, DEMO_LOGBOOK]
    expect(files).toHaveLength(all.reduce((sum, { length }) => sum + length, 0))
    const readers: Record<string, (input: unknown) => { readonly ok: boolean }> = {
      'bags': readDesign, 'swatches': readSwatch, 'yarns': readShelfYarn, 'orders': readOrder, 'on-the-hook': readMake,
    }
    for (const file of files) {
      const document: unknown = JSON.parse(await file.async('string'))
      const read = readers[file.name.split('/')[0]!]!
      expect(read(document).ok, file.name).toBe(true)
    }
  })

  it('brings into a fresh house how far every make is: half-made, finished', () => {
    layOutDemoWorld(db)
    const here = makesIn(db).list()
    const bytes = packParcel(path)
    db.close()
    path = join(folder, 'fresh.sqlite')
    db = open(path)
    const makes = makesIn(db)
    for (const file of unpacked(bytes))
      if (file.sound && file.content.sort === 'make')
        makes.keep(file.file, file.content.document.events, file.content.progress)
    const by = (list: readonly MakeListed[]) => list.map(({ name, progress }) => ({ name, progress }))
      .sort((a, b) => (JSON.stringify(a) < JSON.stringify(b) ? -1 : 1))
    expect(by(makes.list())).toEqual(by(here))
    expect(makes.list().filter(({ progress }) => progress === null)).toEqual([])
    expect(makes.list().some(({ progress }) => progress!.finished)).toBe(true)
    expect(makes.list().some(({ progress }) => progress!.share > 0.1 && progress!.share < 0.9)).toBe(true)
  })

  it('tells what of it is here already, and is new elsewhere', () => {
    layOutDemoWorld(db)
    const bytes = packParcel(path)
    expect(unpacked(bytes).every(file => file.sound && file.there)).toBe(true)
    db.close()
    path = join(folder, 'elsewhere.sqlite')
    db = open(path)
    expect(unpacked(bytes).every(file => file.sound && !file.there)).toBe(true)
    const [first] = DEMO_DESIGNS
    // The same document by another hand, its fields in another order, is still the same.
    repository(db, 'designs', readDesign).add(Object.fromEntries(Object.entries(first!).reverse()) as never)
    expect(unpacked(bytes).filter(file => file.sound && file.there).map(({ name }) => name)).toEqual([first!.name])
  })

  it('keeps bags of one name apart, and packs what is called by no letters at all', () => {
    const designs = repository(db, 'designs', readDesign)
    for (const name of ['Pouch', 'Pouch', 'pouch!', '🧶', '../../etc/passwd']) designs.add({ ...DEMO_DESIGNS[0]!, name })
    expect(unpacked(packParcel(path)).map(({ file }) => file)).toEqual([
      'bags/pouch.design.json', 'bags/pouch-2.design.json', 'bags/pouch-3.design.json', 'bags/bag.design.json',
      'bags/etc-passwd.design.json',
    ])
  })

  it('with a file that cannot be read says why, and lets the others in', () => {
    const files = unpacked(zipSync({
      'bags/cut.json': strToU8('{"fairHollow": "des'), 'bags/foreign.json': strToU8('{"rows": 3}'), 'readme.txt': strToU8('hello'),
      'bags/odd.json': strToU8(JSON.stringify({ ...DEMO_DESIGNS[0], version: 99 })),
      'anywhere/sound.json': strToU8(JSON.stringify(DEMO_DESIGNS[1])),
    }))
    expect(files.map(one => one.sound ? one.name : one.why.join())).toEqual([
      'is no document of Fair Hollow', 'is no document of Fair Hollow', expect.stringContaining('later version'), DEMO_DESIGNS[1]!.name,
    ])
  })

  it('that is none, is cut short, or unfolds into far too much is refused', () => {
    layOutDemoWorld(db)
    const bytes = packParcel(path)
    expect(refusal(new Uint8Array([1, 2, 3]))).toContain('not a zip file')
    expect(refusal(bytes.subarray(0, bytes.length / 2))).toContain('cut short')
    expect(refusal(zipSync({ 'a.txt': strToU8('x') }))).toContain('no document of Fair Hollow')
    // Forty megabytes of blanks pack into forty kilobytes.
    const blanks = new Uint8Array(41_000_000).fill(0x20)
    expect(refusal(zipSync({ 'bomb.json': blanks }))).toContain('more than a parcel does')
    const many = Object.fromEntries(Array.from({ length: 20_001 }, (_, i) => [`${i}.json`, new Uint8Array(0)]))
    expect(refusal(zipSync(many, { level: 0 }))).toContain('at most 20000 files')
  })
})
