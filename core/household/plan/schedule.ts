import { type Day, dayAfter, laterOf } from './days'
import { eveningMinutes, hookMinutes } from './evenings'
import type { Order } from './order'
import type { Job } from './breakdown'

/*
 * Schedule of bags
 * =================
 *
 * Evening after evening, from today or the order's first day on, the hook goes on with the first bag that is not done. Of several orders
 * the one that is due first takes what it needs of an evening; what is left of it is there for the next. So no order whose date can be
 * kept at all is late because of a later one (Jackson's rule: by due date the greatest lateness is least), and whoever finishes early
 * only moves what comes after forward.
 */

/** Nothing is looked for further on than so many days. */
const FURTHEST_DAYS = 400

/** Time of an evening spent at one bag. */
export interface Stretch {
  readonly day: Day
  readonly job: Job
  readonly minutes: number
  /** Whether the bag is finished with it. */
  readonly finishes: boolean
}

/** When bags are made. */
export interface Schedule {
  readonly stretches: readonly Stretch[]
  /** The evening that a bag is finished on, by its key; none of one for which there is no evening in sight. */
  readonly finishedOn: ReadonlyMap<string, Day>
}

/** Bags to be made for an order, in turn, and the minutes at the hook that each takes: asked when its turn comes. */
interface Asks {
  readonly jobs: readonly Job[]
  readonly minutesOf: (job: Job) => number
}

/** Less than this of a minute is nothing: what is left over from sums of parts. */
const NOTHING_MIN = 1e-6

/** An evening, and the minutes at the hook that there are on it. */
interface Evening {
  readonly day: Day
  readonly minutes: number
}

/**
 * Evenings on which an order could be worked at, the first today at the earliest: the so many-th of them, looked at when it is asked for.
 *
 * @param workedToday minutes at the hook that are gone of today's evening
 */
export function eveningsOf(order: Order, today: Day, workedToday = 0): (i: number) => Evening {
  const known: Evening[] = []
  return (i) => {
    while (known.length <= i) {
      const last = known.at(-1)
      const day = last ? dayAfter(last.day) : laterOf(order.from, today)
      const minutes = hookMinutes(eveningMinutes(order, day))
      known.push({ day, minutes: day === today ? Math.max(0, minutes - workedToday) : minutes })
    }
    return known[i]!
  }
}

/**
 * Plans orders that stand as they are due.
 *
 * @param evenings the evenings of each order, as `eveningsOf` gives them
 * @param comesToNothing which evenings fall out of which order, by its place
 */
export function schedule(
  asks: readonly Asks[],
  evenings: readonly ReturnType<typeof eveningsOf>[],
  comesToNothing: (day: Day, at: number) => boolean = () => false,
): Schedule {
  const used = new Map<Day, number>()
  const stretches: Stretch[] = []
  const finishedOn = new Map<string, Day>()
  asks.forEach(({ jobs, minutesOf }, at) => {
    let next = 0
    let left = jobs.length > 0 ? minutesOf(jobs[0]!) : 0
    for (let i = 0; i < FURTHEST_DAYS && next < jobs.length; i++) {
      const { day, minutes } = evenings[at]!(i)
      const before = used.get(day) ?? 0
      let free = comesToNothing(day, at) ? 0 : minutes - before
      if (free <= NOTHING_MIN) continue
      while (next < jobs.length && (free > NOTHING_MIN || left <= NOTHING_MIN)) {
        const spent = Math.min(free, left)
        free -= spent
        left -= spent
        const finishes = left <= NOTHING_MIN
        const job = jobs[next]!
        stretches.push({ day, job, minutes: spent, finishes })
        if (!finishes) break
        finishedOn.set(job.key, day)
        next++
        if (next < jobs.length) left = minutesOf(jobs[next]!)
      }
      used.set(day, minutes - free)
    }
  })
  return { stretches, finishedOn }
}
