import type { SwatchDocument } from '../../core/bag/design/design'
import { readSwatch } from '../../core/bag/design/read'
import { readShelfYarn } from '../../core/household/shelf/read'
import type { ShelfYarn } from '../../core/household/shelf/yarn'
import type { Order } from '../../core/household/plan/order'
import { readOrder } from '../../core/household/plan/readOrder'
import { orders, swatches, yarns } from '../db/repositories'
import type { ShelfDescription } from './documentRoutes'

/** Swatches, as requests meet them. */
export const SWATCHES: ShelfDescription<SwatchDocument> = { what: 'swatch', on: swatches, read: readSwatch }

/** Yarns, as requests meet them. */
export const YARNS: ShelfDescription<ShelfYarn> = { what: 'yarn', on: yarns, read: readShelfYarn }

/** Orders, as requests meet them. */
export const ORDERS: ShelfDescription<Order> = { what: 'order', on: orders, read: readOrder }
