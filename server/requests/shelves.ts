import type { SwatchDocument } from '../../core/design/design'
import { readSwatch } from '../../core/design/read'
import { readShelfYarn } from '../../core/shelf/read'
import type { ShelfYarn } from '../../core/shelf/yarn'
import type { Order } from '../../core/plan/order'
import { readOrder } from '../../core/plan/read'
import { orders, swatches, yarns } from '../db/shelves'
import type { Asked } from './shelved'

/** Swatches, as requests meet them. */
export const SWATCHES: Asked<SwatchDocument> = { what: 'swatch', on: swatches, read: readSwatch }

/** Yarns, as requests meet them. */
export const YARNS: Asked<ShelfYarn> = { what: 'yarn', on: yarns, read: readShelfYarn }

/** Orders, as requests meet them. */
export const ORDERS: Asked<Order> = { what: 'order', on: orders, read: readOrder }
