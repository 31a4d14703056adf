import { documentRules } from '../../bag/design/classes'
import { check, isObject, type Problem, type Reading, refuse } from '../../bag/design/read'
import { daysBetween, isDay } from './days'
import { type Order, ORDER_FIELDS } from './order'

const RULES = documentRules(ORDER_FIELDS)

/** Further off than this no evening is planned (from memory: nobody promises bags for in three years). */
const LONGEST_DAYS = 1100

const NO_DAY = 'is no day of the calendar from 1900 to 2999'

/** Days that are none, or in the wrong order. */
function problems({ taken, from, by, otherEvenings }: Order): Problem[] {
  const named = [
    { field: 'taken', day: taken }, { field: 'from', day: from }, { field: 'by', day: by },
    ...otherEvenings.map(({ day }, i) => ({ field: `otherEvenings[${i}].day`, day })),
  ]
  const wrong = named.filter(({ day }) => !isDay(day)).map(({ field }): Problem => ({ field, message: NO_DAY }))
  if (wrong.length > 0) return wrong
  if (by <= from) return [{ field: 'by', message: `must be after ${from}, the day it begins` }]
  if (by <= taken) return [{ field: 'by', message: `must be after ${taken}, the day it was taken on` }]
  const [first, field] = taken < from ? [taken, 'taken'] : [from, 'from']
  return daysBetween(first, by) > LONGEST_DAYS ? [{ field, message: `must be within ${LONGEST_DAYS} days of ${by}` }] : []
}

/**
 * Reads an order from what a file or a request held.
 *
 * @returns the order with defaults filled in, or the fields that must change
 */
export function readOrder(input: unknown): Reading<Order> {
  if (!isObject(input) || input.fairHollow !== 'order')
    return refuse('fairHollow', 'this is not an order of Fair Hollow: its "fairHollow" field must say "order"')
  return check(input, RULES, problems)
}
