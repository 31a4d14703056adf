import { addDays, differenceInCalendarDays, format, formatISO, getISODay, isValid, parseISO } from 'date-fns'

/*
 * Days as `2026-12-05`: they compare as text does, know no hour, and are reckoned with by a date library, since clocks change and months
 * end. Every one is told from outside: core has no clock.
 */

/** A day of the calendar, as ISO 8601 writes it. */
export type Day = string

/**
 * Form of a day that can be reckoned with: from 1900 to 2999. Beyond, a year is not written with four figures, or the calendar was another;
 * and a year half typed is one of the first centuries.
 */
export const DAY_FORM = { source: '^(19|2\\d)\\d{2}-\\d{2}-\\d{2}$', message: 'must be a day from 1900 to 2999, such as 2026-12-05' }

/** Whether there is such a day, and it is one that can be reckoned with. */
export function isDay(day: string): boolean {
  return new RegExp(DAY_FORM.source).test(day) && isValid(parseISO(day))
}

/** A day so many days on; back, if that is less than none. */
export function dayAfter(day: Day, days = 1): Day {
  return formatISO(addDays(parseISO(day), days), { representation: 'date' })
}

/** Days from one to another: 1 from a day to the next. */
export function daysBetween(from: Day, to: Day): number {
  return differenceInCalendarDays(parseISO(to), parseISO(from))
}

/** Days of the week, Monday first, as documents name them. */
export const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const
export type Weekday = (typeof WEEKDAYS)[number]

/** Which day of the week a day is. */
export function weekdayOf(day: Day): Weekday {
  return WEEKDAYS[getISODay(parseISO(day)) - 1]!
}

/** The Monday of a day's week. */
export function mondayOf(day: Day): Day {
  return dayAfter(day, 1 - getISODay(parseISO(day)))
}

/** A day as it is said: `Sat 5 December`. */
export function dayWords(day: Day): string {
  return format(parseISO(day), 'EEE d MMMM')
}

/** The same with its year. */
export function dayWithYear(day: Day): string {
  return format(parseISO(day), 'EEE d MMMM yyyy')
}

export const laterOf = (a: Day, b: Day): Day => (a > b ? a : b)
