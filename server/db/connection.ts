import { existsSync, mkdirSync, statSync } from 'node:fs'
import { dirname, resolve } from 'node:path'
import Database from 'better-sqlite3'
import { setBrokenAside } from './unreadableRows'
import { migrate } from './migrate'
import { MIGRATIONS } from './migrations'
import { OURS } from './documentTables'
import type { RecordsTrouble } from './trouble'
import { troubleOf, troubleWith } from './trouble'
import { hasBrokenRows, isWhole } from './integrity'
import { type WriteAhead, writeAheadOf } from './writeAhead'

/** Where the records are kept: FAIR_HOLLOW_DB, or a file in the folder that the program was started from. */
export function databasePath(): string {
  return resolve(process.env.FAIR_HOLLOW_DB || 'data/fair-hollow.sqlite')
}

/** So long a write waits for another program before it says that the records are held: everybody waits meanwhile. */
const BUSY_MS = 300

function checkOurs(db: Database.Database, path: string): void {
  const tables = db.prepare('SELECT name FROM sqlite_master WHERE type = \'table\'').pluck().all() as string[]
  if (tables.length > 0 && !OURS.every(name => tables.includes(name))) throw troubleWith('no-database', path)
  if ((db.pragma('user_version', { simple: true }) as number) > MIGRATIONS.length) throw troubleWith('later', path)
}

/** How a copy is made before something is changed that cannot be changed back. */
export type KeepCopy = (db: Database.Database, path: string, why: 'before-update' | 'before-restore') => void

/** Notes that the records were opened: a file that can only be read shows it at the first write. A full disk is told at the next save. */
function noteOpened(db: Database.Database, path: string): void {
  try {
    db.prepare('INSERT OR REPLACE INTO house (key, value) VALUES (\'opened\', ?)').run(new Date().toISOString())
  }
  catch (error) {
    if (troubleOf(error, path)?.code !== 'full') throw error
  }
}

/** A disk without room for the index that connections share: one that is alone needs none. */
function hasNoRoomToShare(error: unknown): boolean {
  return String((error as { code?: unknown }).code).startsWith('SQLITE_IOERR_SHM')
}

/** Opens a database: written ahead and synced in full, so that what was acknowledged is on the disk, whatever happens next. */
function connected(path: string, isAlone: boolean): Database.Database {
  const db = new Database(path, { timeout: BUSY_MS })
  try {
    if (isAlone) db.pragma('locking_mode = EXCLUSIVE')
    checkOurs(db, path)
    db.pragma('journal_mode = WAL')
    db.pragma('synchronous = FULL')
    db.pragma('foreign_keys = ON')
    return db
  }
  catch (error) {
    db.close()
    if (!isAlone && hasNoRoomToShare(error)) return connected(path, true)
    throw error
  }
}

/**
 * Opens a database and brings its tables up to date.
 *
 * @param isChecked whether it was looked over just now, all of it
 * @throws RecordsTrouble if the file is not there to be used, or not sound
 */
export function open(path: string, keepCopy?: KeepCopy, isChecked = false): Database.Database {
  let db: Database.Database | undefined
  try {
    if (path !== ':memory:') mkdirSync(dirname(path), { recursive: true })
    const isNew = !existsSync(path) || statSync(path).size === 0
    db = connected(path, false)
    if (!isChecked && !isWhole(db)) throw troubleWith('corrupt', path)
    if (!isNew && (db.pragma('user_version', { simple: true }) as number) < MIGRATIONS.length) keepCopy?.(db, path, 'before-update')
    if (!isChecked && hasBrokenRows(db)) setBrokenAside(db, new Date())
    migrate(db, MIGRATIONS)
    noteOpened(db, path)
    return db
  }
  catch (error) {
    db?.close()
    throw troubleOf(error, path) ?? (error as Error)
  }
}

interface SharedConnection {
  readonly db: Database.Database
  readonly path: string
  /** Which file it is, whatever it is called. */
  readonly file: number | undefined
  readonly keepCopy: KeepCopy | undefined
  readonly ahead: WriteAhead | undefined
}

let shared: SharedConnection | undefined
let inTrouble: RecordsTrouble | undefined

function fileOf(path: string): number | undefined {
  return statSync(path, { throwIfNoEntry: false })?.ino
}

/** Opens the server's one connection. */
export function openShared(keepCopy?: KeepCopy, isChecked = false): Database.Database {
  const path = databasePath()
  const db = open(path, keepCopy, isChecked)
  inTrouble = undefined
  shared = { db, path, file: fileOf(path), keepCopy, ahead: writeAheadOf(db, path) }
  return db
}

/**
 * The server's one connection, opened when it is first wanted.
 *
 * @throws RecordsTrouble while the records are damaged
 */
export function database(): Database.Database {
  if (inTrouble) throw inTrouble
  // Where another program has put another file in its place, nothing more is written into the one that nobody sees.
  if (shared && fileOf(shared.path) !== shared.file) lookAfterFile()
  return shared?.db ?? openShared()
}

/** Whether the records are open. */
export function isOpen(): boolean {
  return shared !== undefined
}

/**
 * Resolves once all that was written over the server's connection is on the disk. Whatever says that it is kept waits for this.
 *
 * @throws what the disk said if it may not be
 */
export async function synced(): Promise<void> {
  await shared?.ahead?.synced()
}

/** The path of the records, if what was saved since this was asked last is to be brought into them; the worker pool does it. */
export function unsettledRecords(): string | undefined {
  return shared?.ahead?.takeUnsettled() && !isAlone() ? shared.path : undefined
}

/** Closes the connection, for another file to be put in its place. */
export function closeShared(): void {
  shared?.db.close()
  shared?.ahead?.close()
  shared = undefined
}

/** Lets nobody at the records any more: they are damaged, or being replaced. */
export function barRecords(trouble: RecordsTrouble): void {
  inTrouble = trouble
}

/** The trouble that the records are barred for. */
export function barredFor(): RecordsTrouble | undefined {
  return inTrouble
}

/** Whether nobody else can be at the records, the worker pool neither: the disk had no room for what they share. */
export function isAlone(): boolean {
  return shared?.db.pragma('locking_mode', { simple: true }) === 'exclusive'
}

const NEWS = {
  'written-anew': 'was deleted while the program ran; it was written anew, whole.',
  'another-file': 'was replaced by another file, which is used now; what was there before is kept as a copy.',
}

/**
 * Looks whether the file is still the one that is open. If it was deleted, all that is in it is still held here, and is written anew; if
 * another was put in its place, what is held here is kept as a copy, and that one is opened.
 */
export function lookAfterFile(): void {
  if (!shared || inTrouble) return
  const { db, path, file, keepCopy } = shared
  const now = fileOf(path)
  if (now === file) return
  if (now === undefined) {
    mkdirSync(dirname(path), { recursive: true })
    db.prepare('VACUUM INTO ?').run(path)
  }
  else keepCopy?.(db, path, 'before-restore')
  closeShared()
  openShared(keepCopy)
  process.stderr.write(`${path} ${NEWS[now === undefined ? 'written-anew' : 'another-file']}\n`)
}
