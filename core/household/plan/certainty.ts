import { Chance, seedOf } from '../../things/random/seededRandom'
import type { Day } from './days'
import { type eveningsOf, schedule } from './schedule'
import type { Job, OrderBreakdown } from './breakdown'

/*
 * How sure a date is: the plan is gone through some hundreds of times, with a pace, bags and evenings drawn by lot from their ranges. The
 * pace is the same for all bags of one time, as a maker has one pair of hands; each bag goes a little quicker or slower for itself; and
 * some evenings come to nothing. What is drawn belongs to the bag and the evening, so that a bag finished early never makes another late.
 */

/** So many times the plan is gone through: a share is then good to three in a hundred. */
const TIMES = 300

/** So many bags at most are drawn in all: of a plan of more bags than anybody makes it is less sure how sure it is. */
const MOST_DRAWN = 1_200_000
const FEWEST_TIMES = 20

/** Results of going through the plan, by order. */
export interface Certainty {
  /** How often everything was ready in time. */
  readonly odds: number
  /** Bags ready in time, besides those that are finished: the middle, and from what to what eight times of ten. */
  readonly ready: number
  readonly low: number
  readonly high: number
  /** How often each bag was ready in time, by its key. */
  readonly byJob: ReadonlyMap<string, number>
}

function minutesDrawn({ key, share, work }: Job, pace: number, time: number): number {
  return share * work.minutes * Math.exp(work.paceSpread * pace + work.bagSpread * new Chance(seedOf(key, time)).normal())
}

/** An evening's lot: it falls out of every order whose share is greater. */
function shareOf(day: Day, time: number): number {
  return new Chance(seedOf(day, time)).share()
}

/** The value that so many of a hundred lie below, of counts in order. */
function at(sorted: readonly number[], share: number): number {
  return sorted[Math.min(sorted.length - 1, Math.max(0, Math.ceil(share * sorted.length) - 1))] ?? 0
}

/** Goes through the plan again and again: how sure each order's date is. */
export function certaintyOf(
  laid: readonly OrderBreakdown[], evenings: readonly ReturnType<typeof eveningsOf>[], wanted = TIMES,
): Certainty[] {
  const bags = laid.reduce((sum, { jobs }) => sum + jobs.length, 0)
  const times = Math.min(wanted, Math.max(FEWEST_TIMES, Math.floor(MOST_DRAWN / Math.max(1, bags))))
  const counts = laid.map(() => [] as number[])
  const byJob = laid.map(({ jobs }) => new Map(jobs.map(({ key }) => [key, 0])))
  const fallsOut = laid.map(({ order }) => order.fallsOut / 100)
  for (let time = 0; time < times; time++) {
    const pace = new Chance(seedOf('pace', time)).normal()
    const asks = laid.map(({ jobs }) => ({ jobs, minutesOf: (job: Job) => minutesDrawn(job, pace, time) }))
    const { finishedOn } = schedule(asks, evenings, (day: Day, order) => fallsOut[order]! > 0 && shareOf(day, time) < fallsOut[order]!)
    laid.forEach(({ order, jobs }, i) => {
      // They are finished in turn: behind one that is not in time none is.
      const late = jobs.findIndex(({ key }) => (finishedOn.get(key) ?? '9999') >= order.by)
      const inTime = late < 0 ? jobs : jobs.slice(0, late)
      for (const { key } of inTime) byJob[i]!.set(key, byJob[i]!.get(key)! + 1)
      counts[i]!.push(inTime.length)
    })
  }
  return laid.map(({ jobs }, i): Certainty => {
    const sorted = counts[i]!.sort((a, b) => a - b)
    return {
      odds: sorted.filter(count => count === jobs.length).length / times, ready: at(sorted, 0.5), low: at(sorted, 0.1),
      high: at(sorted, 0.9),
      byJob: new Map([...byJob[i]!].map(([key, count]) => [key, count / times])),
    }
  })
}
