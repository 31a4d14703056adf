import type Database from 'better-sqlite3'
import { yarnToBuy } from '../../core/household/plan/buy'
import { planEvents } from '../../core/household/plan/events'
import { shoppingTable, shoppingText } from '../../core/household/plan/list'
import { planningInput } from '../../core/household/plan/draftedBags'
import { type OrderPlan, planOrders } from '../../core/household/plan/orderPlan'
import { priceOfOrder } from '../../core/household/plan/price'
import { readOrder } from '../../core/household/plan/readOrder'
import type { TranslateOptions } from '../../core/things/stitch/translate'
import type { Units } from '../../core/things/measure/format'
import { repository } from '../db/documents'
import { calendarFile } from '../paper/calendarFile'
import { orderPdf } from '../paper/orderPdf'
import type { Fonts, PaperWish } from '../paper/sheet'
import { type ByMaker, knownOfOrders, yarnsOf } from './orderContext'

/** A file of orders, and its media type. */
export interface OrderFile {
  readonly name: string
  readonly body: string | Uint8Array
  readonly type: string
  readonly extension: string
}

/** Which file is wanted, of one order or of all. */
export interface OrderFileWish extends PaperWish {
  readonly as: 'list' | 'table' | 'calendar' | 'pdf'
  readonly units: Units
  readonly id?: string
  readonly fonts?: Fonts
}

/** How often the plan of a file is gone through. */
const TIMES = 600

/** Everything that is planned, as of a maker's day. */
function planned(db: Database.Database, maker: ByMaker) {
  const kept = repository(db, 'orders', readOrder).list()
    .flatMap(({ id, document, unreadable }) => (unreadable ? [] : [{ id, order: document }]))
  const known = planningInput(kept, knownOfOrders(db, kept.flatMap(({ order: { bags } }) => bags), maker), maker.today)
  return { plans: planOrders(known, TIMES), workOf: known.workOf }
}

/**
 * An order as a file, or all open ones.
 *
 * @returns nothing of an order that is not planned: it is closed
 */
export async function orderFile(db: Database.Database, wish: OrderFileWish, maker: ByMaker): Promise<OrderFile | undefined> {
  const { as, id, units, fonts } = wish
  const told: TranslateOptions = { terms: 'us', units }
  const { plans: all, workOf } = planned(db, maker)
  const own: readonly OrderPlan[] = id === undefined ? all : all.filter(plan => plan.id === id)
  const [first] = own
  if (!first && id !== undefined) return undefined
  const yarns = yarnsOf(db)
  const onShelf = (yarn: string) => yarns.find(one => one.id === yarn)
  const buying = yarnToBuy(own, onShelf, id === undefined ? [] : all.slice(0, all.indexOf(first!)))
  const name = id === undefined ? 'Orders' : first!.order.name
  if (as === 'calendar')
    return { name, body: calendarFile(name, planEvents(own), new Date()), type: 'text/calendar', extension: 'ics' }
  if (as === 'table') return { name: `${name} to buy`, body: shoppingTable(buying), type: 'text/csv', extension: 'csv' }
  if (as === 'list' || !first || !fonts) {
    const currency = first?.order.money.currency ?? ''
    return { name: `${name} to buy`, body: shoppingText(own, buying, currency, told), type: 'text/plain', extension: 'txt' }
  }
  const body = await orderPdf({ plan: first, buying, told, price: priceOfOrder(first.order, workOf, onShelf) }, wish, fonts)
  return { name, body, type: 'application/pdf', extension: 'pdf' }
}
