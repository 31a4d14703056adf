import type { Design, SwatchDocument } from '../../core/bag/design/design'
import { readDesign, readSwatch } from '../../core/bag/design/read'
import { readShelfYarn } from '../../core/household/shelf/read'
import type { ShelfYarn } from '../../core/household/shelf/yarn'
import type { Order } from '../../core/household/plan/order'
import { readOrder } from '../../core/household/plan/readOrder'
import { designs, orders, swatches, yarns } from '../db/repositories'
import { drawSoon } from '../jobs/portraits'
import { runJob } from '../jobs/workerPool'
import type { DocumentResource } from './documentRoutes'
import { refuseProblems } from './refuse'

/** Designs, as requests meet them: drawn once they are kept, if they ask for no more than can be made. */
export const DESIGNS: DocumentResource<Design> = {
  what: 'design', kept: designs, read: readDesign, afterSave: drawSoon,
  admit: async (design) => {
    const { tooMuch } = await runJob('weigh', { design })
    if (tooMuch) refuseProblems([{ field: 'bag', message: tooMuch }])
  },
}

/** Swatches, as requests meet them. */
export const SWATCHES: DocumentResource<SwatchDocument> = { what: 'swatch', kept: swatches, read: readSwatch }

/** Yarns, as requests meet them. */
export const YARNS: DocumentResource<ShelfYarn> = { what: 'yarn', kept: yarns, read: readShelfYarn }

/** Orders, as requests meet them. */
export const ORDERS: DocumentResource<Order> = { what: 'order', kept: orders, read: readOrder }
