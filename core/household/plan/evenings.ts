import { type Day, weekdayOf } from './days'
import type { Order } from './order'

/** A pause of so many minutes in every hour: hands that go on for hours are strained (common practice, no source). */
export const PAUSE_MIN = 10
const HOUR_MIN = 60

/** From so many minutes at a stretch an evening is long for hands (from memory). */
export const LONG_EVENING_MIN = 150

/** Minutes that an evening of an order has. */
export function eveningMinutes({ week, otherEvenings }: Pick<Order, 'week' | 'otherEvenings'>, day: Day): number {
  return otherEvenings.findLast(other => other.day === day)?.minutes ?? week[weekdayOf(day)]
}

/** Minutes of an evening that the hook is worked in: the pauses of each hour are left out. */
export function hookMinutes(minutes: number): number {
  const hours = Math.floor(minutes / HOUR_MIN)
  return hours * (HOUR_MIN - PAUSE_MIN) + Math.min(minutes - hours * HOUR_MIN, HOUR_MIN - PAUSE_MIN)
}
