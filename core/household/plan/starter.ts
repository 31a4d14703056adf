import { type Day, dayAfter, weekdayOf } from './days'
import type { Order } from './order'

/** The first Saturday that is two weeks off or more. */
function saturday(today: Day): Day {
  let day = dayAfter(today, 14)
  while (weekdayOf(day) !== 'sat') day = dayAfter(day)
  return day
}

/** An order as it begins: for a Saturday in two weeks or more, three evenings a week; or with the evenings and money of the last one. */
export function newOrder(today: Day, last?: Order): Order {
  return {
    fairHollow: 'order', version: 1, name: '', note: '', forWhom: '', stands: 'open', bags: [],
    taken: today, from: today, by: saturday(today),
    week: last?.week ?? { mon: 0, tue: 60, wed: 0, thu: 60, fri: 0, sat: 0, sun: 60 }, startsAt: last?.startsAt ?? '19:00',
    otherEvenings: [], fallsOut: last?.fallsOut ?? 10,
    money: { currency: '', hourRate: 0, sharePercent: 0, ...last?.money, stallFee: 0 },
  }
}
