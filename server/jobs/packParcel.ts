import Database from 'better-sqlite3'
import { strToU8, zipSync } from 'fflate'
import { makeDocument } from '../../core/making/make/document'
import { fileName } from '../../core/readers/export/fileName'
import { photoText } from '../db/photoText'
import { DOCUMENTS } from '../db/documentTables'
import type { MakeEvent } from '../../core/making/make/event'
import { reportingProgress } from './progress'

/*
 * Everything in one file, to carry elsewhere: a zip of open documents, each of which can be brought in on its own too.
 */

/** Folders of a parcel, by what lies in them. */
const FOLDERS = { design: 'bags', swatch: 'swatches', yarn: 'yarns', order: 'orders', make: 'on-the-hook' } as const

/** The share of packing that is done once the bags are read, and again once the makes are. */
const HALF = 0.3

/** A text that was found broken. */
interface BrokenRow {
  readonly sort: string
  readonly name: string
  readonly text: string | null
}

/** A name that no other file of the folder has. */
function freeName(taken: Set<string>, folder: string, name: string, sort: string): string {
  for (let number = 1; ; number++) {
    const path = `${folder}/${fileName(number === 1 ? name : `${name} ${number}`, `${sort}.json`)}`
    if (taken.has(path)) continue
    taken.add(path)
    return path
  }
}

function isJson(text: string): boolean {
  try {
    JSON.parse(text)
    return true
  }
  catch {
    return false
  }
}

/** A document as it is read by people; of what is none, the text as it lies there. */
function indented(document: string): string {
  return isJson(document) ? JSON.stringify(JSON.parse(document), null, 2) : document
}

/** Packs everything that a database keeps. */
export function packParcel(path: string): Uint8Array {
  const db = new Database(path, { readonly: true, fileMustExist: true })
  try {
    // One look at everything: what is saved meanwhile is in the next parcel.
    return db.transaction(() => {
      const files: Record<string, Uint8Array> = {}
      const taken = new Set<string>()
      const put = (sort: keyof typeof FOLDERS, name: string, text: string) => {
        files[freeName(taken, FOLDERS[sort], name, sort)] = strToU8(text)
      }
      for (const [sort, table] of DOCUMENTS) {
        const rows = db.prepare(`SELECT name, document FROM ${table} WHERE removed_at IS NULL ORDER BY created_at, rowid`).all()
        for (const { name, document } of reportingProgress(rows as { name: string, document: string }[], 0, HALF))
          put(sort, name, `${indented(document)}\n`)
      }
      const events = db.prepare('SELECT event FROM make_events WHERE make = ? ORDER BY number').pluck()
      const photo = db.prepare('SELECT jpeg FROM make_photos WHERE make = ?').pluck()
      const makes = db.prepare('SELECT id, name FROM makes WHERE removed_at IS NULL ORDER BY created_at, rowid').all()
      for (const { id, name } of reportingProgress(makes as { id: string, name: string }[], HALF, 2 * HALF)) {
        const own = (events.all(id) as string[]).flatMap(event => (isJson(event) ? [JSON.parse(event) as MakeEvent] : []))
        const jpeg = photo.get(id) as Buffer | undefined
        put('make', name, `${JSON.stringify(makeDocument(name, own, jpeg && photoText(jpeg)), null, 2)}\n`)
      }
      for (const { sort, name, text } of db.prepare('SELECT sort, name, text FROM broken_rows ORDER BY number').all() as BrokenRow[]) {
        const path = freeName(taken, 'broken', name || sort, sort)
        files[path.replace(/json$/, 'txt')] = strToU8(text ?? '')
      }
      return zipSync(files, { level: 6, mtime: '2026-01-01T00:00:00' })
    })()
  }
  finally {
    db.close()
  }
}
