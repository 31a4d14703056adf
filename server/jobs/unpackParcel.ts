import Database from 'better-sqlite3'
import { strFromU8, unzipSync } from 'fflate'
import { readDesign, readSwatch } from '../../core/bag/design/read'
import { problemLines } from '../../core/bag/design/problem'
import { progressIn } from '../../core/making/make/plan'
import { readMake } from '../../core/making/make/read'
import { readShelfYarn } from '../../core/household/shelf/read'
import { readOrder } from '../../core/household/plan/readOrder'
import type { Content } from '../db/incoming'
import { DOCUMENTS } from '../db/documentTables'
import { reportingProgress } from './progress'

/*
 * Reading a parcel back: each file on its own, so that one that is broken keeps none of the others out.
 */

/** A file of a parcel: what is in it, and whether the very same is here; or why it cannot be read. */
export type ParcelFile = { readonly file: string, readonly name: string } & (
  | { readonly sound: true, readonly content: Content, readonly there: boolean }
  | { readonly sound: false, readonly why: readonly string[] }
)

/** Content of a parcel, or why it is none. */
type ParcelReading = { readonly ok: true, readonly files: readonly ParcelFile[] } | { readonly ok: false, readonly why: string }

const MOST_FILES = 20_000
/** Unpacked, together: a small file that unfolds into a huge one is left alone. */
const MOST_BYTES = 400_000_000
const MOST_FILE_BYTES = 40_000_000
/** Documents pack to a tenth, many alike to a fortieth; what packs to less says nothing. Small files may, whatever is in them. */
const MOST_RATIO = 60
const SMALL_BYTES = 100_000

const READ = { design: readDesign, swatch: readSwatch, yarn: readShelfYarn, order: readOrder, make: readMake } as const

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  }
  catch {
    return undefined
  }
}

function readFile(file: string, text: string, known: ReadonlySet<string>): ParcelFile {
  const input = parsed(text) as { fairHollow?: unknown, name?: unknown } | undefined
  const sort = input?.fairHollow
  const name = typeof input?.name === 'string' ? input.name.slice(0, 80) : file
  if (typeof sort !== 'string' || !Object.hasOwn(READ, sort)) return { file, name, sound: false, why: ['is no document of Fair Hollow'] }
  const reading = READ[sort as keyof typeof READ](input)
  if (!reading.ok) return { file, name, sound: false, why: problemLines(reading.problems).slice(0, 5) }
  const content = withProgress({ sort, document: reading.document } as Content)
  return { file, name, sound: true, content, there: known.has(signOf(content)) }
}

/** A make with how far it is, which its own document does not say. */
function withProgress(content: Content): Content {
  const progress = content.sort === 'make' ? progressIn(content.document.events) : undefined
  return progress ? { ...content, progress } as Content : content
}

/** Identity of a document among all others: all that is in it; of a make, the events in it. */
function signOf({ sort, document }: Content): string {
  return sort === 'make' ? `make ${document.events.map(({ id }) => id).sort().join(' ')}` : `${sort} ${JSON.stringify(sorted(document))}`
}

/** A value with its fields in order: the same document written by another hand is still the same. */
function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)).map(([key, inside]) => [key, sorted(inside)]))
}

/** The signs of everything that is kept. */
function signsIn(path: string): Set<string> {
  const db = new Database(path, { readonly: true, fileMustExist: true })
  try {
    const signs = new Set<string>()
    for (const [sort, table] of DOCUMENTS) {
      for (const text of db.prepare(`SELECT document FROM ${table} WHERE removed_at IS NULL`).pluck().iterate() as Iterable<string>) {
        const reading = READ[sort](parsed(text))
        if (reading.ok) signs.add(signOf({ sort, document: reading.document } as Content))
      }
    }
    const makes = db.prepare('SELECT id FROM makes WHERE removed_at IS NULL').pluck().all() as string[]
    const events = db.prepare('SELECT id FROM make_events WHERE make = ? ORDER BY id').pluck()
    for (const make of makes) signs.add(`make ${(events.all(make) as string[]).sort().join(' ')}`)
    return signs
  }
  finally {
    db.close()
  }
}

/** Whether a file is hardly anything once packed: it says nothing, at great length. */
function isHollow(bytes: number, packedBytes: number): boolean {
  return bytes > SMALL_BYTES && bytes > MOST_RATIO * packedBytes
}

/** Reads what a parcel holds against what is kept; nothing is kept yet. */
export function unpackParcel(path: string, bytes: Uint8Array): ParcelReading {
  let [count, size] = [0, 0]
  let packed: Record<string, Uint8Array>
  try {
    packed = unzipSync(bytes, {
      // What the head of a file says is all that is unpacked of it, so that it can be believed.
      filter: ({ name, originalSize, size: packedSize }) => {
        if (!name.endsWith('.json')) return false
        const isTooMuch = ++count > MOST_FILES || (size += originalSize) > MOST_BYTES || originalSize > MOST_FILE_BYTES
        if (isTooMuch || isHollow(originalSize, packedSize)) throw new RangeError('more than a parcel holds')
        return true
      },
    })
  }
  catch (error) {
    const why = error instanceof RangeError
      ? `This holds more than a parcel does: at most ${MOST_FILES} files, ${MOST_BYTES / 1e6} MB unpacked, none mostly of nothing.`
      : 'This is not a zip file, or it is cut short. Nothing was brought in.'
    return { ok: false, why }
  }
  const known = signsIn(path)
  const files = [...reportingProgress(Object.entries(packed), 0, 0.4)].map(([file, content]) => readFile(file, strFromU8(content), known))
  if (files.length > 0) return { ok: true, files }
  return { ok: false, why: 'There is no document of Fair Hollow in this file. Nothing was brought in.' }
}
