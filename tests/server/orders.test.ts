import { execFileSync } from 'node:child_process'
import ICAL from 'ical.js'
import { describe, expect, it } from 'vitest'
import harvestFair from '../../demo/order-harvest-fair.json'
import { yarnToBuy } from '../../core/household/plan/buy'
import { planEvents } from '../../core/household/plan/events'
import { planOrders } from '../../core/household/plan/orderPlan'
import { priceOfOrder } from '../../core/household/plan/price'
import { readOrder } from '../../core/household/plan/readOrder'
import { verdictWords } from '../../core/household/plan/words'
import { calendarFile } from '../../server/paper/calendarFile'
import { orderPdf } from '../../server/paper/orderPdf'
import { A4, fonts, pagesOf, plain } from './readPdf'

const reading = readOrder(harvestFair)
if (!reading.ok) throw new Error('the demo order is broken')
const order = { ...reading.document, name: 'Harvest fair; apples, pears & Søren’s' }
const moss = { name: 'moss green cotton, DK', colour: '#71834f', grams: 30, spread: 0.2 }
const work = { minutes: 95, paceSpread: 0.1, bagSpread: 0.06, known: 2, yarns: [moss] }
const plans = planOrders({ orders: [{ id: 'o1', order }], makes: [], workOf: () => work, today: '2026-11-27' }, 100)
const [plan] = plans

/** Events as a reader of iCalendar finds them that knows nothing of this program. */
function read(text: string): ICAL.Event[] {
  return new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map(event => new ICAL.Event(event))
}

describe('evenings as iCalendar', () => {
  const text = calendarFile(order.name, planEvents(plans), new Date('2026-11-27T08:00:00Z'))
  const events = read(text)

  it('takes no line from a name: whatever is written in it stays in it', () => {
    const name = 'Fair\r\nX-WR-CALNAME:evil\nBEGIN:VEVENT\rEND:VCALENDAR\u2028X:y'
    const named = plans.map(one => ({ ...one, order: { ...one.order, name, forWhom: name } }))
    const written = calendarFile(name, planEvents(named), new Date(0))
    const lines = written.replace(/\r\n[ \t]/g, '').split(/\r\n|\r|\n|\u2028/)
    expect(lines.filter(line => /^(X-WR-CALNAME:evil|END:VCALENDARX|X:y)/.test(line))).toEqual([])
    expect(lines.filter(line => line === 'BEGIN:VEVENT')).toHaveLength(events.length)
    expect(read(written)).toHaveLength(events.length)
  })

  it('has an event for every evening that is planned, by the clock of wherever it is read, and one for the day itself', () => {
    const evenings = [...new Set(plan!.stretches.map(({ day }) => day))]
    expect(events.slice(0, -1).map(({ startDate }) => startDate.toString())).toEqual(evenings.map(day => `${day}T19:30:00`))
    expect(events.every(({ startDate }) => startDate.zone.tzid === 'floating')).toBe(true)
    for (const event of events.slice(0, -1))
      expect(event.duration.toSeconds()).toBe(60 * (event.startDate.dayOfWeek() === ICAL.Time.SUNDAY ? 150 : 75))
    const due = events.at(-1)!
    expect([due.startDate.isDate, due.startDate.toString(), due.summary]).toEqual([
      true, '2026-12-19', 'Harvest fair; apples, pears & Søren’s: 8 bags ready',
    ])
    expect(due.description).toContain('6 Seed-head pouch\n2 Onion net\n')
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length)
  })

  // RFC 5545, 3.1: lines end in CRLF and are no longer than 75 octets.
  it('keeps to the lines of the standard', () => {
    expect(text.startsWith('BEGIN:VCALENDAR\r\nVERSION:2.0\r\n')).toBe(true)
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75)
    expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/)
  })

  it('says the same wherever it is written', () => {
    const script = 'const { calendarFile } = await import("./server/paper/calendarFile.ts");'
      + `process.stdout.write(calendarFile("x", ${JSON.stringify(planEvents(plans).slice(0, 2))}, new Date(0)))`
    const written = ['UTC', 'Pacific/Auckland', 'America/Santiago'].map(TZ =>
      execFileSync('npx', ['tsx', '--input-type=module', '-e', script], { env: { ...process.env, TZ }, encoding: 'utf8' }))
    expect(new Set(written).size).toBe(1)
    expect(written[0]).toContain('DTSTART:20261129T193000')
  })

  it('goes over midnight and the end of a year', () => {
    const [late] = read(calendarFile('x', [{ uid: 'a', day: '2026-12-31', at: '23:00', minutes: 90, title: 't', text: '' }], new Date(0)))
    expect(late!.endDate.toString()).toBe('2027-01-01T00:30:00')
  })
})

describe('an order on paper', () => {
  it('says what is wanted, evening by evening what is made, the yarn and the price', async () => {
    const price = priceOfOrder(order, () => work, () => undefined)
    const told = { terms: 'us', units: 'in' } as const
    const pages = await pagesOf(await orderPdf({ plan: plan!, buying: yarnToBuy(plans, () => undefined), price, told }, A4, fonts))
    const text = plain(pages.map(page => page.text).join(' '))
    // 95 minutes at 9.00 an hour are 14.25, notions 0.40, an eighth of 15.00 1.88; no share of it is the seller's.
    for (const said of [
      order.name, verdictWords(plan!), 'Ready by the morning of Sat 19 December 2026', 'Seed-head pouch 1', 'on no shelf',
      'A price that pays: 16.53 crowns', 'fall under local rules', 'In every hour 10 minutes are left for the hands',
    ]) expect(text).toContain(plain(said))
  })
})
