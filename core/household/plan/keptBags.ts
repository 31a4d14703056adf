import type { Order } from './order'
import type { MakeSeen } from './breakdown'

/** Bags that are kept here. */
export interface KeptBag {
  readonly id: string
  readonly name: string
}

/**
 * Which kept bag a line means: the one it names by its id; of an order that comes from elsewhere, the one that is called so.
 *
 * @returns its id, or nothing if there is none
 */
export function bagMeant({ bag, name }: Pick<Order['bags'][number], 'bag' | 'name'>, bags: readonly KeptBag[]): string {
  return (bags.find(({ id }) => id === bag) ?? bags.find(one => one.name === name))?.id ?? ''
}

/** An order whose lines name the bags of this house. */
export function withKeptBags(order: Order, bags: readonly KeptBag[]): Order {
  return { ...order, bags: order.bags.map(line => ({ ...line, bag: bagMeant(line, bags) })) }
}

/** Makes of bags that are not kept here are known by their names. */
export function makesWithKeptBags(makes: readonly MakeSeen[], bags: readonly KeptBag[]): MakeSeen[] {
  const known = new Set(bags.map(({ id }) => id))
  return makes.map(({ bag, ...make }) => (bag !== undefined && known.has(bag) ? { ...make, bag } : make))
}
