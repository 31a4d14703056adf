import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import fc from 'fast-check'
import { strToU8, zipSync } from 'fflate'
import type { Design } from '../../../core/bag/design/design'
import { MOST_BANDS } from '../../../core/bag/design/documentFields'
import { readDesign, type Reading } from '../../../core/bag/design/read'
import { newDesign } from '../../../core/bag/design/starter'
import { draft } from '../../../core/bag/draft/draft'
import { bagFacts } from '../../../core/making/log/facts'
import type { MakeDocument } from '../../../core/making/make/document'
import { EVENT_FIELDS } from '../../../core/making/make/fields'
import { progressIn } from '../../../core/making/make/plan'
import { readMake } from '../../../core/making/make/read'
import { dayAfter } from '../../../core/household/plan/days'
import { MOST_LINES, type Order, ORDER_FIELDS } from '../../../core/household/plan/order'
import { planOrders } from '../../../core/household/plan/orderPlan'
import { readOrder } from '../../../core/household/plan/readOrder'
import { readShelfYarn } from '../../../core/household/shelf/read'
import { readShelfTable, shelfTable } from '../../../core/household/shelf/table'
import { MOST_BALLS, SHELF_YARN_FIELDS, type ShelfYarn } from '../../../core/household/shelf/yarn'
import { migrate } from '../../../server/db/migrate'
import { MIGRATIONS } from '../../../server/db/migrations'
import { rowsIn } from '../../../server/jobs/tableText'
import { unpackParcel } from '../../../server/jobs/unpackParcel'
import { anyKind, anyOf } from '../../arbitraries/fromFields'
import { anyLegalDesign } from '../../arbitraries/legal'
import type { Sort } from './climb'

/*
 * The sorts of document that the search for the worst goes through, and what the program does with one.
 */

type Loose = Record<string, unknown>

export const BAG: Sort<Design> = {
  samples: anyLegalDesign as unknown as fc.Arbitrary<Loose>, read: readDesign, work: design => draft(design),
  grows: { wall: MOST_BANDS }, numbered: (part, i) => ({ ...part, id: `part-${i}` }),
}

const day = fc.integer({ min: 0, max: 1_000 }).map(days => dayAfter('2027-01-01', days))
const LONGEST = { from: '2027-01-01', taken: '2027-01-01', by: '2029-12-31' }
const anyOrder = fc.record({
  order: anyOf(ORDER_FIELDS, 'legal'), days: fc.tuple(day, day), other: fc.uniqueArray(day, { maxLength: 400 }), isLongest: fc.boolean(),
}).map(({ order, days, other, isLongest }): Loose => {
  const [from, by] = days.sort()
  return {
    ...order, fairHollow: 'order', startsAt: '19:00', ...(isLongest ? LONGEST : { from, taken: from, by }),
    bags: (order.bags as object[]).map((line, i) => ({ ...line, bag: `b${i}`, name: `Bag ${i}` })),
    otherEvenings: other.map((one, i) => ({ day: one, minutes: (i * 37) % 720 })),
  }
})

/** A plan of one order, its bags taking from a minute to a week of evenings. */
function planned(order: Order): unknown {
  const workOf = ({ name }: { readonly name: string }) => ({
    minutes: [1, 30, 600, 6_000][name.length % 4]!, paceSpread: 0.3, bagSpread: 0.2, known: 2, yarns: [],
  })
  return planOrders({ orders: [{ id: 'o', order }], makes: [], workOf, today: '2027-01-01' }, 600)
}

export const ORDER: Sort<Order> = {
  samples: anyOrder, read: readOrder, work: planned, grows: { bags: MOST_LINES },
  numbered: (line, i) => ({ ...line, bag: `b${i}`, name: `${'B'.repeat(1 + i % 4)}${i}` }),
}

/** As many taps as a bag of years holds, for a search that has to go on. */
const MANY_EVENTS = 20_000
const started = { do: 'started', plan: newDesign('Any'), id: 'e.0', turn: 1, at: 0 }

function numberedEvent(event: object, i: number): object {
  const { do: deed } = event as { do: string }
  return {
    ...event, id: `e.${i}`, turn: i + 1, at: i * 1_000,
    ...(deed === 'started' || deed === 'replanned' ? { plan: started.plan } : {}),
    ...(deed === 'undone' ? { of: `e.${Math.max(0, i - 1)}` } : {}),
    ...('after' in event ? { after: Array.from({ length: Math.min(i, 8) }, (_, n) => `e.${i - n - 1}`) } : {}),
  }
}

const anyEvents = fc.array(anyKind(EVENT_FIELDS.events, () => true, 'legal') as fc.Arbitrary<object>, { minLength: 1, maxLength: 12 })

export const MAKE: Sort<MakeDocument> = {
  read: readMake, grows: { events: MANY_EVENTS }, numbered: numberedEvent,
  samples: anyEvents.map(events => ({
    fairHollow: 'make', version: 1, name: 'Any', events: [started, ...events].map(numberedEvent),
  })),
  work: ({ events }) => [progressIn(events), bagFacts(events)],
}

/** As many yarns as a shelf may hold that somebody has spent years on. */
const SHELF = 500

/** A shelf of that yarn, written to a table and read again. */
function tabled(yarn: ShelfYarn): unknown {
  const table = shelfTable(Array.from({ length: SHELF }, (_, i) => ({ ...yarn, name: `${yarn.name.slice(0, 60)} ${i}` })))
  return readShelfTable(rowsIn(table)!, i => `id-${i}`)
}

export const YARN: Sort<ShelfYarn> = {
  read: readShelfYarn, work: tabled, grows: { balls: MOST_BALLS }, numbered: (ball, i) => ({ ...ball, lot: `lot ${i}` }),
  samples: anyOf(SHELF_YARN_FIELDS, 'legal').map(yarn => ({
    ...yarn, fairHollow: 'yarn', version: 1, id: 'any', name: 'Any yarn', colour: '#d9c8a5',
  })),
}

/** What is laid into a parcel, before it is packed. */
interface Laid {
  readonly files: readonly object[]
}

let records: string | undefined
function emptyRecords(): string {
  if (records) return records
  records = join(mkdtempSync(join(tmpdir(), 'fair-hollow-worst-')), 'records.sqlite')
  const db = new Database(records)
  migrate(db, MIGRATIONS)
  db.close()
  return records
}

/** More than this the search itself could not afford to pack. */
const MOST_LAID = 4_000

export const PARCEL: Sort<Laid> = {
  grows: { files: MOST_LAID }, numbered: (file, i) => ({ ...file, note: `${i}` }),
  read: (input): Reading<Laid> => ({ ok: true, document: input as Laid }),
  samples: fc.array(fc.oneof(BAG.samples, ORDER.samples, MAKE.samples, YARN.samples), { minLength: 1, maxLength: 6 })
    .map(files => ({ files, how: 'zip' })),
  work: ({ files }) => unpackParcel(emptyRecords(), zipSync(Object.fromEntries(files.map((file, i) => [
    `${i}.json`, strToU8(JSON.stringify(file)),
  ])), { level: 1 })),
}
