import { NINE_OF_TEN } from '../../making/log/estimate'
import type { ShelfYarn } from '../shelf/yarn'
import type { BagWork } from './bagWork'
import type { Order, OrderLine } from './order'

/*
 * Cost of a bag and the price that pays for it: yarn, notions, hours, its part of the stall's fee, and what the seller keeps. All sums are
 * whole hundredths of the maker's currency. Nothing is said of tax.
 */

/** Cost of one bag of an order, in hundredths. */
interface BagPrice {
  readonly yarn: number
  /** Yarns of which no price is known: they are not in it. */
  readonly unpriced: readonly string[]
  readonly notions: number
  readonly hours: number
  /** Its part of the stall's fee, rounded up. */
  readonly fee: number
  /** Yarn, notions, hours and fee. */
  readonly costs: number
  /** The price that pays for all that once the seller has taken their share. */
  readonly pays: number
  /** The same if it takes as little or as much time as it may, nine times of ten. */
  readonly paysLow: number
  readonly paysHigh: number
  /** At the price that the maker names: what an hour brings. */
  readonly anHour?: number
}

/** Cost of an order, in hundredths. */
export interface OrderPrice {
  /** Line by line; nothing of a bag of which it is not known what it takes. */
  readonly lines: readonly (BagPrice | undefined)[]
  readonly bags: number
  readonly yarn: number
  readonly notions: number
  readonly hours: number
  readonly fee: number
  /** Sum that all bags together have to bring. */
  readonly pays: number
  /** Sum that they bring at the prices that the maker names, once the seller has taken their share; nothing unless all have one. */
  readonly brings?: number
  /** Pay for an hour of all of it then. */
  readonly anHour?: number
}

/** Yarn cost of one bag, by the price of a ball and what a ball weighs. */
function yarnCost({ yarns }: BagWork, onShelf: (id: string) => ShelfYarn | undefined): { cost: number, unpriced: string[] } {
  return yarns.reduce((sum, { shelf, name, grams }) => {
    const yarn = shelf === undefined ? undefined : onShelf(shelf)
    if (yarn?.ballPrice === undefined) return { ...sum, unpriced: [...sum.unpriced, name] }
    return { ...sum, cost: sum.cost + Math.round((grams * yarn.ballPrice) / yarn.ballGrams) }
  }, { cost: 0, unpriced: [] as string[] })
}

/** A price of which so much is left once the seller has taken their share. */
function grossOf(net: number, sharePercent: number): number {
  return Math.ceil((100 * net) / (100 - sharePercent))
}

/** Rest of a price. */
function netOf(price: number, sharePercent: number): number {
  return Math.floor((price * (100 - sharePercent)) / 100)
}

/** Hundredths for so many minutes. */
function wage(minutes: number, hourRate: number): number {
  return Math.round((minutes * hourRate) / 60)
}

/** Cost of one bag of a line, and the price that pays. */
function priceOf(
  { money: { hourRate, sharePercent } }: Pick<Order, 'money'>,
  { notions = 0, price }: Pick<OrderLine, 'notions' | 'price'>,
  work: BagWork,
  fee: number,
  onShelf: (id: string) => ShelfYarn | undefined,
): BagPrice {
  const { cost: yarn, unpriced } = yarnCost(work, onShelf)
  const far = Math.exp(NINE_OF_TEN * Math.hypot(work.paceSpread, work.bagSpread))
  const costsAt = (minutes: number) => yarn + notions + fee + wage(minutes, hourRate)
  const costs = costsAt(work.minutes)
  return {
    yarn, unpriced, notions, hours: wage(work.minutes, hourRate), fee, costs, pays: grossOf(costs, sharePercent),
    paysLow: grossOf(costsAt(work.minutes / far), sharePercent), paysHigh: grossOf(costsAt(work.minutes * far), sharePercent),
    ...(price !== undefined && work.minutes > 0
      ? { anHour: Math.round((60 * (netOf(price, sharePercent) - yarn - notions - fee)) / work.minutes) }
      : {}),
  }
}

/** Cost of an order: every bag by itself, and all of them. */
export function priceOfOrder(
  order: Order,
  workOf: (line: OrderLine) => BagWork | undefined,
  onShelf: (id: string) => ShelfYarn | undefined,
): OrderPrice {
  const { bags: all, money: { stallFee, sharePercent } } = order
  const bags = all.reduce((sum, { count }) => sum + count, 0)
  const fee = bags > 0 ? Math.ceil(stallFee / bags) : 0
  const known = all.map(line => ({ line, work: workOf(line) }))
  const lines = known.map(({ line, work }) => work && priceOf(order, line, work, fee, onShelf))
  const sum = (of: (price: BagPrice) => number) => lines.reduce((total, one, i) => total + (one ? all[i]!.count * of(one) : 0), 0)
  const [yarn, notions, hours] = [sum(one => one.yarn), sum(one => one.notions), sum(one => one.hours)]
  const priced = known.every(({ line, work }) => line.price !== undefined && work)
  const brings = all.reduce((total, { price = 0, count }) => total + count * netOf(price, sharePercent), 0)
  const minutes = known.reduce((total, { line, work }) => total + line.count * (work?.minutes ?? 0), 0)
  return {
    lines, bags, yarn, notions, hours, fee: stallFee, pays: sum(one => one.pays),
    ...(priced && bags > 0
      ? { brings, ...(minutes > 0 ? { anHour: Math.round((60 * (brings - yarn - notions - stallFee)) / minutes) } : {}) }
      : {}),
  }
}
