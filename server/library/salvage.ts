import { closeSync, copyFileSync, existsSync, linkSync, openSync, readSync, rmSync, statSync, writeSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { DOCUMENT_TABLES } from '../db/documentTables'
import { copiesFolder, copiesOf, putInPlace, staged } from './copies'
import { type TableRow, rowsOf } from './rows'

/*
 * Salvage of damaged records: the broken file is kept beside, the last good copy takes its place, and whatever can still be
 * read of the broken one is brought over. Only if the maker agrees.
 */

/** Result of a salvage. */
export interface SalvageResult {
  /** Where the broken file lies now. */
  readonly broken: string
  /** The copy that was taken; none if there was none. */
  readonly copy?: string
  /** Rows read off the broken file that the copy did not have, or had in an earlier state. */
  readonly brought: number
  /** Rows that could not be read, as far as it is known how many there were. */
  readonly lost: number
}

/** Keeps the broken file, and what was written ahead for it, under a name of its own; it stays in its old place until another takes it. */
function keepBeside(path: string, now: Date): string {
  const broken = `${path}.broken-${now.toISOString().replace(/[:.]/g, '-')}`
  if (existsSync(`${path}-wal`)) copyFileSync(`${path}-wal`, `${broken}-wal`)
  try {
    linkSync(path, broken)
  }
  catch {
    // Some file systems know no second name for a file.
    copyFileSync(path, broken)
  }
  return broken
}

/** A later state takes the place of an earlier one; of the same state, what was thrown away stays thrown away. */
const LATER = (table: string) =>
  `excluded.revision > ${table}.revision OR (excluded.revision = ${table}.revision AND excluded.removed_at IS NOT ${table}.removed_at)`

/** Progress as it is kept now: before migration 9 its words alone said that a make was finished. */
const PROGRESS_NOW = `iif(json_valid(@progress) AND json_extract(@progress, '$.words') IS 'Finished',
      json_set(@progress, '$.finished', json('true')), @progress)`

/** How a table's rows are brought over: those that are not there, or are there in an earlier state. */
const BROUGHT: Readonly<Record<string, string>> = {
  ...Object.fromEntries(Object.values(DOCUMENT_TABLES).map(table => [
    table,
    `INSERT INTO ${table} (id, name, document, revision, created_at, updated_at, removed_at)
      VALUES (@id, @name, @document, @revision, @created_at, @updated_at, @removed_at)
      ON CONFLICT (id) DO UPDATE SET name = excluded.name, document = excluded.document, revision = excluded.revision,
        updated_at = excluded.updated_at, removed_at = excluded.removed_at WHERE ${LATER(table)}`,
  ])),
  makes: `INSERT INTO makes (id, name, progress, bag, created_at, updated_at, removed_at)
    VALUES (@id, @name, ${PROGRESS_NOW}, @bag, @created_at, @updated_at, @removed_at)
    ON CONFLICT (id) DO UPDATE SET progress = excluded.progress, updated_at = excluded.updated_at, removed_at = excluded.removed_at
      WHERE excluded.updated_at > makes.updated_at
        OR (excluded.updated_at = makes.updated_at AND excluded.removed_at IS NOT makes.removed_at)`,
  make_events: 'INSERT INTO make_events (make, id, event) VALUES (@make, @id, @event) ON CONFLICT (make, id) DO NOTHING',
  make_photos: `INSERT INTO make_photos (make, jpeg, added_at) VALUES (@make, @jpeg, @added_at)
    ON CONFLICT (make) DO UPDATE SET jpeg = excluded.jpeg, added_at = excluded.added_at WHERE excluded.added_at > make_photos.added_at`,
  design_versions: `INSERT INTO design_versions (design, revision, document, saved_at) VALUES (@design, @revision, @document, @saved_at)
    ON CONFLICT (design, revision) DO NOTHING`,
  devices: `INSERT INTO devices (id, name, token_hash, paired_at, seen_at) VALUES (@id, @name, @token_hash, @paired_at, @seen_at)
    ON CONFLICT DO NOTHING`,
  makes_removed: 'INSERT INTO makes_removed (id, removed_at) VALUES (@id, @removed_at) ON CONFLICT DO NOTHING',
}

/** Columns that hold JSON: what is none is kept aside by its name. */
const JSON_COLUMNS = ['document', 'event']

function isJson(text: unknown): boolean {
  try {
    JSON.parse(String(text))
    return true
  }
  catch {
    return false
  }
}

/** Puts rows of one table where they belong. */
function putter(into: Database.Database, table: string): (row: TableRow) => 'brought' | 'there' | 'lost' {
  const sql = BROUGHT[table]!
  const put = into.prepare(sql)
  const aside = into.prepare('INSERT INTO broken_rows (sort, of_row, name, text, found_at) VALUES (?, ?, ?, ?, ?)')
  const columns = [...sql.matchAll(/@(\w+)/g)].map(([, name]) => name!)
  return (row) => {
    const broken = JSON_COLUMNS.find(column => columns.includes(column) && !isJson(row[column]))
    try {
      if (broken) {
        aside.run(table, String(row.id ?? row.design), String(row.name ?? ''), String(row[broken]), new Date().toISOString())
        return 'lost'
      }
      return put.run(Object.fromEntries(columns.map(name => [name, row[name] ?? null]))).changes > 0 ? 'brought' : 'there'
    }
    catch {
      return 'lost'
    }
  }
}

/** Bytes of a database's head, before its first page's own (SQLite's file format, 1.3). */
const HEAD_BYTES = 100

/**
 * A broken file with a readable head: the program cannot tell it for a database without one. What the head says of pages and versions is
 * taken from a sound copy, how many there are from the file's size; free pages are forgotten.
 */
function withHead(broken: string, copy: string | undefined): string {
  if (!copy) return broken
  const head = Buffer.alloc(HEAD_BYTES)
  const from = openSync(copy, 'r')
  readSync(from, head, 0, HEAD_BYTES, 0)
  closeSync(from)
  const pageBytes = head.readUInt16BE(16) === 1 ? 65_536 : head.readUInt16BE(16)
  head.writeUInt32BE(Math.floor(statSync(broken).size / pageBytes), 28)
  head.writeUInt32BE(head.readUInt32BE(24), 92)
  head.fill(0, 32, 40)
  head.fill(existsSync(`${broken}-wal`) ? 2 : 1, 18, 20)
  const mended = `${broken}.head`
  for (const tail of ['', '-wal']) if (existsSync(broken + tail)) copyFileSync(broken + tail, mended + tail)
  const to = openSync(mended, 'r+')
  writeSync(to, head, 0, HEAD_BYTES, 0)
  closeSync(to)
  return mended
}

/** Whether a file is told for a database at all. */
function isDatabase(file: string): boolean {
  let db: Database.Database | undefined
  try {
    db = new Database(file, { readonly: true })
    db.prepare('SELECT count(*) FROM sqlite_master').get()
    return true
  }
  catch {
    return false
  }
  finally {
    db?.close()
  }
}

/** Brings over what can be read of a broken file. */
function bringOver(broken: string, into: Database.Database, copy?: string): Pick<SalvageResult, 'brought' | 'lost'> {
  const readable = isDatabase(broken) ? broken : withHead(broken, copy)
  let [brought, lost] = [0, 0]
  let db: Database.Database | undefined
  try {
    db = new Database(readable, { readonly: true })
    // What cannot be told from its tables' names is not read at all.
    db.prepare('SELECT name FROM sqlite_master').all()
    for (const table of Object.keys(BROUGHT)) {
      const put = putter(into, table)
      const count = { brought: 0, there: 0, lost: 0 }
      const unread = rowsOf(db, table, row => count[put(row)]++)
      brought += count.brought
      lost += count.lost + unread
    }
  }
  catch {
    // Not even its first page can be read: the copy is all there is.
    lost++
  }
  finally {
    db?.close()
    if (readable !== broken) for (const tail of ['', '-wal', '-shm']) rmSync(readable + tail, { force: true })
  }
  return { brought, lost }
}

/** Lays the newest sound copy ready, or an empty file where there is none; says which copy it is. */
function laidReady(path: string): { readonly part: string, readonly copy?: string } {
  for (const { name } of copiesOf(path)) {
    try {
      return { part: staged(join(copiesFolder(path), name), path), copy: name }
    }
    catch {
      // The one before it, then.
    }
  }
  rmSync(`${path}.part`, { force: true })
  return { part: `${path}.part` }
}

/**
 * Puts the newest sound copy in the place of damaged records that nobody has open, with all that can be read of them. Until that is
 * whole they stay where they are: stopped at any moment, it can be done again.
 *
 * @param open opens a file and brings its tables up to date
 */
export function salvage(path: string, now: Date, open: (file: string) => Database.Database): SalvageResult {
  const { part, copy } = laidReady(path)
  const db = open(part)
  let read: Pick<SalvageResult, 'brought' | 'lost'>
  try {
    read = db.transaction(() => bringOver(path, db, copy && join(copiesFolder(path), copy)))()
    // All of it in the one file that takes the others' place.
    db.pragma('journal_mode = DELETE')
  }
  finally {
    db.close()
  }
  const broken = keepBeside(path, now)
  putInPlace(part, path)
  return { broken, ...(copy ? { copy } : {}), ...read }
}
