import { randomUUID } from 'node:crypto'
import type Database from 'better-sqlite3'
import type { Design, SwatchDocument } from '../../core/bag/design/design'
import type { MakeDocument } from '../../core/making/make/document'
import type { MakeEvent } from '../../core/making/make/event'
import { stateOf } from '../../core/making/make/fold'
import type { Progress } from '../../core/making/make/plan'
import type { Order } from '../../core/household/plan/order'
import type { ShelfYarn } from '../../core/household/shelf/yarn'
import { photoBytes, plainJpeg } from './photoText'
import { DOCUMENT_TABLES } from './documentTables'

/*
 * Imports, many documents at once: written a little at a time, so that whoever saves meanwhile hardly waits, and seen by
 * nobody until all of it is there. If the program ends before that, it is as if nothing had come.
 */

/** A document that comes in. */
export type Content
  = | { readonly sort: 'design', readonly document: Design }
    | { readonly sort: 'swatch', readonly document: SwatchDocument }
    | { readonly sort: 'yarn', readonly document: ShelfYarn }
    | { readonly sort: 'order', readonly document: Order }
    | { readonly sort: 'make', readonly document: Pick<MakeDocument, 'name' | 'events' | 'photo'>, readonly progress?: Progress }

/** Rows that are not there yet stand as laid aside since a moment that comes after all moments. */
const INCOMING = 'incoming'
/** In SQL: whether what was laid aside was ever there. Moments begin with a figure, which comes before this sign. */
export const WAS_THERE = 'removed_at < \':\''

const TABLES = [...Object.values(DOCUMENT_TABLES), 'makes']
/** So many rows are written before others have their turn. */
const ROWS_AT_ONCE = 60

/** Throws away what a program that ended was bringing in. */
export function clearIncoming(db: Database.Database): void {
  db.transaction(() => {
    for (const table of TABLES) db.prepare(`DELETE FROM ${table} WHERE removed_at >= ':'`).run()
  })()
}

/** A row of a table that comes in. */
interface IncomingRow {
  readonly table: string
  readonly id: string
}

/** Writes bit by bit: each step is a row or two. */
function* steps(db: Database.Database, contents: Iterable<Content>, rows: IncomingRow[], now: string): Generator<void> {
  const mark = `${INCOMING} ${randomUUID()}`
  const documents = Object.fromEntries(Object.values(DOCUMENT_TABLES).map(table => [table, db.prepare(
    `INSERT INTO ${table} (id, name, document, created_at, updated_at, removed_at) VALUES (?, ?, ?, ?, ?, '${mark}')`,
  )]))
  const make = db.prepare('INSERT INTO makes (id, name, bag, progress, created_at, updated_at, removed_at) '
    + `VALUES (?, ?, ?, ?, ?, ?, '${mark}')`)
  const event = db.prepare('INSERT INTO make_events (make, id, event) VALUES (?, ?, ?) ON CONFLICT (make, id) DO NOTHING')
  const photo = db.prepare('INSERT INTO make_photos (make, jpeg, added_at) VALUES (?, ?, ?)')
  for (const content of contents) {
    const id = randomUUID()
    if (content.sort === 'make') {
      const { document: { events, photo: picture }, progress } = content
      const { plan, bag } = stateOf(events as MakeEvent[])
      if (!plan) continue
      make.run(id, plan.name, bag ?? null, progress ? JSON.stringify(progress) : null, now, now)
      rows.push({ table: 'makes', id })
      for (const one of events) {
        event.run(id, one.id, JSON.stringify(one))
        yield
      }
      const jpeg = picture === undefined ? undefined : plainJpeg(photoBytes(picture))
      if (jpeg) photo.run(id, jpeg, now)
    }
    else {
      const table = DOCUMENT_TABLES[content.sort]
      documents[table]!.run(id, content.document.name, JSON.stringify(content.document), now, now)
      rows.push({ table, id })
    }
    yield
  }
}

/**
 * Brings documents in: all of them, or none.
 *
 * @param rest what is done between one bit and the next, so that others have their turn
 * @returns the ids that they are kept by
 */
export function bringIn(db: Database.Database, contents: Iterable<Content>, rest: () => void = () => {}): string[] {
  const rows: IncomingRow[] = []
  const coming = steps(db, contents, rows, new Date().toISOString())
  try {
    // What nobody sees need not be on the disk yet: the last write, which shows it, brings all before it there too.
    db.pragma('synchronous = NORMAL')
    const some = db.transaction(() => {
      for (let n = 0; n < ROWS_AT_ONCE; n++) if (coming.next().done) return true
      return false
    })
    while (!some.immediate()) rest()
    db.pragma('synchronous = FULL')
    const show = Object.fromEntries(TABLES.map(table => [table, db.prepare(`UPDATE ${table} SET removed_at = NULL WHERE id = ?`)]))
    db.transaction(() => rows.forEach(({ table, id }) => show[table]!.run(id))).immediate()
    return rows.map(({ id }) => id)
  }
  catch (error) {
    forget(db, rows)
    throw error
  }
}

/** Throws away what came in of something that could not come in whole. */
function forget(db: Database.Database, rows: readonly IncomingRow[]): void {
  try {
    db.transaction(() => rows.forEach(({ table, id }) => db.prepare(`DELETE FROM ${table} WHERE id = ?`).run(id))).immediate()
  }
  catch {
    // It is seen by nobody, and thrown away when the program begins next.
  }
}
