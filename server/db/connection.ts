import { existsSync, mkdirSync, statSync } from 'node:fs'
import { dirname, resolve } from 'node:path'
import Database from 'better-sqlite3'
import { migrate } from './migrate'
import { MIGRATIONS } from './migrations'
import type { RecordsTrouble } from './trouble'
import { troubleOf, troubleWith } from './trouble'

/** Where the records are kept: FAIR_HOLLOW_DB, or a file in the folder that the program was started from. */
export function databasePath(): string {
  return resolve(process.env.FAIR_HOLLOW_DB || 'data/fair-hollow.sqlite')
}

/** So long a write waits for another program before it says that the records are held: everybody waits meanwhile. */
const BUSY_MS = 400

/** The tables that tell our records from other people's databases. */
const OURS = ['designs', 'swatches', 'house']

function checkOurs(db: Database.Database, path: string): void {
  const tables = db.prepare('SELECT name FROM sqlite_master WHERE type = \'table\'').pluck().all() as string[]
  if (tables.length > 0 && !OURS.every(name => tables.includes(name))) throw troubleWith('no-database', path)
  if ((db.pragma('user_version', { simple: true }) as number) > MIGRATIONS.length) throw troubleWith('later', path)
}

/** Whether the pages of a database hang together, as SQLite sees it. */
function checkWhole(db: Database.Database, path: string): void {
  const found = db.pragma('quick_check(1)', { simple: true })
  if (found !== 'ok') throw troubleWith('corrupt', path)
}

/** What is done before tables are changed: a copy is made, where there is something to copy. */
export type BeforeMigration = (db: Database.Database, path: string) => void

/**
 * Opens a database and brings its tables up to date. Written ahead and synced in full: what was acknowledged is on the
 * disk, whatever happens to the program next.
 *
 * @throws RecordsTrouble if the file is not there to be used, or not sound
 */
export function open(path: string, beforeMigration?: BeforeMigration): Database.Database {
  let db: Database.Database | undefined
  try {
    if (path !== ':memory:') mkdirSync(dirname(path), { recursive: true })
    const isNew = !existsSync(path) || statSync(path).size === 0
    db = new Database(path, { timeout: BUSY_MS })
    checkOurs(db, path)
    db.pragma('journal_mode = WAL')
    db.pragma('synchronous = FULL')
    db.pragma('foreign_keys = ON')
    checkWhole(db, path)
    if (!isNew && beforeMigration && (db.pragma('user_version', { simple: true }) as number) < MIGRATIONS.length) beforeMigration(db, path)
    migrate(db, MIGRATIONS)
    // A file that can only be read shows it at the first write, which had better be now.
    db.prepare('INSERT OR REPLACE INTO house (key, value) VALUES (\'opened\', ?)').run(new Date().toISOString())
    return db
  }
  catch (error) {
    db?.close()
    throw troubleOf(error, path) ?? (error as Error)
  }
}

interface Shared {
  readonly db: Database.Database
  readonly path: string
  /** Which file it is, whatever it is called. */
  readonly file: number | undefined
}

let shared: Shared | undefined
let inTrouble: RecordsTrouble | undefined

function fileOf(path: string): number | undefined {
  return existsSync(path) ? statSync(path).ino : undefined
}

/** Opens the server's one connection. */
export function openShared(beforeMigration?: BeforeMigration): Database.Database {
  const path = databasePath()
  const db = open(path, beforeMigration)
  inTrouble = undefined
  shared = { db, path, file: fileOf(path) }
  return db
}

/**
 * The server's one connection, opened when it is first wanted.
 *
 * @throws RecordsTrouble while the records are damaged
 */
export function database(): Database.Database {
  if (inTrouble) throw inTrouble
  return shared?.db ?? openShared()
}

/** Closes the connection, for another file to be put in its place. */
export function closeShared(): void {
  shared?.db.close()
  shared = undefined
}

/** Lets nobody at the records any more: they are damaged. */
export function barRecords(trouble: RecordsTrouble): void {
  inTrouble = trouble
}

/** What the records are barred for. */
export function barredFor(): RecordsTrouble | undefined {
  return inTrouble
}

/** What became of the file while the program had it open. */
export type FileNews = 'as-it-was' | 'written-anew' | 'another-file'

/**
 * Looks whether the file is still the one that is open. If it was deleted, all that is in it is still held here, and is written anew; if
 * another was put in its place, that one is opened.
 */
export function lookAfterFile(): FileNews {
  if (!shared || inTrouble) return 'as-it-was'
  const { db, path, file } = shared
  const now = fileOf(path)
  if (now === file) return 'as-it-was'
  if (now === undefined) {
    mkdirSync(dirname(path), { recursive: true })
    db.prepare('VACUUM INTO ?').run(path)
  }
  closeShared()
  openShared()
  return now === undefined ? 'written-anew' : 'another-file'
}
