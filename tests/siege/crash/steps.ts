import { closeSync, existsSync, fsyncSync, openSync, writeSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { readDesign } from '../../../core/bag/design/read'
import { newDesign } from '../../../core/bag/design/starter'
import type { MakeEvent } from '../../../core/making/make/event'
import { open } from '../../../server/db/connection'
import { devicesIn } from '../../../server/db/devices'
import { type Repository, repository } from '../../../server/db/documents'
import { bringIn, type Content } from '../../../server/db/incoming'
import { logbookIn } from '../../../server/db/logbook'
import { makesIn } from '../../../server/db/makes'
import { migrate } from '../../../server/db/migrate'
import { MIGRATIONS } from '../../../server/db/migrations'
import { versionsIn } from '../../../server/db/versions'
import { type WriteAhead, writeAheadOf } from '../../../server/db/writeAhead'
import type { Design } from '../../../core/bag/design/design'
import { copiesFolder, copiesOf, copyAll } from '../../../server/library/copies'
import { writing } from '../../../server/jobs/recordsConnection'
import { returned, salvaged } from '../../../server/jobs/recordsJobs'

/*
 * What is done to records in the crash laboratory, and how they are told: the same steps each time, so that what they come to is known.
 */

/** What records hold, but for names and times that are new each time; of damaged ones, that they are. */
export function stateOf(path: string): string {
  let db: Database.Database | undefined
  try {
    db = new Database(path, { readonly: true, fileMustExist: true })
    const all = (sql: string) => (db!.prepare(sql).raw().all() as unknown[][]).map(row => row.join(' ')).sort()
    return JSON.stringify([
      all('SELECT name, revision, length(document), removed_at IS NULL FROM designs'),
      all('SELECT name, (SELECT count(*) FROM make_events WHERE make = makes.id), removed_at IS NULL FROM makes'),
      all('SELECT length(jpeg) FROM make_photos'), all('SELECT name FROM devices'), all('SELECT revision FROM design_versions'),
    ])
  }
  catch {
    return 'damaged'
  }
  finally {
    db?.close()
  }
}

const LATER = new Date('2026-09-01T12:00:00Z')
const minute = (n: number) => new Date(LATER.getTime() + n * 60_000)

/** Records as a program before this one left them. */
function earlier(path: string): void {
  const db = new Database(path)
  db.pragma('journal_mode = WAL')
  migrate(db, MIGRATIONS.slice(0, 6))
  const add = db.prepare('INSERT INTO designs (id, name, document, created_at, updated_at) VALUES (?, ?, ?, \'1\', \'1\')')
  db.transaction(() => {
    for (let i = 0; i < 5; i++) add.run(`old-${i}`, `Old ${i}`, JSON.stringify(newDesign(`Old ${i}`)))
  })()
  db.close()
}

/** Writes nothing but zeros over the first pages' heads, as bad disks do. */
function damage(path: string): void {
  const handle = openSync(path, 'r+')
  writeSync(handle, Buffer.alloc(100), 0, 100, 0)
  fsyncSync(handle)
  closeSync(handle)
}

interface Hands {
  readonly db: Database.Database
  readonly designs: Repository<Design>
}

function events(name: string, most: number): MakeEvent[] {
  const first: MakeEvent = { do: 'started', plan: newDesign(name), id: `${name}.0`, turn: 1, at: 0 }
  const more = Array.from({ length: most }, (_, n) => ({ do: 'paused', id: `${name}.${n + 1}`, turn: n + 2, at: n * 1000 }))
  return [first, ...more as MakeEvent[]]
}

const comingIn = (name: string): Content[] => [
  ...Array.from({ length: 70 }, (_, i): Content => ({ sort: 'design', document: newDesign(`${name} ${i}`) })),
  { sort: 'make', document: { name, events: events(name, 90) } },
]

/** Things that are done over one connection. */
const DEEDS: readonly ((hands: Hands) => void)[] = [
  ({ designs }) => void designs.add(newDesign('First')),
  ({ designs }) => void designs.add(newDesign('Second')),
  ({ designs }) => {
    const { id, revision } = designs.list().find(({ document }) => document.name === 'Second')!
    designs.save(id, revision, { ...newDesign('Second'), note: 'a note' }, 'save-one-12')
  },
  ({ db, designs }) => versionsIn(db).keepNow(designs.list().find(({ document }) => document.name === 'Second')!.id),
  ({ designs }) => void designs.remove(designs.list().find(({ document }) => document.name === 'Old 0')!.id),
  ({ db }) => void makesIn(db).keep('make-1', events('Sack', 3)),
  ({ db }) => void makesIn(db).keep('make-1', events('Sack', 40).slice(4)),
  ({ db }) => logbookIn(db).keepPhoto('make-1', Buffer.alloc(30_000, 7)),
  ({ db }) => void devicesIn(db).pair('my phone', LATER),
  ({ db }) => void bringIn(db, comingIn('Parcel')),
]

/** The connection that the server has, which stays open from one deed to the next. */
let held: { readonly db: Database.Database, readonly ahead: WriteAhead | undefined } | undefined

/** Does something as the server does it: it is done once it is on the disk. */
async function withHands(path: string, deed: (hands: Hands) => void): Promise<void> {
  const db = held?.db ?? open(path)
  held ??= { db, ahead: writeAheadOf(db, path) }
  deed({ db, designs: repository(db, 'designs', readDesign, versionsIn(db)) })
  await held.ahead?.synced()
}

/** Does something with the records as a whole, nobody else being at them. */
function whileAway(work: () => void): void {
  held?.db.close()
  held?.ahead?.close()
  held = undefined
  work()
}

function nameOfCopy(path: string, why: string): string {
  return copiesOf(path).find(copy => copy.why === why)!.name
}

/** Everything that is done, in turn. */
function steps(path: string): readonly (() => void | Promise<void>)[] {
  return [
    () => earlier(path),
    () => open(path, (db, at, why) => void copyAll(db, at, why, minute(0))).close(),
    ...DEEDS.slice(0, 5).map(deed => () => withHands(path, deed)),
    () => withHands(path, ({ db }) => void copyAll(db, path, 'asked', minute(1))),
    () => void writing(path, db => db.pragma('wal_checkpoint(PASSIVE)')),
    ...DEEDS.slice(5).map(deed => () => withHands(path, deed)),
    () => whileAway(() => returned({ path, copy: nameOfCopy(path, 'asked'), now: minute(2).getTime() })),
    () => withHands(path, ({ designs }) => void designs.add(newDesign('After the return'))),
    () => whileAway(() => damage(path)),
    () => void salvaged({ path, now: minute(3).getTime() }),
    () => withHands(path, ({ designs }) => void designs.add(newDesign('Last'))),
  ]
}

/** Does one step after the other, and tells after each what the records hold. */
export async function* records(path: string): AsyncGenerator<readonly [number, string]> {
  for (const [i, step] of steps(path).entries()) {
    await step()
    yield [i, stateOf(path)]
  }
  whileAway(() => undefined)
}

/** The step that mends damaged records. */
export function mend(path: string): void {
  salvaged({ path, now: minute(4).getTime() })
}

/** The folder in which copies lie, and whether there is one. */
export function copiesIn(path: string): readonly string[] {
  return existsSync(copiesFolder(path)) ? copiesOf(path).map(({ name }) => join(copiesFolder(path), name)) : []
}
