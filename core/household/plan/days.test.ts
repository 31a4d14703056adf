import { afterEach, describe, expect, it } from 'vitest'
import { dayAfter, daysBetween, dayWords, dayWithYear, isDay, mondayOf, weekdayOf } from './days'

const zone = process.env.TZ
afterEach(() => {
  if (zone === undefined) delete process.env.TZ
  else process.env.TZ = zone
})

/** Days reckoned apart from the library: numbers of days since 1970 in Greenwich, where no clock is ever changed. */
const numberOf = (day: string) => Date.parse(`${day}T00:00:00Z`) / 86_400_000
const dayOf = (number: number) => new Date(number * 86_400_000).toISOString().slice(0, 10)

// Zones whose clocks change at midnight, in either half of the year, and that left out a whole day (Apia, 30 December 2011).
describe.each(['UTC', 'Europe/Berlin', 'America/New_York', 'Pacific/Auckland', 'America/Santiago', 'Asia/Beirut', 'Pacific/Apia'])(
  'days in %s',
  (TZ) => {
    it('go on one by one over every change of clocks and end of month of four years', () => {
      process.env.TZ = TZ
      for (let day = '2024-01-01'; day < '2028-01-01'; day = dayAfter(day)) {
        expect(dayAfter(day)).toBe(dayOf(numberOf(day) + 1))
        expect(dayAfter(day, -1)).toBe(dayOf(numberOf(day) - 1))
        expect(weekdayOf(day)).toBe(['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'][new Date(`${day}T00:00:00Z`).getUTCDay()])
        expect(daysBetween('2024-01-01', day)).toBe(numberOf(day) - numberOf('2024-01-01'))
      }
    })
  },
)

describe('days', () => {
  it('knows which there are', () => {
    expect(['2026-02-28', '2024-02-29', '2000-02-29', '2026-12-31'].every(isDay)).toBe(true)
    // A year half typed, and calendars that were others.
    expect(['0002-12-05', '0202-12-05', '1899-12-31', '3000-01-01'].some(isDay)).toBe(false)
    expect(['1900-01-01', '2999-12-31'].every(isDay)).toBe(true)
    expect(['2026-02-29', '1900-02-29', '2026-13-01', '2026-11-31', '26-11-01', '', '2026-11-1x'].some(isDay)).toBe(false)
  })

  // ISO 8601: weeks begin on Monday; 5 December 2026 is a Saturday (common calendars).
  it('says them, and their Monday', () => {
    expect([dayWords('2026-12-05'), dayWithYear('2026-12-05')]).toEqual(['Sat 5 December', 'Sat 5 December 2026'])
    expect([mondayOf('2026-12-05'), mondayOf('2026-11-30'), mondayOf('2027-01-03')]).toEqual(['2026-11-30', '2026-11-30', '2026-12-28'])
  })
})
