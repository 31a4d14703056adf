import { randomUUID } from 'node:crypto'
import type Database from 'better-sqlite3'
import type { Problem, Reading } from '../../core/bag/design/read'
import { sameBag } from '../../core/making/log/fromTable'
import type { MakeDocument } from '../../core/making/make/document'
import { progressIn } from '../../core/making/make/plan'
import { readMake } from '../../core/making/make/read'
import { bringIn, type Content } from '../db/incoming'
import { logbookIn } from '../db/logbook'
import { makesIn } from '../db/makes'
import { writing } from './recordsConnection'
import { readLogbookText } from './readLogbookText'
import { readShelfText } from './readShelf'
import { asJson } from './tableText'
import { reportingProgress } from './progress'
import { unpackParcel } from './unpackParcel'

/*
 * Files that come in: read and written by a worker, over a connection of its own.
 */

/** A file that comes in, and the records that it comes into. */
interface FileBrought {
  readonly path: string
  readonly bytes: Uint8Array
}

/** Result of bringing a file in: how much of it was taken and how much was here already; or what must change in it. */
type ImportResult = { readonly ok: true, readonly taken: number, readonly there: number }
  | { readonly ok: false, readonly problems: readonly Problem[] }

/** A file of a parcel, as the page lists it. */
interface ParcelLine {
  readonly file: string
  readonly name: string
  readonly sort?: Content['sort']
  readonly there?: boolean
  readonly why?: readonly string[]
}

/** The share of the work that is done once a file is read: the rest is keeping what is in it. */
const LOOKED_THROUGH = 0.4

/** So long it leaves the records to the server between two bits. */
const REST_MS = 4

function rest(): void {
  Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, REST_MS)
}

function textOf(bytes: Uint8Array): string {
  return Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength).toString('utf8')
}

/** Looks into a parcel, or keeps those of its files whose numbers are named. */
export function parcelBrought({ path, bytes, take }: FileBrought & { readonly take?: readonly number[] }):
  { readonly ok: true, readonly files: readonly ParcelLine[], readonly taken?: number } | { readonly ok: false, readonly why: string } {
  const unpacked = unpackParcel(path, bytes)
  if (!unpacked.ok) return unpacked
  const files = unpacked.files.map(one => ({
    file: one.file, name: one.name, ...(one.sound ? { sort: one.content.sort, there: one.there } : { why: one.why }),
  }))
  if (!take) return { ok: true, files }
  const chosen = unpacked.files.flatMap((one, i) => (one.sound && take.includes(i) ? [one.content] : []))
  return { ok: true, files, taken: writing(path, db => bringIn(db, reportingProgress(chosen, LOOKED_THROUGH), rest)).length }
}

/**
 * Bags that are not here yet: known by the event they were taken up with, and those of a table, which has no such thing, by their name and
 * the minute they were begun.
 */
function withoutThoseHere(db: Database.Database, brought: readonly MakeDocument[]): MakeDocument[] {
  const listed = new Set(logbookIn(db).allFacts().map(({ name, begun }) => sameBag(name, begun)))
  const makes = makesIn(db)
  return brought.filter(({ name, events }) => {
    const started = events.find(({ do: what }) => what === 'started')
    const isFromTable = events.some(one => one.do === 'wrote' && one.kept)
    return !(started && (makes.hasEvent(started.id) || (isFromTable && listed.has(sameBag(name, started.at)))))
  })
}

function* withProgress(makes: readonly MakeDocument[]): Generator<Content> {
  for (const document of reportingProgress(makes, LOOKED_THROUGH)) {
    const progress = progressIn(document.events)
    yield { sort: 'make', document, ...(progress ? { progress } : {}) }
  }
}

/** Keeps the bags of a logbook; those that are here already are left alone. */
export function logbookBrought({ path, bytes }: FileBrought): ImportResult {
  const reading = readLogbookText(textOf(bytes), () => randomUUID())
  if (!reading.ok) return reading
  return writing(path, (db) => {
    const fresh = withoutThoseHere(db, reading.document.makes)
    bringIn(db, withProgress(fresh), rest)
    return { ok: true, taken: fresh.length, there: reading.document.makes.length - fresh.length }
  })
}

/** Keeps one make as one of our own; gives its id. */
export function makeBrought({ path, bytes }: FileBrought): Reading<{ readonly id: string }> {
  const input = asJson(textOf(bytes))
  if (input === undefined) return { ok: false, problems: [{ field: 'file', message: 'is no JSON: it may be cut short' }] }
  const reading = readMake(input)
  if (!reading.ok) return reading
  const [id] = writing(path, db => bringIn(db, withProgress([reading.document]), rest))
  return { ok: true, document: { id: id! } }
}

/** Keeps the yarns of a table or of open documents; those that are here already stay as they are. */
export function yarnsBrought({ path, bytes }: FileBrought): ImportResult {
  const read = readShelfText(textOf(bytes), () => randomUUID().slice(0, 13))
  if (!read.ok) return read
  return writing(path, (db) => {
    const here = new Set(db.prepare('SELECT json_extract(document, \'$.id\') FROM yarns WHERE removed_at IS NULL').pluck().all())
    const fresh = read.yarns.filter(({ id }, i) => !here.has(id) && read.yarns.findIndex(other => other.id === id) === i)
    const brought = bringIn(db, reportingProgress(fresh.map(document => ({ sort: 'yarn', document }) as const)), rest)
    return { ok: true, taken: brought.length, there: read.yarns.length - brought.length }
  })
}
