import { copyFileSync, existsSync, mkdtempSync, openSync, readdirSync, rmSync, statSync, truncateSync, writeFileSync, writeSync,
  closeSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { strFromU8, unzipSync } from 'fflate'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { readDesign } from '../../core/bag/design/read'
import { newDesign } from '../../core/bag/design/starter'
import { bagListIn } from '../../server/db/bagList'
import { brokenTexts } from '../../server/db/unreadableRows'
import { open } from '../../server/db/connection'
import { makesIn } from '../../server/db/makes'
import { packParcel } from '../../server/jobs/packParcel'
import { type Repository, repository } from '../../server/db/documents'
import type { Design } from '../../core/bag/design/design'
import { RecordsTrouble } from '../../server/db/trouble'
import { MIGRATIONS } from '../../server/db/migrations'
import { migrate } from '../../server/db/migrate'
import { checkCopy, clearUnfinished, copiesFolder, copiesOf, copyAll, lastChange, putInPlace, staged } from '../../server/library/copies'
import { returned, salvaged } from '../../server/jobs/recordsJobs'

let folder: string
let path: string
let db: Database.Database
let designs: Repository<Design>

function reopen(): void {
  db = open(path)
  designs = repository(db, 'designs', readDesign)
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
    const name = copyAll(db, path, 'asked', minute(0))
    const copy = new Database(join(copiesFolder(path), name), { readonly: true })
    expect(copy.prepare('SELECT id FROM designs').pluck().all()).toEqual([id])
    expect(copy.pragma('journal_mode', { simple: true })).toBe('delete')
    copy.close()
    expect(copiesOf(path)).toMatchObject([{ name, why: 'asked', madeAt: '2026-09-01T12:00:00.000Z' }])
  })

  it('hold one moment, whatever is saved over another connection meanwhile, and never take a name that is taken', () => {
    designs.add(newDesign('Pouch'))
    const other = new Database(path, { readonly: true })
    other.exec('BEGIN')
    other.prepare('SELECT count(*) FROM designs').get()
    designs.add(newDesign('Later'))
    const names = [copyAll(db, path, 'asked', minute(0)), copyAll(db, path, 'asked', minute(0))]
    other.close()
    expect(new Set(names).size).toBe(2)
    for (const name of names) expect(codeOf(() => checkCopy(join(copiesFolder(path), name)))).toBe('sound')
  })

  it('leave nothing unfinished behind, of a program that was killed while it copied', () => {
    copyAll(db, path, 'daily', minute(0))
    writeFileSync(`${path}.part`, 'half')
    for (const left of ['2026-09-01T12-00-00-000.daily.sqlite.part', '2026-09-01T12-00-00-000.daily.sqlite.part-journal'])
      writeFileSync(join(copiesFolder(path), left), 'half')
    writeFileSync(join(copiesFolder(path), 'note.txt'), 'mine')
    clearUnfinished(path)
    expect(readdirSync(copiesFolder(path)).sort()).toEqual([copiesOf(path)[0]!.name, 'note.txt'].sort())
    expect(existsSync(`${path}.part`)).toBe(false)
  })

  it('that come out as none of ours are not kept, nor is what was written of them', () => {
    const strange = new Database(':memory:')
    strange.exec('CREATE TABLE stamps (id INTEGER)')
    expect(codeOf(() => copyAll(strange, path, 'daily', minute(0)))).toBe('no-database')
    expect(readdirSync(copiesFolder(path))).toEqual([])
    strange.close()
  })

  it('can be returned to whichever it is: the one asked for is there before, and what there was is copied', () => {
    designs.add(newDesign('First of all'))
    const first = copyAll(db, path, 'before-restore', minute(0))
    designs.add(newDesign('Second'))
    for (let i = 1; i < 6; i++) copyAll(db, path, 'before-restore', minute(i), [first])
    designs.add(newDesign('Third'))
    db.close()
    const kept = returned({ path, copy: first, now: minute(9).getTime() })
    reopen()
    expect(designs.list().map(({ document }) => document.name)).toEqual(['First of all'])
    expect(copiesOf(path).map(({ name }) => name)).toContain(first)
    db.close()
    returned({ path, copy: kept, now: minute(10).getTime() })
    reopen()
    expect(designs.list()).toHaveLength(3)
  })

  it('take the place of the records, what was written ahead for the old ones going with them', () => {
    designs.add(newDesign('Then'))
    const name = copyAll(db, path, 'asked', minute(0))
    designs.add(newDesign('Now'))
    db.close()
    // As if it had been killed: what was written ahead lies there still.
    writeFileSync(`${path}-wal`, 'left over')
    putInPlace(staged(join(copiesFolder(path), name), path), path)
    reopen()
    expect(designs.list().map(({ document }) => document.name)).toEqual(['Then'])
  })

  it('are refused as records where they are damaged or none of ours', () => {
    const torn = join(folder, 'torn.sqlite')
    for (let i = 0; i < 200; i++) designs.add(newDesign(`Filler ${i}`))
    copyFileSync(join(copiesFolder(path), copyAll(db, path, 'asked', minute(0))), torn)
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
    expect(codeOf(() => staged(torn, path))).toBe('corrupt')
    expect(existsSync(`${path}.part`)).toBe(false)
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
    copyAll(db, path, 'daily', minute(0))
    const later = designs.add(newDesign('Begun after the copy')).id
    designs.save(ids[0]!, 1, newDesign('Changed after the copy'))
    db.pragma('wal_checkpoint(TRUNCATE)')
    db.close()
    damage(path, 0.5, 16_384)
    expect(codeOf(() => open(path))).toBe('corrupt')
    const { broken, copy, brought, lost } = salvaged({ path, now: minute(1).getTime() })
    expect(existsSync(broken)).toBe(true)
    expect(copy).toContain('daily')
    reopen()
    expect(lost).toBeGreaterThan(0)
    expect(brought).toBeGreaterThan(0)
    expect(designs.list()).toHaveLength(401)
    expect(designs.find(later)!.document.name).toBe('Begun after the copy')
    expect(designs.find(ids[0]!)!.document.name).toBe('Changed after the copy')
  })

  it('that cannot be read at all leave the copy; without one an empty file is begun', () => {
    designs.add(newDesign('Copied'))
    copyAll(db, path, 'daily', minute(0))
    db.close()
    truncateSync(path, 6000)
    expect(salvaged({ path, now: minute(1).getTime() })).toMatchObject({ brought: 0 })
    reopen()
    expect(designs.list()).toHaveLength(1)
    db.close()
    rmSync(copiesFolder(path), { recursive: true })
    damage(path, 0, 4096)
    expect(salvaged({ path, now: minute(2).getTime() }).copy).toBeUndefined()
    reopen()
    expect(designs.list()).toHaveLength(0)
  })

  it('give back whatever a sound page holds: photos, earlier states, devices; and say how much is lost', () => {
    const [first, second] = [designs.add(newDesign('Kept')), designs.add(newDesign('Thrown away since'))]
    for (let i = 0; i < 300; i++) designs.add({ ...newDesign(`Filler ${i}`), note: 'x'.repeat(900) })
    const copy = copyAll(db, path, 'daily', minute(0))
    db.prepare('INSERT INTO design_versions VALUES (?, 1, ?, ?)').run(first.id, JSON.stringify(newDesign('Before')), '2026')
    const make = db.prepare('INSERT INTO makes (id, name, progress, created_at, updated_at) VALUES (?, \'Make\', ?, ?, ?)')
    const progress = (words: string) => JSON.stringify({ round: 1, of: 1, share: 1, words })
    // As the program before the ninth migration wrote it.
    for (const [id, words] of [['m', 'Finished'], ['n', 'Round 1 of 1']] as const) make.run(id, progress(words), '2026', '2026')
    make.run('o', null, '2026', '2026')
    db.prepare('INSERT INTO make_photos VALUES (\'m\', ?, ?)').run(Buffer.from('a picture'), '2026')
    db.prepare('INSERT INTO devices VALUES (\'d\', \'my phone\', \'hash\', ?, ?)').run('2026', '2026')
    designs.remove(second.id)
    db.pragma('wal_checkpoint(TRUNCATE)')
    db.close()
    damage(path, 0.4, 20_480)
    const { lost } = salvaged({ path, now: minute(2).getTime() })
    reopen()
    expect(copiesOf(path).map(({ name }) => name)).toContain(copy)
    expect(db.prepare('SELECT count(*) FROM design_versions').pluck().get()).toBe(1)
    expect(db.prepare('SELECT jpeg FROM make_photos').pluck().get()).toEqual(Buffer.from('a picture'))
    expect(db.prepare('SELECT name FROM devices').pluck().all()).toEqual(['my phone'])
    expect(makesIn(db).list().map(({ id, progress: far }) => [id, far?.finished]).sort())
      .toEqual([['m', true], ['n', undefined], ['o', undefined]])
    expect(designs.find(second.id)).toBeUndefined()
    // Five pages of 4096 bytes hold a few bags of two kilobytes each.
    expect(lost).toBeGreaterThan(0)
    expect(lost).toBeLessThan(30)
    expect(designs.list()).toHaveLength(301)
  })

  it.each([16, 100])('whose first %d bytes are lost are read with the head of a copy', (bytes) => {
    const { id } = designs.add(newDesign('Copied'))
    copyAll(db, path, 'daily', minute(0))
    designs.save(id, 1, newDesign('Saved after the copy'))
    db.pragma('wal_checkpoint(TRUNCATE)')
    db.close()
    damage(path, 0, bytes)
    expect(codeOf(() => open(path))).toMatch(/no-database|corrupt/)
    expect(salvaged({ path, now: minute(2).getTime() })).toMatchObject({ lost: 0 })
    reopen()
    expect(designs.list().map(({ document }) => document.name)).toEqual(['Saved after the copy'])
  })
})

describe('a row whose text is cut short', () => {
  const cut = (sql: string, ...values: unknown[]) => {
    db.pragma('ignore_check_constraints = ON')
    db.prepare(sql).run(...values)
    db.pragma('ignore_check_constraints = OFF')
  }

  it('is named and set aside, and everything else is served and packed', () => {
    const [sound, broken] = [designs.add(newDesign('Sound')), designs.add(newDesign('Cut'))]
    const order = { fairHollow: 'order', name: 'Fair', bags: [{ bag: sound.id, name: 'Sound' }] }
    db.prepare('INSERT INTO orders (id, name, document, created_at, updated_at) VALUES (\'o\', \'Fair\', ?, \'1\', \'1\')')
      .run(JSON.stringify(order))
    db.prepare('INSERT INTO makes (id, name, bag, progress, created_at, updated_at) VALUES (\'m\', \'Sound\', ?, \'{}\', \'1\', \'1\')')
      .run(sound.id)
    // As if an earlier program had kept nothing of lists beside the documents.
    db.exec('DROP TRIGGER designs_changed; DROP TRIGGER orders_changed; DROP TRIGGER makes_changed')
    cut('UPDATE designs SET document = substr(document, 1, 40), portrait = \'[\' WHERE id = ?', broken.id)
    cut('UPDATE orders SET document = \'{"bags":[\'')
    cut('UPDATE makes SET progress = \'{"words\'')
    db.close()
    reopen()
    expect(brokenTexts(db).map(({ sort, name }) => [sort, name])).toEqual([['orders', 'Fair'], ['designs', 'Cut']])
    expect(designs.list().map(({ document, unreadable }) => [document.name, unreadable === undefined]).sort())
      .toEqual([['Cut', false], ['Sound', true]])
    expect(bagListIn(db).page({ find: '', order: 'name', from: 0 }).bags.map(({ name }) => name)).toEqual(['Cut', 'Sound'])
    expect(makesIn(db).list()).toMatchObject([{ name: 'Sound', progress: null }])
    db.pragma('wal_checkpoint(TRUNCATE)')
    const packed = unzipSync(packParcel(path))
    expect(Object.keys(packed).filter(name => name.startsWith('broken/'))).toHaveLength(2)
    const texts = Object.entries(packed).filter(([name]) => name.startsWith('broken/')).map(([, bytes]) => strFromU8(bytes))
    expect(texts).toContain(JSON.stringify(newDesign('Cut')).slice(0, 40))
    expect(Object.keys(packed)).toContain('bags/sound.design.json')
  })
})

describe('a database of the version before', () => {
  it.each(MIGRATIONS.slice(1, -1).map(({ number }) => number))('%d is copied before its tables are changed', (number) => {
    db.close()
    rmSync(path)
    const before = new Database(path)
    migrate(before, MIGRATIONS.slice(0, number))
    before.close()
    db = open(path, (old, at, why) => void copyAll(old, at, why, minute(3)))
    expect(copiesOf(path)).toMatchObject([{ why: 'before-update' }])
    const copy = new Database(join(copiesFolder(path), copiesOf(path)[0]!.name), { readonly: true })
    expect(copy.pragma('user_version', { simple: true })).toBe(number)
    copy.close()
  })
})
