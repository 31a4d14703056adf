import { existsSync, mkdirSync, realpathSync, rmSync } from 'node:fs'
import { basename, dirname, join } from 'node:path'
import Database from 'better-sqlite3'

/*
 * Who the records belong to while a program runs: one server, or one command that replaces them. The claim is a lock of the operating
 * system on a small file beside the records, which SQLite takes and holds; it ends with whoever holds it, however that ends.
 */

/** Whoever holds the records. */
export interface Owner {
  readonly pid: number
  /** Where it is asked for; nothing of a command. */
  readonly address: string | null
}

/** A claim that was granted, or who holds the records instead, if they said so. */
export type Claim
  = { readonly granted: true, readonly release: () => void } | { readonly granted: false, readonly owner: Owner | undefined }

/** The file that is locked, whatever other name the records are reached by. */
function lockFile(path: string): string {
  const real = existsSync(path) ? realpathSync(path) : join(realpathSync(dirname(path)), basename(path))
  return `${real}.owner`
}

function isHeld(error: unknown): boolean {
  return String((error as { code?: unknown }).code).startsWith('SQLITE_BUSY')
}

/** Says who has it. On a full disk nobody can say so; the lock needs no room. */
function sign(db: Database.Database, { pid, address }: Owner): void {
  try {
    db.exec('CREATE TABLE IF NOT EXISTS owner (pid INTEGER NOT NULL, address TEXT); DELETE FROM owner')
    db.prepare('INSERT INTO owner VALUES (?, ?)').run(pid, address)
    db.exec('COMMIT')
  }
  catch {
    if (db.inTransaction) db.exec('ROLLBACK')
  }
}

function ownerIn(db: Database.Database): Owner | undefined {
  try {
    return db.prepare<[], Owner>('SELECT pid, address FROM owner').get()
  }
  catch {
    return undefined
  }
}

/** Claims the records, or says who has them. */
export function claim(path: string, me: Owner): Claim {
  mkdirSync(dirname(path), { recursive: true })
  const file = lockFile(path)
  let db: Database.Database | undefined
  for (const isLastTry of [false, true]) {
    try {
      db = new Database(file, { timeout: 50 })
      db.exec('BEGIN IMMEDIATE')
      sign(db, me)
      // Others can read who has it, and cannot have it: this is never committed.
      db.exec('BEGIN IMMEDIATE')
      const held = db
      return { granted: true, release: () => void held.close() }
    }
    catch (error) {
      const owner = db && isHeld(error) ? ownerIn(db) : undefined
      db?.close()
      if (isHeld(error)) return { granted: false, owner }
      // It holds nothing that could be lost.
      if (isLastTry) throw error
      rmSync(file, { force: true })
    }
  }
  throw new Error('unreachable')
}

/** Who holds the records, in words for whoever wanted them. */
export function ownerWords(owner: Owner | undefined): string {
  if (!owner) return ''
  return owner.address === null
    ? ` It is the command with process number ${owner.pid}.`
    : ` It is at ${owner.address} (process ${owner.pid}).`
}
