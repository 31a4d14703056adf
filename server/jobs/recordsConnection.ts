import Database from 'better-sqlite3'

/*
 * Connections of the worker pool's own to the records, closed after each job.
 */

/** So long a write waits for the server's own. */
const WAITS_MS = 5_000

/** Asks the records something. */
export async function looking<T>(path: string, work: (db: Database.Database) => T | Promise<T>): Promise<T> {
  const db = new Database(path, { readonly: true, fileMustExist: true })
  try {
    return await work(db)
  }
  finally {
    db.close()
  }
}

/** Writes into the records, synced in full. */
export function writing<T>(path: string, work: (db: Database.Database) => T): T {
  const db = new Database(path, { fileMustExist: true, timeout: WAITS_MS })
  try {
    db.pragma('synchronous = FULL')
    db.pragma('foreign_keys = ON')
    return work(db)
  }
  finally {
    db.close()
  }
}
