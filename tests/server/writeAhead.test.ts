import { fdatasync, mkdtempSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { writeAheadOf } from '../../server/db/writeAhead'

/** Every sync that was asked of the disk, to be ended by the test: well, or with what went wrong. */
const disk = vi.hoisted(() => ({ asked: [] as ((error: Error | null) => void)[] }))
vi.mock('node:fs', async (original) => {
  const real = await original<typeof import('node:fs')>()
  return { ...real, fdatasync: vi.fn((_: number, done: (error: Error | null) => void) => void disk.asked.push(done)) }
})

let folder: string
let path: string
let db: Database.Database
beforeEach(() => {
  disk.asked = []
  vi.mocked(fdatasync).mockClear()
  folder = mkdtempSync(join(tmpdir(), 'fair-hollow-'))
  path = join(folder, 'records.sqlite')
  db = new Database(path)
  db.pragma('journal_mode = WAL')
  db.exec('CREATE TABLE kept (name TEXT) STRICT')
})
afterEach(() => {
  db.close()
  rmSync(folder, { recursive: true })
})

const turn = () => new Promise(resolve => setImmediate(resolve))
const write = (name: string) => void db.prepare('INSERT INTO kept VALUES (?)').run(name)

/** Notes when a promise is settled, and how. */
function watched(promise: Promise<void>): { how?: 'kept' | 'lost' } {
  const watch: { how?: 'kept' | 'lost' } = {}
  promise.then(() => (watch.how = 'kept'), () => (watch.how = 'lost'))
  return watch
}

describe('what is written ahead', () => {
  it('is on the disk once a sync ended that began after it was committed, not before', async () => {
    const ahead = writeAheadOf(db, path)!
    write('one')
    const first = watched(ahead.synced())
    await turn()
    write('two')
    const [second, third] = [watched(ahead.synced()), watched(ahead.synced())]
    await turn()
    expect([first.how, disk.asked.length]).toEqual([undefined, 1])
    disk.asked[0]!(null)
    await turn()
    // Both that came meanwhile wait for one sync more.
    expect([first.how, second.how, third.how, disk.asked.length]).toEqual(['kept', undefined, undefined, 2])
    disk.asked[1]!(null)
    await turn()
    expect([second.how, third.how, disk.asked.length]).toEqual(['kept', 'kept', 2])
  })

  it('is brought into the records where the disk failed: a second sync of the same bytes would be believed for nothing', async () => {
    const ahead = writeAheadOf(db, path)!
    write('one')
    const before = statSync(path).size
    const told = watched(ahead.synced())
    await turn()
    disk.asked[0]!(new Error('EIO'))
    await turn()
    expect([told.how, disk.asked.length]).toEqual(['kept', 1])
    expect(statSync(path).size).toBeGreaterThan(before)
    const next = watched(ahead.synced())
    await turn()
    expect([next.how, disk.asked.length]).toEqual([undefined, 2])
  })

  it('is not acknowledged while neither can be done, and is once it can', async () => {
    const ahead = writeAheadOf(db, path)!
    write('one')
    // Somebody reads what was there before: it cannot be brought in.
    const reader = new Database(path)
    reader.exec('BEGIN; SELECT * FROM kept')
    write('two')
    db.pragma('busy_timeout = 1')
    const told = watched(ahead.synced())
    await turn()
    disk.asked[0]!(new Error('EIO'))
    await turn()
    expect(told.how).toBe('lost')
    const again = watched(ahead.synced())
    await turn()
    expect([again.how, disk.asked.length]).toEqual(['lost', 1])
    reader.close()
    const after = watched(ahead.synced())
    await turn()
    expect(after.how).toBe('kept')
  })

  it('is looked for in the records once, however much was saved', async () => {
    const ahead = writeAheadOf(db, path)!
    expect(ahead.takeUnsettled()).toBe(false)
    void ahead.synced()
    void ahead.synced()
    expect([ahead.takeUnsettled(), ahead.takeUnsettled()]).toEqual([true, false])
  })

  it('is no file of its own where every commit is synced by itself', () => {
    db.pragma('journal_mode = DELETE')
    expect(writeAheadOf(db, path)).toBeUndefined()
    expect(db.pragma('synchronous', { simple: true })).toBe(2)
  })
})
