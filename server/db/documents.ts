import { randomUUID } from 'node:crypto'
import type Database from 'better-sqlite3'
import type { Reading } from '../../core/design/read'

/** A kept document with what the house knows of it. */
export interface Kept<D> {
  readonly id: string
  /** Grows by one with every save; a save names the one it started from. */
  readonly revision: number
  readonly createdAt: string
  readonly updatedAt: string
  readonly document: D
}

/** What became of a save: kept, overtaken by another, or of something that is gone. */
export type Saved
  = | { readonly kept: true, readonly revision: number, readonly updatedAt: string }
    | { readonly kept: false, readonly why: 'gone' | 'overtaken' }

/** The statements of one table of documents, prepared once. */
export interface Shelf<D> {
  readonly list: () => Kept<D>[]
  readonly find: (id: string) => Kept<D> | undefined
  readonly add: (document: D) => Kept<D>
  readonly save: (id: string, revision: number, document: D) => Saved
  readonly remove: (id: string) => boolean
}

interface Row {
  id: string
  document: string
  revision: number
  created_at: string
  updated_at: string
}

/** A row as a record, its document brought up to what this program writes: an older one gains the fields it did not know. */
function keptBy<D>(read: (input: unknown) => Reading<D>): (row: Row) => Kept<D> {
  return (row) => {
    const document = JSON.parse(row.document) as D
    const reading = read(document)
    return {
      id: row.id, revision: row.revision, createdAt: row.created_at, updatedAt: row.updated_at,
      document: reading.ok ? reading.document : document,
    }
  }
}

/**
 * A shelf of documents that have a name: designs and swatches stand in tables of the same shape.
 *
 * @param read how a document of this shelf is read
 */
export function shelf<D extends { readonly name: string }>(
  db: Database.Database,
  table: 'designs' | 'swatches',
  read: (input: unknown) => Reading<D>,
): Shelf<D> {
  const kept = keptBy(read)
  const columns = 'id, document, revision, created_at, updated_at'
  const list = db.prepare<[], Row>(`SELECT ${columns} FROM ${table} ORDER BY updated_at DESC, rowid DESC`)
  const find = db.prepare<[string], Row>(`SELECT ${columns} FROM ${table} WHERE id = ?`)
  const add = db.prepare<[string, string, string, string, string]>(
    `INSERT INTO ${table} (id, name, document, created_at, updated_at) VALUES (?, ?, ?, ?, ?)`,
  )
  const save = db.prepare<[string, string, string, string, number]>(
    `UPDATE ${table} SET name = ?, document = ?, updated_at = ?, revision = revision + 1 WHERE id = ? AND revision = ?`,
  )
  const remove = db.prepare<[string]>(`DELETE FROM ${table} WHERE id = ?`)
  return {
    list: () => list.all().map(kept),
    find: (id) => {
      const row = find.get(id)
      return row && kept(row)
    },
    add: (document) => {
      const id = randomUUID()
      const now = new Date().toISOString()
      add.run(id, document.name, JSON.stringify(document), now, now)
      return { id, revision: 1, createdAt: now, updatedAt: now, document }
    },
    save: (id, revision, document) => {
      const now = new Date().toISOString()
      const { changes } = save.run(document.name, JSON.stringify(document), now, id, revision)
      if (changes === 1) return { kept: true, revision: revision + 1, updatedAt: now }
      return { kept: false, why: find.get(id) ? 'overtaken' : 'gone' }
    },
    remove: id => remove.run(id).changes === 1,
  }
}
