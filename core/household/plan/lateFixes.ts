import { withChanges } from '../../bag/design/edit'
import type { Change } from '../../parts/part/finding'
import { SURE_ENOUGH } from '../shelf/enough'
import { type Day, dayAfter, daysBetween, dayWords, WEEKDAYS } from './days'
import { MOST_MINUTES, type Order } from './order'
import { type PlanningInput, type OrderPlan, planOrders } from './orderPlan'

/*
 * Fixes for an order whose date is not sure: fewer bags, longer evenings, an earlier beginning, a later date. Each by itself,
 * with as little changed as makes it sure enough; an edit of the order, with how sure it is then.
 */

/** An edit of an order that makes its date sure enough. */
export interface OrderFix {
  readonly label: string
  readonly changes: readonly Change[]
  readonly odds: number
}

/** So many times the plan is gone through while looking: quicker, and good to four in a hundred. */
const LOOK_TIMES = 160

/** An evening is made no longer than this: hands want rest (from memory). */
const LONGEST_EVENING_MIN = 180
const STEP_MIN = 5

/** A date is put off by so many days at most, and a beginning moved forward by as many. */
const FURTHEST_MOVED_DAYS = 120

/** An order of several that are planned together. */
interface One {
  readonly known: PlanningInput
  readonly id: string
  readonly order: Order
}

function tried({ known, id, order }: One, label: string, changes: readonly Change[]): OrderFix {
  const changed = withChanges(order, changes)
  const plans = planOrders({ ...known, orders: known.orders.map(kept => (kept.id === id ? { id, order: changed } : kept)) }, LOOK_TIMES)
  return { label, changes, odds: plans.find(plan => plan.id === id)?.sure.odds ?? 0 }
}

/**
 * The least of more than none, up to so many, that makes it sure: by halving, since more never makes it less sure; none if even the most
 * does not.
 */
function least(most: number, of: (much: number) => OrderFix, none = 0): OrderFix[] {
  if (most <= none || of(most).odds < SURE_ENOUGH) return []
  let [low, high] = [none, most]
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (of(middle).odds >= SURE_ENOUGH) high = middle
    else low = middle
  }
  return [of(high)]
}

/** Lines that bags can be left out of, one entry a bag: those that take longest first, so that the fewest are left out. */
function leavable({ lines }: OrderPlan): number[] {
  return lines.map(({ toMake, work }, line) => ({ line, toMake, minutes: work?.minutes ?? 0 }))
    .sort((a, b) => b.minutes - a.minutes || b.line - a.line).flatMap(({ line, toMake }) => Array.from({ length: toMake }, () => line))
}

function fewerBags(one: One, plan: OrderPlan): OrderFix[] {
  const out = leavable(plan)
  const { bags } = one.order
  return least(Math.min(out.length, plan.wanted - 1), (many) => {
    const lines = bags.map((_, at) => out.slice(0, many).filter(line => line === at).length)
    const said = bags.flatMap(({ name }, at) => (lines[at] ? [`${lines[at]} ${name}`] : []))
    return tried(one, `Leave out ${said.join(' and ')}`, [
      { path: ['bags'], value: bags.map((line, at) => ({ ...line, count: line.count - lines[at]! })).filter(({ count }) => count > 0) },
    ])
  })
}

function longerEvenings(one: One): OrderFix[] {
  const { week } = one.order
  const given = WEEKDAYS.filter(day => week[day] > 0)
  if (given.length === 0) return []
  const longest = Math.min(MOST_MINUTES, LONGEST_EVENING_MIN) - Math.max(...given.map(day => week[day]))
  return least(Math.floor(longest / STEP_MIN), steps => tried(
    one, `${steps * STEP_MIN} minutes more each evening`, given.map(day => ({ path: ['week', day], value: week[day] + steps * STEP_MIN })),
  ))
}

/** An earlier beginning: only of what does not begin today as it is. */
function earlier(one: One, today: Day): OrderFix[] {
  const { from } = one.order
  return least(Math.min(FURTHEST_MOVED_DAYS, daysBetween(today, from)), days =>
    tried(one, `Begin on ${dayWords(dayAfter(from, -days))}`, [{ path: ['from'], value: dayAfter(from, -days) }]))
}

/**
 * A later date. Put off beyond that of another order, it lets that one go first: only up to there is later never less sure, so the days
 * between the dates of two orders are looked through one stretch after the other.
 */
function laterDate(one: One): OrderFix[] {
  const { known: { orders }, id, order: { by } } = one
  const passes = orders.filter(other => other.id !== id).map(({ order }) => daysBetween(by, order.by)).flatMap(days => [days - 1, days])
  const ends = [...new Set([...passes.filter(days => days > 0 && days < FURTHEST_MOVED_DAYS), FURTHEST_MOVED_DAYS])].sort((a, b) => a - b)
  for (const [i, end] of ends.entries()) {
    const found = least(end, days =>
      tried(one, `Promise it for ${dayWords(dayAfter(by, days))}`, [{ path: ['by'], value: dayAfter(by, days) }]), ends[i - 1] ?? 0)
    if (found.length > 0) return found
  }
  return []
}

/** Fixes that make an order's date sure that is not; none for one that is sure enough. */
export function orderFixes(known: PlanningInput, plan: OrderPlan): OrderFix[] {
  if (plan.sure.odds >= SURE_ENOUGH) return []
  const one: One = { known, id: plan.id, order: plan.order }
  return [...earlier(one, known.today), ...longerEvenings(one), ...fewerBags(one, plan), ...laterDate(one)]
}
