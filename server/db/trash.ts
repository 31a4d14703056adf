import type Database from 'better-sqlite3'
import type { DocumentTable } from './documentTables'
import { WAS_THERE } from './incoming'

/** A document in the trash. */
interface TrashedDocument {
  readonly id: string
  readonly name: string
  readonly removedAt: string
}

/** Deleting from a table so that it can be taken back: what is in the trash is on no list, and comes back as it was. */
export interface Trash {
  readonly remove: (id: string) => boolean
  readonly inTrash: () => TrashedDocument[]
  readonly bringBack: (id: string) => boolean
  /** Deletes for good what is in the trash. */
  readonly forget: (id: string) => boolean
}

/** The trash of a table. */
export function trashIn(db: Database.Database, table: DocumentTable | 'makes'): Trash {
  const remove = db.prepare<[string, string]>(`UPDATE ${table} SET removed_at = ? WHERE id = ? AND removed_at IS NULL`)
  const inTrash = db.prepare<[], TrashedDocument>(
    `SELECT id, name, removed_at AS removedAt FROM ${table} WHERE ${WAS_THERE} ORDER BY removed_at DESC`,
  )
  const bringBack = db.prepare<[string]>(`UPDATE ${table} SET removed_at = NULL WHERE id = ? AND removed_at IS NOT NULL`)
  const forget = db.prepare<[string]>(`DELETE FROM ${table} WHERE id = ? AND removed_at IS NOT NULL`)
  return {
    remove: id => remove.run(new Date().toISOString(), id).changes === 1, inTrash: () => inTrash.all(),
    bringBack: id => bringBack.run(id).changes === 1, forget: id => forget.run(id).changes === 1,
  }
}
