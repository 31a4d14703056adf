import ical from 'ical-generator'
import { oneLine } from '../../core/readers/words/ownWords'
import type { PlanEvent } from '../../core/household/plan/events'

/** Lines that only one maker's programs know: every other reads the standard ones beside them. */
const OF_ONE_PROGRAM = /^X-MICROSOFT-.*\r?\n/gm

/**
 * Evenings as iCalendar (RFC 5545). They begin by the clock of wherever they are read, as an evening does: floating times, written through
 * Greenwich's, where no clock is changed.
 *
 * @param now when it is written
 */
export function calendarFile(name: string, events: readonly PlanEvent[], now: Date): string {
  const calendar = ical({ name: oneLine(name), prodId: { company: 'Fair Hollow', product: 'Orders' } })
  for (const { uid, day, at, minutes = 0, title, text } of events) {
    const start = new Date(`${day}T${at ?? '00:00'}:00Z`)
    calendar.createEvent({
      id: `${uid}@fair-hollow`, stamp: now, summary: oneLine(title), description: text.split('\n').map(oneLine).join('\n'),
      ...(at === undefined ? { start, allDay: true } : { start, end: new Date(start.getTime() + minutes * 60_000), floating: true }),
    })
  }
  return calendar.toString().replace(OF_ONE_PROGRAM, '')
}
