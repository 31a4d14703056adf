import { yarnToBuy } from '../../core/plan/buy'
import { planEvents } from '../../core/plan/events'
import { shoppingTable, shoppingText } from '../../core/plan/list'
import { knownFrom } from '../../core/plan/known'
import { type OrderPlan, planOrders } from '../../core/plan/orderPlan'
import { priceOfOrder } from '../../core/plan/price'
import type { ToldIn } from '../../core/stitch/tell'
import { orders, yarns } from '../db/shelves'
import { calendarFile } from '../paper/calendarFile'
import { paperFonts } from '../paper/fonts'
import type { OrderQuery } from '../requests/asked'
import { knownOfOrders } from './knownOrders'
import { inWorkshop } from './workshop'

/** What a file of orders is, and what it is to be taken for. */
export interface OrderFile {
  readonly name: string
  readonly body: string | Buffer
  readonly type: string
  readonly extension: string
}

/** How often the plan of a file is gone through. */
const TIMES = 600

/** Everything that is planned, as of a maker's day. */
async function planned({ zone, on }: OrderQuery) {
  const kept = orders().list().flatMap(({ id, document, unreadable }) => (unreadable ? [] : [{ id, order: document }]))
  const lines = kept.flatMap(({ order: { bags } }) => bags)
  const known = knownFrom(kept, await knownOfOrders(lines, zone, on), on)
  return { plans: planOrders(known, TIMES), workOf: known.workOf }
}

/**
 * An order as a file, or all open ones.
 *
 * @param id the one order; all of them if left out
 * @returns nothing of an order that is not planned: it is closed
 */
export async function orderFile(wish: OrderQuery, id?: string): Promise<OrderFile | undefined> {
  const { as, paper, large, units } = wish
  const told: ToldIn = { terms: 'us', units }
  const { plans: all, workOf } = await planned(wish)
  const own: readonly OrderPlan[] = id === undefined ? all : all.filter(plan => plan.id === id)
  const [first] = own
  if (!first && id !== undefined) return undefined
  const shelf = yarns().list().flatMap(({ document, unreadable }) => (unreadable ? [] : [document]))
  const onShelf = (yarn: string) => shelf.find(one => one.id === yarn)
  const buying = yarnToBuy(own, onShelf, id === undefined ? [] : all.slice(0, all.indexOf(first!)))
  const name = id === undefined ? 'Orders' : first!.order.name
  if (as === 'calendar')
    return { name, body: calendarFile(name, planEvents(own), new Date()), type: 'text/calendar', extension: 'ics' }
  if (as === 'table') return { name: `${name} to buy`, body: shoppingTable(buying), type: 'text/csv', extension: 'csv' }
  if (as === 'list' || !first) {
    const currency = first?.order.money.currency ?? ''
    return { name: `${name} to buy`, body: shoppingText(own, buying, currency, told), type: 'text/plain', extension: 'txt' }
  }
  const sheet = { plan: first, buying, told, price: priceOfOrder(first.order, workOf, onShelf) }
  const pdf = await inWorkshop('order', { sheet, wish: { paper, large: large === 'yes' }, fonts: await paperFonts() })
  return { name, body: Buffer.from(pdf), type: 'application/pdf', extension: 'pdf' }
}
