import type { Design, SwatchDocument } from '../../core/bag/design/design'
import { readDesign, readSwatch } from '../../core/bag/design/read'
import { readShelfYarn } from '../../core/household/shelf/read'
import type { ShelfYarn } from '../../core/household/shelf/yarn'
import type { Order } from '../../core/household/plan/order'
import { readOrder } from '../../core/household/plan/readOrder'
import { type BagList, bagListIn } from './bagList'
import { database } from './connection'
import { type Devices, devicesIn } from './devices'
import { type TrashedDocument, type Repository, repository } from './documents'
import { type Logbook, logbookIn } from './logbook'
import { type Makes, makesIn } from './makes'
import type { DocumentTable } from './documentTables'
import { type Versions, versionsIn } from './versions'

/** Everything that is kept in the house, its statements prepared once for the database that is open. */
interface House {
  readonly designs: Repository<Design>
  readonly versions: Versions
  readonly bagList: BagList
  readonly swatches: Repository<SwatchDocument>
  readonly yarns: Repository<ShelfYarn>
  readonly orders: Repository<Order>
  readonly makes: Makes
  readonly logbook: Logbook
  readonly devices: Devices
}

let house: { readonly of: ReturnType<typeof database>, readonly shelves: House } | undefined

function shelves(): House {
  const db = database()
  if (house?.of !== db) {
    const versions = versionsIn(db)
    house = {
      of: db,
      shelves: {
        versions, designs: repository(db, 'designs', readDesign, versions), bagList: bagListIn(db),
        swatches: repository(db, 'swatches', readSwatch),
        yarns: repository(db, 'yarns', readShelfYarn), orders: repository(db, 'orders', readOrder),
        makes: makesIn(db), logbook: logbookIn(db), devices: devicesIn(db),
      },
    }
  }
  return house.shelves
}

/** The designs kept in the house. */
export const designs = (): Repository<Design> => shelves().designs

/** Their earlier states. */
export const versions = (): Versions => shelves().versions

/** The list of the bags, and their portraits. */
export const bagList = (): BagList => shelves().bagList

/** The swatches kept in the house. */
export const swatches = (): Repository<SwatchDocument> => shelves().swatches

/** The yarn shelf. */
export const yarns = (): Repository<ShelfYarn> => shelves().yarns

/** The orders. */
export const orders = (): Repository<Order> => shelves().orders

/** The bags on the hook. */
export const makes = (): Makes => shelves().makes

/** Facts of the makes, and their photos. */
export const logbook = (): Logbook => shelves().logbook

/** The machines that were let in. */
export const devices = (): Devices => shelves().devices

/** The trash of a sort of documents: they can be brought back or thrown away for good. */
export interface Aside {
  readonly inTrash: () => TrashedDocument[]
  readonly bringBack: (id: string) => boolean
  readonly forget: (id: string) => boolean
}

/** Sorts of things that lie aside once thrown away, by the word that they are asked for by. */
export const ASIDE: Readonly<Record<DocumentTable | 'makes', () => Aside>> = { designs, swatches, yarns, orders, makes }

export type AsideKind = keyof typeof ASIDE

export function isAsideKind(word: string): word is AsideKind {
  return Object.hasOwn(ASIDE, word)
}

/** Days that what was thrown away lies aside. */
export const ASIDE_DAYS = 60

const DAY_MS = 86_400_000

/**
 * The time by a clock that goes on by a day at most from one look to the next: one that is set years ahead by mistake for a while throws
 * nothing away.
 */
function steady(db: ReturnType<typeof database>, now: Date): number {
  const noted = db.prepare('SELECT value FROM house WHERE key = \'steady-clock\'').pluck().get()
  const at = noted === undefined ? now.getTime() : Math.min(now.getTime(), Date.parse(String(noted)) + DAY_MS)
  db.prepare('INSERT OR REPLACE INTO house (key, value) VALUES (\'steady-clock\', ?)').run(new Date(at).toISOString())
  return at
}

/** Throws away for good what has lain aside for so long. Looked at every hour. */
export function clearAside(now: Date): void {
  const before = new Date(steady(database(), now) - ASIDE_DAYS * DAY_MS).toISOString()
  for (const of of Object.values(ASIDE)) {
    const { inTrash, forget } = of()
    for (const { id, removedAt } of inTrash()) if (removedAt < before) forget(id)
  }
}
