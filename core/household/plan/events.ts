import { minutesWords } from '../../making/log/time'
import { type Day, dayWithYear } from './days'
import { eveningMinutes } from './evenings'
import type { OrderPlan } from './orderPlan'
import { jobName, percent } from './words'

/** An evening of an order, or its date, as calendars of other programs take it. */
export interface PlanEvent {
  /** Stays the same however often the order is planned anew. */
  readonly uid: string
  readonly day: Day
  /** When it begins, by the clock of wherever the maker is; none of a whole day. */
  readonly at?: string
  readonly minutes?: number
  readonly title: string
  readonly text: string
}

function eveningsOfOrder(plan: OrderPlan): PlanEvent[] {
  const { id, order, stretches } = plan
  const days = [...new Set(stretches.map(({ day }) => day))]
  return days.map((day): PlanEvent => {
    const own = stretches.filter(stretch => stretch.day === day)
    const lines = own.map(({ job, minutes, finishes }) =>
      `${jobName(plan, job)}: ${minutesWords(minutes)}${finishes ? ', to its end' : ''}`)
    return {
      uid: `${id}-${day}`, day, at: order.startsAt, minutes: eveningMinutes(order, day),
      title: `${order.name}: ${own.map(({ job }) => jobName(plan, job)).join(', ')}`, text: `${lines.join('\n')}\nPauses are in it.`,
    }
  })
}

/** The evenings that are planned for some orders, and the days they have to be ready on. */
export function planEvents(plans: readonly OrderPlan[]): PlanEvent[] {
  return plans.flatMap((plan) => {
    const { id, order, wanted, sure, jobs } = plan
    const odds = jobs.length > 0 ? `${percent(sure.odds)} that all are ready.` : 'All are ready.'
    const due: PlanEvent = {
      uid: `${id}-due`, day: order.by, title: `${order.name}: ${wanted} ${wanted === 1 ? 'bag' : 'bags'} ready`,
      text: [
        ...order.bags.map(({ name, count }) => `${count} ${name}`), `By the morning of ${dayWithYear(order.by)}. ${odds}`,
        ...(order.forWhom ? [`For ${order.forWhom}.`] : []),
      ].join('\n'),
    }
    return [...eveningsOfOrder(plan), due]
  })
}
