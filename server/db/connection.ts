import { mkdirSync } from 'node:fs'
import { dirname, resolve } from 'node:path'
import Database from 'better-sqlite3'
import { migrate } from './migrate'
import { MIGRATIONS } from './migrations'

/** Where the records are kept: FAIR_HOLLOW_DB, or a file in the folder that the program was started from. */
export function databasePath(): string {
  return resolve(process.env.FAIR_HOLLOW_DB || 'data/fair-hollow.sqlite')
}

/**
 * Opens a database and brings its tables up to date. Written ahead and synced in full: what was acknowledged is on the
 * disk, whatever happens to the program next.
 */
export function open(path: string): Database.Database {
  if (path !== ':memory:') mkdirSync(dirname(path), { recursive: true })
  const db = new Database(path)
  db.pragma('journal_mode = WAL')
  db.pragma('synchronous = FULL')
  db.pragma('foreign_keys = ON')
  db.pragma('busy_timeout = 4000')
  migrate(db, MIGRATIONS)
  return db
}

let shared: Database.Database | undefined

/** The server's one connection, opened when it is first wanted. */
export function database(): Database.Database {
  return shared ??= open(databasePath())
}
