import { existsSync, renameSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { DOCUMENT_TABLES } from '../db/sorts'
import { copiesFolder, copiesOf, putInPlace } from './copies'

/*
 * What is done when the records are damaged: the broken file is kept beside, the last good copy takes its place, and whatever can still be
 * read of the broken one is brought over. Only if the maker agrees.
 */

/** What came of it. */
export interface Salvaged {
  /** Where the broken file lies now. */
  readonly broken: string
  /** The copy that was taken; none if there was none. */
  readonly copy?: string
  /** Rows read off the broken file that the copy did not have, or had in an earlier state. */
  readonly brought: number
  /** Rows that could not be read. */
  readonly lost: number
}

/** Moves the broken file, and what was written ahead for it, out of the way. */
function putAside(path: string, now: Date): string {
  const broken = `${path}.broken-${now.toISOString().replace(/[:.]/g, '-')}`
  for (const tail of ['', '-wal', '-shm']) if (existsSync(path + tail)) renameSync(path + tail, broken + tail)
  return broken
}

type Row = Record<string, unknown>

/** Reads a table row by row, as far as it can be read: from the front, and from the back up to the first that cannot. */
function* rowsOf(db: Database.Database, table: string, miss: () => void): Generator<Row> {
  const seen = new Set<unknown>()
  for (const order of ['ASC', 'DESC']) {
    try {
      for (const row of db.prepare(`SELECT rowid AS row_number, * FROM ${table} ORDER BY rowid ${order}`).iterate() as Iterable<Row>) {
        if (seen.has(row.row_number)) break
        seen.add(row.row_number)
        yield row
      }
      if (order === 'ASC') return
    }
    catch {
      miss()
    }
  }
}

/** Whether a file of an earlier program has no such table yet; of what cannot be read it is not known. */
function knowsNo(db: Database.Database, table: string): boolean {
  try {
    return db.prepare('SELECT count(*) FROM sqlite_master WHERE name = ?').pluck().get(table) === 0
  }
  catch {
    return false
  }
}

/** How a table's rows are brought over: those that are not there, or are there in an earlier state. */
const BROUGHT: Readonly<Record<string, string>> = {
  ...Object.fromEntries(Object.values(DOCUMENT_TABLES).map(table => [
    table,
    `INSERT INTO ${table} (id, name, document, revision, created_at, updated_at, removed_at)
      VALUES (@id, @name, @document, @revision, @created_at, @updated_at, @removed_at)
      ON CONFLICT (id) DO UPDATE SET name = excluded.name, document = excluded.document, revision = excluded.revision,
        updated_at = excluded.updated_at, removed_at = excluded.removed_at WHERE excluded.revision > ${table}.revision`,
  ])),
  makes: `INSERT INTO makes (id, name, progress, bag, created_at, updated_at, removed_at)
    VALUES (@id, @name, @progress, @bag, @created_at, @updated_at, @removed_at)
    ON CONFLICT (id) DO UPDATE SET progress = excluded.progress, updated_at = excluded.updated_at, removed_at = excluded.removed_at
      WHERE excluded.updated_at > makes.updated_at`,
  make_events: 'INSERT INTO make_events (make, id, event) VALUES (@make, @id, @event) ON CONFLICT (make, id) DO NOTHING',
}

/** Brings over what can be read of a broken file. */
export function bringOver(broken: string, into: Database.Database): Pick<Salvaged, 'brought' | 'lost'> {
  let [brought, lost] = [0, 0]
  let db: Database.Database | undefined
  try {
    db = new Database(broken, { readonly: true })
    for (const [table, sql] of Object.entries(BROUGHT)) {
      if (knowsNo(db, table)) continue
      const put = into.prepare(sql)
      const columns = [...sql.matchAll(/@(\w+)/g)].map(([, name]) => name!)
      for (const row of rowsOf(db, table, () => lost++)) {
        try {
          brought += put.run(Object.fromEntries(columns.map(name => [name, row[name] ?? null]))).changes
        }
        catch {
          lost++
        }
      }
    }
  }
  catch {
    // Not even its first page can be read: the copy is all there is.
    lost++
  }
  finally {
    db?.close()
  }
  return { brought, lost }
}

/** Puts the broken file aside and the newest copy that is sound in its place; of none, nothing: an empty file is begun. */
export function replaceBroken(path: string, now: Date): Pick<Salvaged, 'broken' | 'copy'> {
  const broken = putAside(path, now)
  for (const { name } of copiesOf(path)) {
    try {
      putInPlace(join(copiesFolder(path), name), path)
      return { broken, copy: name }
    }
    catch {
      rmSync(`${path}.part`, { force: true })
    }
  }
  return { broken }
}
