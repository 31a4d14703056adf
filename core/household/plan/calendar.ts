import { type Day, dayAfter, laterOf, mondayOf } from './days'
import { eveningMinutes, hookMinutes } from './evenings'
import type { OrderPlan } from './orderPlan'
import type { MakeSeen } from './breakdown'
import { jobName } from './words'

/** A bag on an evening: what it is of, how long, and whether it is finished then; how often it is ready in time. */
export interface OnEvening {
  readonly order: string
  readonly name: string
  readonly minutes: number
  readonly finishes: boolean
  /** Whether the order's date is past by then. */
  readonly late: boolean
  /** How often this bag is ready in time. */
  readonly odds: number
}

/** A day of the calendar. */
export interface CalendarDay {
  readonly day: Day
  readonly past: boolean
  /** Minutes of the evening, pauses and all: of several orders, the longest. */
  readonly minutes: number
  /** Minutes at the hook that there are, and that are planned. */
  readonly hook: number
  readonly planned: number
  /** Minutes of it that orders take which are not shown here, by their names. */
  readonly elsewhere: readonly { readonly name: string, readonly minutes: number }[]
  readonly bags: readonly OnEvening[]
  /** Bags that were finished on it. */
  readonly finished: readonly string[]
  /** Orders that have to be ready on its morning. */
  readonly due: readonly { readonly id: string, readonly name: string }[]
}

/** No calendar is longer than so many weeks. */
const MOST_WEEKS = 30

function spentElsewhere(day: Day, others: readonly OrderPlan[]): CalendarDay['elsewhere'] {
  return others.flatMap(({ order: { name }, stretches }) => {
    const minutes = stretches.filter(stretch => stretch.day === day).reduce((sum, one) => sum + one.minutes, 0)
    return minutes > 0 ? [{ name, minutes }] : []
  })
}

function dayOf(
  day: Day,
  plans: readonly OrderPlan[],
  today: Day,
  finished: readonly MakeSeen[],
  others: readonly OrderPlan[],
): CalendarDay {
  const open = plans.filter(({ order }) => day >= order.from)
  const minutes = Math.max(0, ...open.map(({ order }) => eveningMinutes(order, day)))
  const bags = plans.flatMap((plan) => {
    const own = plan.stretches.filter(stretch => stretch.day === day)
    return own.map(({ job, minutes: spent, finishes }): OnEvening => ({
      order: plan.id, name: jobName(plan, job), minutes: spent, finishes, late: day >= plan.order.by,
      odds: plan.sure.byJob.get(job.key) ?? 0,
    }))
  })
  return {
    day, past: day < today, minutes, hook: hookMinutes(minutes), planned: bags.reduce((sum, one) => sum + one.minutes, 0), bags,
    elsewhere: spentElsewhere(day, others), finished: finished.filter(make => make.finished === day).map(({ name }) => name),
    due: plans.filter(({ order }) => order.by === day).map(({ id, order: { name } }) => ({ id, name })),
  }
}

/**
 * The weeks of some orders, Monday first: from the first one's beginning to the last one's date, or the last evening that is planned.
 *
 * @param others orders that are not shown, but take minutes of the same evenings
 */
export function calendarOf(plans: readonly OrderPlan[], today: Day, others: readonly OrderPlan[] = []): CalendarDay[][] {
  if (plans.length === 0) return []
  const finished = plans.flatMap(({ lines }) => lines.flatMap(line => line.finished))
  const from = plans.reduce((first, { order }) => (order.from < first ? order.from : first), plans[0]!.order.from)
  const last = plans.reduce((latest, { order, lastOn }) => laterOf(latest, laterOf(order.by, lastOn ?? order.by)), today)
  // Of what was begun long ago the last three weeks are shown.
  const first = mondayOf(laterOf(from, dayAfter(today, -21)))
  const weeks: CalendarDay[][] = []
  for (let monday = first; monday <= last && weeks.length < MOST_WEEKS; monday = dayAfter(monday, 7))
    weeks.push(Array.from({ length: 7 }, (_, i) => dayOf(dayAfter(monday, i), plans, today, finished, others)))
  return weeks
}
