import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { DESIGN_VERSION } from '../../core/bag/design/versions'
import { readDesign } from '../../core/bag/design/read'
import { newDesign } from '../../core/bag/design/starter'
import { draft } from '../../core/bag/draft/draft'
import { open } from '../../server/db/connection'
import { DEMO_DESIGNS, layOutDemoWorld } from '../../server/db/demoWorld'
import { repository } from '../../server/db/documents'
import { makesIn } from '../../server/db/makes'
import { migrate } from '../../server/db/migrate'
import { MIGRATIONS } from '../../server/db/migrations'

let folder: string
let path: string

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'fair-hollow-'))
  path = join(folder, 'deep', 'records.sqlite')
})
afterEach(() => rmSync(folder, { recursive: true }))

describe('the records', () => {
  it('are written ahead, synced in full, with foreign keys', () => {
    const db = open(path)
    expect(db.pragma('journal_mode', { simple: true })).toBe('wal')
    expect(db.pragma('synchronous', { simple: true })).toBe(2)
    expect(db.pragma('foreign_keys', { simple: true })).toBe(1)
    db.close()
  })

  it('bring a bag that was kept by the version before up to this one, and save it so', () => {
    const db = open(path)
    const before = JSON.parse(readFileSync(new URL('../kept/version-1/apple-tote.json', import.meta.url), 'utf8')) as { name: string }
    const kept = repository(db, 'designs', readDesign)
    const { id } = kept.add(before as never)
    const { document, revision } = kept.find(id)!
    expect(document.version).toBe(DESIGN_VERSION)
    expect(document.wall.map(part => part.id)).toEqual(['part-1', 'part-2', 'part-3', 'part-4'])
    expect(kept.list()[0]!.document).toEqual(document)
    expect(kept.save(id, revision, document).kept).toBe(true)
    expect(kept.find(id)!.document).toEqual(document)
    db.close()
  })

  it('keep a design through closing and opening', () => {
    const db = open(path)
    const { id } = repository(db, 'designs', readDesign).add(newDesign('Pouch'))
    db.close()
    const again = open(path)
    expect(repository(again, 'designs', readDesign).find(id)!.document).toEqual(newDesign('Pouch'))
    again.close()
  })

  it('save over the revision a save started from, and no other', () => {
    const db = open(':memory:')
    const designs = repository(db, 'designs', readDesign)
    const { id } = designs.add(newDesign('Pouch'))
    expect(designs.save(id, 1, newDesign('Second'))).toMatchObject({ kept: true, revision: 2 })
    expect(designs.save(id, 1, newDesign('Third'))).toEqual({ kept: false, why: 'overtaken' })
    expect(designs.find(id)!.document.name).toBe('Second')
    expect(designs.remove(id)).toBe(true)
    expect(designs.remove(id)).toBe(false)
    expect(designs.save(id, 2, newDesign('Fourth'))).toEqual({ kept: false, why: 'gone' })
  })

  it('bring a design up to date that was kept before some of its fields were known', () => {
    const db = open(':memory:')
    const designs = repository(db, 'designs', readDesign)
    const { id } = designs.add(newDesign('Old'))
    db.prepare('UPDATE designs SET document = json_remove(document, \'$.repeats\') WHERE id = ?').run(id)
    expect(designs.find(id)!.document).toEqual(newDesign('Old'))
    expect(designs.list()[0]!.document.repeats).toEqual([])
  })

  it('list the last changed first', async () => {
    const designs = repository(open(':memory:'), 'designs', readDesign)
    const first = designs.add(newDesign('First'))
    designs.add(newDesign('Second'))
    await new Promise(done => setTimeout(done, 5))
    designs.save(first.id, 1, newDesign('First, changed'))
    expect(designs.list().map(({ document }) => document.name)).toEqual(['First, changed', 'Second'])
  })
})

describe('migrations', () => {
  it('run once each, and leave a database of this version alone', () => {
    const db = open(path)
    expect(db.pragma('user_version', { simple: true })).toBe(MIGRATIONS.length)
    expect(() => migrate(db, MIGRATIONS)).not.toThrow()
    db.close()
  })

  it('read from the words of an earlier version which makes are finished, and count them so', () => {
    const db = new Database(':memory:')
    migrate(db, MIGRATIONS.slice(0, 8))
    db.exec('INSERT INTO designs (id, name, document, created_at, updated_at) VALUES (\'bag\', \'Tub\', \'{}\', \'1\', \'1\')')
    const make = db.prepare(
      'INSERT INTO makes (id, name, bag, progress, created_at, updated_at) VALUES (?, \'Tub\', \'bag\', ?, \'1\', \'1\')',
    )
    const progress = (words: string) => JSON.stringify({ round: 3, of: 9, share: 1, words })
    for (const row of [['a', progress('Finished')], ['b', progress('Round 3 of 9')], ['c', null]]) make.run(...row)
    migrate(db, MIGRATIONS)
    const finished = makesIn(db).list().filter(one => one.progress?.finished)
    expect(finished.map(({ id }) => id)).toEqual(['a'])
    expect(db.prepare('SELECT made, finished FROM bag_facts').get()).toEqual({ made: 3, finished: 1 })
    db.close()
  })

  it('refuse a gap, and a database from a later version', () => {
    const db = open(path)
    expect(() => migrate(db, [...MIGRATIONS, { number: MIGRATIONS.length + 2, sql: '' }])).toThrow('is missing')
    db.pragma('user_version = 99')
    expect(() => migrate(db, MIGRATIONS)).toThrow('of version 99')
    db.close()
  })

  it('leave nothing half done when one fails', () => {
    const db = open(path)
    const broken = [...MIGRATIONS, { number: MIGRATIONS.length + 1, sql: 'CREATE TABLE half (a); CREATE TABLE designs (a);' }]
    expect(() => migrate(db, broken)).toThrow()
    expect(db.pragma('user_version', { simple: true })).toBe(MIGRATIONS.length)
    expect(db.prepare('SELECT count(*) AS n FROM sqlite_master WHERE name = \'half\'').get()).toEqual({ n: 0 })
    db.close()
  })
})

describe('the demo world', () => {
  it('is laid out once, and stays away once thrown away', () => {
    const db = open(':memory:')
    layOutDemoWorld(db)
    const designs = repository(db, 'designs', readDesign)
    expect(designs.list()).toHaveLength(DEMO_DESIGNS.length)
    designs.list().forEach(({ id }) => designs.remove(id))
    layOutDemoWorld(db)
    expect(designs.list()).toHaveLength(0)
  })

  it('drafts without a stop or a caution', () => {
    for (const design of DEMO_DESIGNS) {
      const heavy = draft(design).findings.filter(({ weight }) => weight === 'stop' || weight === 'caution')
      expect(heavy, design.name).toEqual([])
    }
  })
})
