import { randomUUID } from 'node:crypto'
import type Database from 'better-sqlite3'
import { LRUCache } from 'lru-cache'
import type { Reading } from '../../core/bag/design/read'
import { problemLines } from '../../core/bag/design/problem'
import type { DocumentTable } from './documentTables'
import { type Trash, trashIn } from './trash'

/** A kept document, and what is known of it besides. */
interface StoredDocument<D> {
  readonly id: string
  /** Grows by one with every save; a save names the one it started from. */
  readonly revision: number
  readonly createdAt: string
  readonly updatedAt: string
  readonly document: D
  /** Why this program cannot read it; it can be saved to a file or thrown away as it is. */
  readonly unreadable?: readonly string[]
}

/** Result of a save: kept, overtaken by another, or of something that is gone. */
type SaveResult
  = | { readonly kept: true, readonly revision: number, readonly updatedAt: string }
    | { readonly kept: false, readonly why: 'gone' | 'overtaken' }

/** The statements of one table of documents, prepared once. */
export interface Repository<D> extends Trash {
  readonly list: () => StoredDocument<D>[]
  readonly find: (id: string) => StoredDocument<D> | undefined
  /** @param save the id of the request: sent twice, it is kept once */
  readonly add: (document: D, save?: string) => StoredDocument<D>
  readonly save: (id: string, revision: number, document: D, save?: string) => SaveResult
}

interface DocumentRow {
  id: string
  document: string
  revision: number
  created_at: string
  updated_at: string
}

/** A value without the fields that hold nothing: programs before this one took them for what is left out. */
function withoutNothing(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withoutNothing)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).flatMap(([key, inside]) => (inside === null ? [] : [[key, withoutNothing(inside)]])))
}

/** The readable part of a document once what an earlier program let pass is mended; if that does not help, what is wrong as it is. */
function mended<D>(document: unknown, asKept: Reading<D>, read: (input: unknown) => Reading<D>): Reading<D> {
  const again = read(withoutNothing(document))
  return again.ok ? again : asKept
}

/** Signs of documents that are remembered as they were read: some hundred bags. */
const MOST_REMEMBERED = 4_000_000

/** A row as a record, its document brought up to what this program writes: an older one gains the fields it did not know. */
function keptBy<D>(read: (input: unknown) => Reading<D>): (row: DocumentRow) => StoredDocument<D> {
  return (row) => {
    const document = JSON.parse(row.document) as D
    const asKept = read(document)
    const reading = asKept.ok ? asKept : mended(document, asKept, read)
    const known = { id: row.id, revision: row.revision, createdAt: row.created_at, updatedAt: row.updated_at }
    return reading.ok
      ? { ...known, document: reading.document }
      : { ...known, document, unreadable: problemLines(reading.problems).slice(0, 10) }
  }
}

/**
 * Finds records, and remembers them: nothing of one is read again as long as it has the revision and the time that it had. Every write to
 * a document gives it another revision, and other records are another connection.
 */
function finder<D>(
  statements: ReturnType<typeof statementsOf>, kept: (row: DocumentRow) => StoredDocument<D>,
): (id: string) => StoredDocument<D> | undefined {
  const remembered = new LRUCache<string, { readonly kept: StoredDocument<D>, readonly signs: number }>({
    maxSize: MOST_REMEMBERED, sizeCalculation: ({ signs }) => signs,
  })
  return (id) => {
    const head = statements.head.get(id)
    if (!head) return undefined
    const known = remembered.get(id)?.kept
    if (known?.revision === head.revision && known.updatedAt === head.updated_at) return known
    const row = statements.find.get(id)!
    const found = { kept: kept(row), signs: row.document.length }
    remembered.set(id, found)
    return found.kept
  }
}

/** Hooks of a save, in its transaction. */
interface SaveHooks {
  readonly beforeSave: (id: string, revision: number, now: string) => void
}

function statementsOf(db: Database.Database, table: string) {
  const columns = 'id, document, revision, created_at, updated_at'
  return {
    list: db.prepare<[], DocumentRow>(`SELECT ${columns} FROM ${table} WHERE removed_at IS NULL ORDER BY updated_at DESC, rowid DESC`),
    head: db.prepare<[string], Pick<DocumentRow, 'revision' | 'updated_at'>>(
      `SELECT revision, updated_at FROM ${table} WHERE id = ? AND removed_at IS NULL`,
    ),
    find: db.prepare<[string], DocumentRow>(`SELECT ${columns} FROM ${table} WHERE id = ? AND removed_at IS NULL`),
    add: db.prepare<[string, string, string, string, string, string | null]>(
      `INSERT INTO ${table} (id, name, document, created_at, updated_at, begun_by) VALUES (?, ?, ?, ?, ?, ?)`,
    ),
    begun: db.prepare<[string], DocumentRow>(`SELECT ${columns} FROM ${table} WHERE begun_by = ?`),
    standing: db.prepare<[string], { revision: number, saves: string }>(
      `SELECT revision, saves FROM ${table} WHERE id = ? AND removed_at IS NULL`,
    ),
    save: db.prepare<[string, string, string, string, string]>(
      `UPDATE ${table} SET name = ?, document = ?, updated_at = ?, saves = ?, revision = revision + 1 WHERE id = ?`,
    ),
  }
}

/** A save that was answered: its id, the revision it came to, when. */
type AnsweredSave = readonly [save: string, revision: number, at: string]

/** So many of a document's last saves are remembered: a page sends one at a time, and few pages are open at once. */
const MOST_SAVES = 6

/**
 * Documents that have a name: designs, swatches, yarns and orders stand in tables of the same shape.
 *
 * @param read how a document of this table is read
 */
export function repository<D extends { readonly name: string }>(
  db: Database.Database,
  table: DocumentTable,
  read: (input: unknown) => Reading<D>,
  besides?: SaveHooks,
): Repository<D> {
  const kept = keptBy(read)
  const statements = statementsOf(db, table)

  const add = db.transaction((document: D, save?: string): StoredDocument<D> => {
    const before = save === undefined ? undefined : statements.begun.get(save)
    if (before) return kept(before)
    const id = randomUUID()
    const now = new Date().toISOString()
    statements.add.run(id, document.name, JSON.stringify(document), now, now, save ?? null)
    return { id, revision: 1, createdAt: now, updatedAt: now, document }
  })

  const keep = db.transaction((id: string, revision: number, document: D, save?: string): SaveResult => {
    const standing = statements.standing.get(id)
    if (!standing) return { kept: false, why: 'gone' }
    const saves = JSON.parse(standing.saves) as AnsweredSave[]
    const before = save === undefined ? undefined : saves.find(([one]) => one === save)
    if (before) return { kept: true, revision: before[1], updatedAt: before[2] }
    if (standing.revision !== revision) return { kept: false, why: 'overtaken' }
    const now = new Date().toISOString()
    besides?.beforeSave(id, revision, now)
    const known = save === undefined ? saves : [...saves, [save, revision + 1, now]].slice(-MOST_SAVES)
    statements.save.run(document.name, JSON.stringify(document), now, JSON.stringify(known), id)
    return { kept: true, revision: revision + 1, updatedAt: now }
  })

  return {
    find: finder(statements, kept), list: () => statements.list.all().map(kept),
    add: (document, save) => add.immediate(document, save),
    save: (id, revision, document, save) => keep.immediate(id, revision, document, save),
    ...trashIn(db, table),
  }
}
