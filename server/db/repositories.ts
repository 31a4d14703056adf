import type { Design, SwatchDocument } from '../../core/bag/design/design'
import { readDesign, readSwatch } from '../../core/bag/design/read'
import { readShelfYarn } from '../../core/household/shelf/read'
import type { ShelfYarn } from '../../core/household/shelf/yarn'
import type { Order } from '../../core/household/plan/order'
import { readOrder } from '../../core/household/plan/readOrder'
import { type BagList, bagListIn } from './bagList'
import { database } from './connection'
import { type Devices, devicesIn } from './devices'
import { type Repository, repository } from './documents'
import { type Logbook, logbookIn } from './logbook'
import { type Makes, makesIn } from './makes'
import type { DocumentTable } from './documentTables'
import type { Trash } from './trash'
import { type Versions, versionsIn } from './versions'

/** Everything that is kept, its statements prepared once for the database that is open. */
interface Library {
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

let opened: { readonly of: ReturnType<typeof database>, readonly library: Library } | undefined

function library(): Library {
  const db = database()
  if (opened?.of !== db) {
    const versions = versionsIn(db)
    opened = {
      of: db,
      library: {
        versions, designs: repository(db, 'designs', readDesign, versions), bagList: bagListIn(db),
        swatches: repository(db, 'swatches', readSwatch),
        yarns: repository(db, 'yarns', readShelfYarn), orders: repository(db, 'orders', readOrder),
        makes: makesIn(db), logbook: logbookIn(db), devices: devicesIn(db),
      },
    }
  }
  return opened.library
}

/** The designs. */
export const designs = (): Repository<Design> => library().designs

/** Their earlier states. */
export const versions = (): Versions => library().versions

/** The list of the bags, and their portraits. */
export const bagList = (): BagList => library().bagList

/** The swatches. */
export const swatches = (): Repository<SwatchDocument> => library().swatches

/** The yarn shelf. */
export const yarns = (): Repository<ShelfYarn> => library().yarns

/** The orders. */
export const orders = (): Repository<Order> => library().orders

/** The bags on the hook. */
export const makes = (): Makes => library().makes

/** Facts of the makes, and their photos. */
export const logbook = (): Logbook => library().logbook

/** The machines that were let in. */
export const devices = (): Devices => library().devices

/** The trash of each sort of documents, by the word that it is asked for by. */
export const TRASHES: Readonly<Record<DocumentTable | 'makes', () => Trash>> = { designs, swatches, yarns, orders, makes }
