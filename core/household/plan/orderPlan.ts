import type { BagWork } from './bagWork'
import type { Day } from './days'
import type { OrderLine } from './order'
import { eveningsOf, type Schedule, schedule, type Stretch } from './schedule'
import { type Certainty, certaintyOf } from './certainty'
import { type Job, type KeptOrder, laidOut, type OrderBreakdown, type MakeSeen } from './breakdown'

/** Input of planning. */
export interface PlanningInput {
  readonly orders: readonly KeptOrder[]
  readonly makes: readonly MakeSeen[]
  readonly workOf: (line: OrderLine) => BagWork | undefined
  /** Nothing is planned before it. */
  readonly today: Day
  /** Minutes at the hook that are gone of today's evening. */
  readonly workedToday?: number
}

/** An order as it is planned. */
export interface OrderPlan extends OrderBreakdown {
  readonly wanted: number
  readonly finished: number
  /** Bags of which it is not known how long they take: they are not kept here, or cannot be drafted. */
  readonly unknown: readonly OrderLine[]
  /** As it goes if everything takes as long as expected: what is done on which evening. */
  readonly stretches: readonly Stretch[]
  readonly finishedOn: Schedule['finishedOn']
  /** Bags that are not ready in time then. */
  readonly behind: readonly Job[]
  /** The evening on which the last bag is finished, if there is one in sight. */
  readonly lastOn?: Day
  readonly sure: Certainty
}

function lastOf(jobs: readonly Job[], finishedOn: Schedule['finishedOn']): Day | undefined {
  const days = jobs.map(({ key }) => finishedOn.get(key))
  if (days.some(day => day === undefined)) return undefined
  return days.reduce<Day | undefined>((last, day) => (last === undefined || day! > last ? day : last), undefined)
}

/** Plans all open orders together, those due first first. */
export function planOrders({ orders, makes, workOf, today, workedToday }: PlanningInput, times?: number): OrderPlan[] {
  const laid = laidOut(orders, makes, workOf)
  const evenings = laid.map(({ order }) => eveningsOf(order, today, workedToday))
  const expected = laid.map(({ jobs }) => ({ jobs, minutesOf: ({ share, work }: Job) => share * work.minutes }))
  const { stretches, finishedOn } = schedule(expected, evenings)
  const sure = certaintyOf(laid, evenings, times)
  return laid.map((one, i): OrderPlan => {
    const { id, order, lines, jobs } = one
    const unknown = lines.filter(({ work }) => !work).map(({ line }) => line)
    const lastOn = lastOf(jobs, finishedOn)
    return {
      ...one, unknown, sure: sure[i]!, finishedOn,
      wanted: order.bags.reduce((sum, { count }) => sum + count, 0), finished: lines.reduce((sum, line) => sum + line.finished.length, 0),
      stretches: stretches.filter(({ job }) => job.order === id), ...(lastOn ? { lastOn } : {}),
      behind: jobs.filter(({ key }) => (finishedOn.get(key) ?? '9999') >= order.by),
    }
  })
}
