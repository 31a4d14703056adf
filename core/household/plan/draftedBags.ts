import type { BagWork } from './bagWork'
import type { Day } from './days'
import type { PlanningInput } from './orderPlan'
import { type KeptBag, withKeptBags } from './keptBags'
import type { KeptOrder, MakeSeen } from './breakdown'

/** A bag as a line of an order names it. */
export interface LineAsked {
  readonly bag: string
  readonly name: string
}

/** Work of one bag; or why that is not known. */
export interface DraftedBag {
  /** The kept bag that is meant; empty if there is none. */
  readonly bag: string
  readonly work: BagWork | null
  readonly why?: string
}

/** Bags, makes and hours that orders are planned from. */
export interface OrderContext {
  readonly here: readonly KeptBag[]
  readonly makes: readonly MakeSeen[]
  /** Minutes at the hook that are gone of today's evening. */
  readonly workedToday: number
  /** Line by line, as they were asked. */
  readonly bags: readonly DraftedBag[]
}

/** Orders and what is known of their bags, as they are planned from: every line names a kept bag, and by that its work. */
export function planningInput(orders: readonly KeptOrder[], { here, bags, makes, workedToday }: OrderContext, today: Day): PlanningInput {
  const works = new Map(bags.flatMap(({ bag, work }) => (work ? [[bag, work] as const] : [])))
  return {
    orders: orders.map(({ id, order }) => ({ id, order: withKeptBags(order, here) })), makes, workedToday, today,
    workOf: ({ bag }) => works.get(bag),
  }
}
