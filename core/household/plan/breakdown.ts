import type { BagWork } from './bagWork'
import type { Day } from './days'
import type { Order, OrderLine } from './order'

/** A bag on the hook or finished, as orders look at it. */
export interface MakeSeen {
  readonly id: string
  readonly name: string
  /** The kept bag that it was taken from, if that is known. */
  readonly bag?: string
  /** Share of it that is made, 0 to 1. */
  readonly share: number
  /** The day on which it was finished. */
  readonly finished?: Day
}

/** An order and the id that it is kept under. */
export interface KeptOrder {
  readonly id: string
  readonly order: Order
}

/** A bag that is still to be made, or to be made to its end. */
export interface Job {
  /** Tells it from all others, whatever else is finished meanwhile. */
  readonly key: string
  readonly order: string
  /** Of which of the order's lines. */
  readonly line: number
  /** Its number among those of its line, from 1. */
  readonly number: number
  /** The make it is, of one that is begun. */
  readonly make?: string
  /** Share of it that is still to be made. */
  readonly share: number
  readonly work: BagWork
}

/** A line of an order, and how far it is. */
export interface LineState {
  readonly line: OrderLine
  readonly finished: readonly MakeSeen[]
  readonly inHand: readonly MakeSeen[]
  readonly toMake: number
  /** Work of one; nothing of a bag that is not kept here, or that stops. */
  readonly work?: BagWork
}

/** An order taken apart: its lines, and the bags still to be made in the order in which they are made. */
export interface OrderBreakdown {
  readonly id: string
  readonly order: Order
  readonly lines: readonly LineState[]
  readonly jobs: readonly Job[]
}

/** Whether a make is of an order's line: of its bag, or of one of its name where the bag is not known. */
function isOf({ bag, name }: OrderLine, make: MakeSeen): boolean {
  return bag !== '' && make.bag !== undefined ? make.bag === bag : make.name === name
}

/** Orders as they are due, those that are closed left out; of one day, the one that was taken first. */
function asDue(orders: readonly KeptOrder[]): KeptOrder[] {
  return orders.filter(({ order }) => order.stands === 'open').sort((a, b) => a.order.by.localeCompare(b.order.by))
}

function jobsOf(id: string, at: number, { line, finished, inHand, toMake, work }: LineState): Job[] {
  if (!work) return []
  const begun = inHand.map((make, i): Job => ({
    key: make.id, order: id, line: at, number: finished.length + i + 1, make: make.id, share: 1 - make.share, work,
  }))
  const first = line.count - toMake + 1
  const fresh = Array.from({ length: toMake }, (_, i): Job => ({
    key: `${id} ${at} ${first + i}`, order: id, line: at, number: first + i, share: 1, work,
  }))
  return [...begun, ...fresh]
}

/**
 * Takes orders apart. A make counts for the order that is due first among those it was finished or is on the hook for: finished on
 * the day the order was taken on or later, and no more than are wanted. What is begun is made before what is not.
 *
 * @param workOf what a bag takes
 */
export function laidOut(
  orders: readonly KeptOrder[],
  makes: readonly MakeSeen[],
  workOf: (line: OrderLine) => BagWork | undefined,
): OrderBreakdown[] {
  const taken = new Set<string>()
  const take = (most: number, which: (make: MakeSeen) => boolean) => {
    const found = makes.filter(make => !taken.has(make.id) && which(make)).slice(0, most)
    for (const { id } of found) taken.add(id)
    return found
  }
  return asDue(orders).map(({ id, order }): OrderBreakdown => {
    const lines = order.bags.map((line): LineState => {
      const finished = take(line.count, make => isOf(line, make) && make.finished !== undefined && make.finished >= order.taken)
      const inHand = take(line.count - finished.length, make => isOf(line, make) && make.finished === undefined)
      const work = workOf(line)
      return { line, finished, inHand, toMake: line.count - finished.length - inHand.length, ...(work ? { work } : {}) }
    })
    const jobs = lines.flatMap((state, at) => jobsOf(id, at, state))
    return { id, order, lines, jobs: [...jobs.filter(({ make }) => make), ...jobs.filter(({ make }) => !make)] }
  })
}
