import { LONG_EVENING_MIN, PAUSE_MIN } from './evenings'
import { type Day, dayWords, WEEKDAYS } from './days'
import type { Order } from './order'
import type { OrderPlan } from './orderPlan'
import type { Job } from './breakdown'

/** A share as a maker says it: never quite none, never quite all. */
export function percent(share: number): string {
  return `${Math.min(99, Math.max(1, Math.round(100 * share)))} %`
}

/** A bag of an order by its name and number: `Seed-head pouch 4`. */
export function jobName({ order: { bags } }: Pick<OrderPlan, 'order'>, { line, number }: Pick<Job, 'line' | 'number'>): string {
  const { name, count } = bags[line]!
  return count > 1 ? `${name} ${number}` : name
}

/** How far an order is: `12 wanted: 2 finished, 1 on the hook, 9 to begin`. */
export function stateWords({ wanted, finished, lines }: OrderPlan): string {
  const [inHand, toMake] = [lines.reduce((sum, one) => sum + one.inHand.length, 0), lines.reduce((sum, one) => sum + one.toMake, 0)]
  const parts = [
    ...(finished ? [`${finished} finished`] : []), ...(inHand ? [`${inHand} on the hook`] : []), ...(toMake ? [`${toMake} to begin`] : []),
  ]
  return wanted === 0 ? 'No bags are wanted yet.' : `${wanted} wanted: ${parts.join(', ')}.`
}

/** Why nothing can be planned of an order as it stands: what to change, instead of odds. */
export function senseless({ bags, by, from, week, otherEvenings }: Order, today: Day): string[] {
  const first = from > today ? from : today
  const minutes = WEEKDAYS.some(day => week[day] > 0) || otherEvenings.some(({ day, minutes: own }) => own > 0 && day >= first && day < by)
  return [
    ...(bags.length === 0 ? ['There are no bags in this order yet: add the first one.'] : []),
    ...(by <= today ? [`${dayWords(by)} is past, or today: choose a later day to be ready by.`] : []),
    ...(by > today && by <= from
      ? [`The first evening is ${dayWords(from)}, and all is to be ready by ${dayWords(by)}: choose days apart.`]
      : []),
    ...(minutes ? [] : ['No evening has any minutes: say how many there are, on one day of the week at least.']),
  ]
}

/** Words on how sure an order's date is. */
export function verdictWords(plan: OrderPlan): string {
  const { order: { by }, jobs, finished, behind, lastOn, sure } = plan
  if (jobs.length === 0) return plan.unknown.length > 0 || plan.wanted === 0 ? '' : `All of it is finished, for ${dayWords(by)}.`
  const ready = (count: number) => finished + count
  const range = sure.low === sure.high ? `${ready(sure.ready)}` : `${ready(sure.low)} to ${ready(sure.high)}`
  const last = lastOn ? `the last on ${dayWords(lastOn)}` : 'the last after the last evening that is planned'
  const expected = behind.length === 0
    ? `As it goes ${jobs.length + finished === 1 ? 'it is' : 'all are'} ready in time, ${last}.`
    : `As it goes ${behind.length} ${behind.length === 1 ? 'falls' : 'fall'} behind: `
      + `${ready(jobs.length - behind.length)} are ready by ${dayWords(by)}, ${last}.`
  const are = ready(sure.high) === 1 ? 'is' : 'are'
  return `${expected} Eight times of ten ${range} ${are} ready in time; that all are: ${percent(sure.odds)}.`
}

/** Advice on the evenings of an order. */
export function eveningCare({ week, otherEvenings }: Order): string[] {
  const longest = Math.max(...WEEKDAYS.map(day => week[day]), ...otherEvenings.map(({ minutes }) => minutes), 0)
  const pauses = `In every hour ${PAUSE_MIN} minutes are left for the hands: long evenings strain them. Stretch, and stop when they hurt; `
    + 'if it stays, see a doctor.'
  const long = longest >= LONG_EVENING_MIN ? [`An evening of ${longest} minutes is long at the hook: split it, or do less.`] : []
  return [pauses, ...long]
}

/** Advice that sellers are told in any case. */
export const SELLING_CARE = 'Goods for sale, and anything for children, fall under local rules: cords, small parts and loads above all. '
  + 'What the law and the tax office ask is not reckoned here; ask those who know.'
