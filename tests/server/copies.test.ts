import { copyFileSync, existsSync, mkdtempSync, openSync, readdirSync, rmSync, statSync, truncateSync, writeFileSync, writeSync,
  closeSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { readDesign } from '../../core/design/read'
import { newDesign } from '../../core/design/starter'
import { open } from '../../server/db/connection'
import { type Shelf, shelf } from '../../server/db/documents'
import type { Design } from '../../core/design/design'
import { RecordsTrouble } from '../../server/db/trouble'
import { checkCopy, copiesFolder, copiesOf, copyAtOnce, copyNow, lastChange, MOST_COPIES, putInPlace } from '../../server/house/copies'
import { bringOver, replaceBroken } from '../../server/house/salvage'

let folder: string
let path: string
let db: Database.Database
let designs: Shelf<Design>

function reopen(): void {
  db = open(path)
  designs = shelf(db, 'designs', readDesign)
}

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'fair-hollow-'))
  path = join(folder, 'records.sqlite')
  reopen()
})
afterEach(() => {
  db.close()
  rmSync(folder, { recursive: true })
})

const minute = (n: number) => new Date(Date.UTC(2026, 8, 1, 12, n))
const codeOf = (work: () => unknown) => {
  try {
    work()
    return 'sound'
  }
  catch (error) {
    return error instanceof RecordsTrouble ? error.code : String(error)
  }
}

/** Writes noise over the middle of a file, from a share of it on. */
function damage(file: string, share: number, bytes: number): void {
  const at = Math.floor((statSync(file).size * share) / 4096) * 4096
  const handle = openSync(file, 'r+')
  writeSync(handle, Buffer.alloc(bytes, 0xa7), 0, bytes, at)
  closeSync(handle)
}

describe('copies of everything', () => {
  it('are whole databases of their own, what was only written ahead with them', async () => {
    const { id } = designs.add(newDesign('Pouch'))
    const name = await copyNow(db, path, 'asked', minute(0))
    const copy = new Database(join(copiesFolder(path), name), { readonly: true })
    expect(copy.prepare('SELECT id FROM designs').pluck().all()).toEqual([id])
    expect(copy.pragma('journal_mode', { simple: true })).toBe('delete')
    copy.close()
    expect(copiesOf(path)).toMatchObject([{ name, why: 'asked', madeAt: '2026-09-01T12:00:00.000Z' }])
  })

  it('are made while saves go on, and hold one moment', async () => {
    const { id } = designs.add(newDesign('Pouch'))
    for (let i = 0; i < 300; i++) designs.add(newDesign(`Filler ${i}`))
    let saves = 0
    const timer = setInterval(() => designs.save(id, ++saves, newDesign(`Pouch ${saves}`)), 1)
    const name = await copyNow(db, path, 'daily', minute(0))
    clearInterval(timer)
    expect(codeOf(() => checkCopy(join(copiesFolder(path), name)))).toBe('sound')
  })

  it('are the last ten; what is none is left alone', () => {
    for (let i = 0; i < MOST_COPIES + 4; i++) copyAtOnce(db, path, 'daily', minute(i))
    writeFileSync(join(copiesFolder(path), 'note.txt'), 'mine')
    expect(copiesOf(path).map(({ madeAt }) => madeAt.slice(14, 16))).toEqual(['13', '12', '11', '10', '09', '08', '07', '06', '05', '04'])
    expect(readdirSync(copiesFolder(path))).toHaveLength(MOST_COPIES + 1)
  })

  it('take the place of the records, what was written ahead for the old ones going with them', () => {
    designs.add(newDesign('Then'))
    const name = copyAtOnce(db, path, 'asked', minute(0))
    designs.add(newDesign('Now'))
    db.close()
    // As if it had been killed: what was written ahead lies there still.
    writeFileSync(`${path}-wal`, 'left over')
    putInPlace(join(copiesFolder(path), name), path)
    reopen()
    expect(designs.list().map(({ document }) => document.name)).toEqual(['Then'])
  })

  it('are refused as records where they are damaged or none of ours', () => {
    const torn = join(folder, 'torn.sqlite')
    for (let i = 0; i < 200; i++) designs.add(newDesign(`Filler ${i}`))
    copyFileSync(join(copiesFolder(path), copyAtOnce(db, path, 'asked', minute(0))), torn)
    damage(torn, 0.5, 8192)
    expect(codeOf(() => checkCopy(torn))).toBe('corrupt')
    const other = join(folder, 'other.sqlite')
    const stranger = new Database(other)
    stranger.exec('CREATE TABLE recipes (a)')
    stranger.close()
    expect(codeOf(() => checkCopy(other))).toBe('no-database')
    const text = join(folder, 'text.sqlite')
    writeFileSync(text, 'This is no database at all.'.repeat(100))
    expect(codeOf(() => checkCopy(text))).toBe('no-database')
    expect(codeOf(() => putInPlace(torn, path))).toBe('corrupt')
  })

  it('know when anything was changed last', () => {
    const before = lastChange(db)
    const { id } = designs.add(newDesign('Pouch'))
    expect(lastChange(db) > before).toBe(true)
    const added = lastChange(db)
    designs.remove(id)
    expect(lastChange(db) >= added).toBe(true)
  })
})

describe('damaged records', () => {
  it('are kept, the last good copy takes their place, and what can be read of them is brought over', () => {
    const ids = Array.from({ length: 400 }, (_, i) => designs.add(newDesign(`Bag ${i}`)).id)
    copyAtOnce(db, path, 'daily', minute(0))
    const later = designs.add(newDesign('Begun after the copy')).id
    designs.save(ids[0]!, 1, newDesign('Changed after the copy'))
    db.pragma('wal_checkpoint(TRUNCATE)')
    db.close()
    damage(path, 0.5, 16_384)
    expect(codeOf(() => open(path))).toBe('corrupt')
    const { broken, copy } = replaceBroken(path, minute(1))
    expect(existsSync(broken)).toBe(true)
    expect(copy).toContain('daily')
    reopen()
    const { brought, lost } = bringOver(broken, db)
    expect(lost).toBeGreaterThan(0)
    expect(brought).toBeGreaterThan(0)
    expect(designs.list()).toHaveLength(401)
    expect(designs.find(later)!.document.name).toBe('Begun after the copy')
    expect(designs.find(ids[0]!)!.document.name).toBe('Changed after the copy')
  })

  it('that cannot be read at all leave the copy; without one an empty file is begun', () => {
    designs.add(newDesign('Copied'))
    copyAtOnce(db, path, 'daily', minute(0))
    db.close()
    truncateSync(path, 6000)
    const { broken } = replaceBroken(path, minute(1))
    reopen()
    expect(bringOver(broken, db)).toMatchObject({ brought: 0 })
    expect(designs.list()).toHaveLength(1)
    db.close()
    rmSync(copiesFolder(path), { recursive: true })
    damage(path, 0, 4096)
    expect(replaceBroken(path, minute(2)).copy).toBeUndefined()
    reopen()
    expect(designs.list()).toHaveLength(0)
  })
})

describe('a database of the version before', () => {
  it('is copied before its tables are changed', () => {
    for (const table of ['devices', 'design_versions', 'make_facts', 'make_photos', 'yarns', 'orders']) db.exec(`DROP TABLE ${table}`)
    const indexes = ['designs_by_name', 'designs_by_change', 'designs_begun', 'swatches_begun', 'makes_by_bag']
    for (const index of indexes) db.exec(`DROP INDEX ${index}`)
    db.exec('CREATE INDEX designs_by_update ON designs (updated_at DESC)')
    for (const [table, column] of [
      ['designs', 'removed_at'], ['designs', 'portrait'], ['designs', 'portrait_of'], ['designs', 'saves'], ['designs', 'begun_by'],
      ['swatches', 'saves'], ['swatches', 'begun_by'], ['swatches', 'removed_at'], ['makes', 'removed_at'], ['makes', 'bag'],
    ]) db.exec(`ALTER TABLE ${table} DROP COLUMN ${column}`)
    db.pragma('user_version = 2')
    db.close()
    db = open(path, (old, at) => void copyAtOnce(old, at, 'before-update', minute(3)))
    expect(copiesOf(path)).toMatchObject([{ why: 'before-update' }])
    const copy = new Database(join(copiesFolder(path), copiesOf(path)[0]!.name), { readonly: true })
    expect(copy.pragma('user_version', { simple: true })).toBe(2)
    copy.close()
  })
})
