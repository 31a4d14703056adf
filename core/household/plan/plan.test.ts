import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { BagWork } from './bagWork'
import { orderFixes } from './lateFixes'
import { calendarOf } from './calendar'
import { dayAfter, daysBetween, type Day } from './days'
import { eveningMinutes, hookMinutes } from './evenings'
import type { Order, OrderLine } from './order'
import { type PlanningInput, planOrders } from './orderPlan'
import { readOrder } from './readOrder'
import { senseless, verdictWords, stateWords } from './words'
import type { MakeSeen } from './breakdown'

const work = (minutes: number, spread = 0): BagWork => ({ minutes, paceSpread: spread, bagSpread: spread / 3, known: 0, yarns: [] })

const WEEK = { mon: 0, tue: 0, wed: 0, thu: 0, fri: 0, sat: 0, sun: 0 }
function order(bags: readonly (readonly [name: string, count: number])[], more: Partial<Order> = {}): Order {
  const reading = readOrder({
    fairHollow: 'order', version: 1, name: 'Harvest fair', taken: '2026-11-30', from: '2026-11-30', by: '2026-12-05', fallsOut: 0,
    bags: bags.map(([name, count]) => ({ name, count })), week: { ...WEEK, mon: 60, tue: 60, wed: 60, thu: 60, fri: 60 }, ...more,
  })
  if (!reading.ok) throw new Error(JSON.stringify(reading.problems))
  return reading.document
}

function known(orders: readonly Order[], minutes: Record<string, BagWork>, more: Partial<PlanningInput> = {}): PlanningInput {
  return {
    orders: orders.map((one, i) => ({ id: `o${i}`, order: one })), makes: [], workOf: ({ name }: OrderLine) => minutes[name],
    today: '2026-11-30', ...more,
  }
}

const finished = (id: string, name: string, on: Day): MakeSeen => ({ id, name, share: 1, finished: on })

describe('evenings', () => {
  // Ten minutes of every hour are a pause: 60 are 50 at the hook, 90 are 50 and 30, 120 are 100.
  it('leave pauses', () => {
    expect([0, 20, 50, 55, 60, 90, 110, 115, 120, 180].map(hookMinutes)).toEqual([0, 20, 50, 50, 50, 80, 100, 100, 100, 150])
  })

  it('are as the weekday is, but for those named', () => {
    const one = order([], { otherEvenings: [{ day: '2026-12-01', minutes: 0 }, { day: '2026-12-06', minutes: 45 }] })
    expect(['2026-11-30', '2026-12-01', '2026-12-05', '2026-12-06'].map(day => eveningMinutes(one, day))).toEqual([60, 0, 0, 45])
  })
})

describe('a plan, by hand', () => {
  // Five evenings of 50 minutes at the hook: 250. Pouches of 60 minutes: four are 240, and ready on Friday; a fifth is not.
  const pouches = { Pouch: work(60) }

  it('fills evening after evening: four pouches of an hour by Saturday', () => {
    const [plan] = planOrders(known([order([['Pouch', 4]])], pouches))
    expect(plan!.stretches.map(({ day, minutes, finishes, job: { number } }) => [day.slice(-2), number, minutes, finishes])).toEqual([
      ['30', 1, 50, false], ['01', 1, 10, true], ['01', 2, 40, false], ['02', 2, 20, true], ['02', 3, 30, false], ['03', 3, 30, true],
      ['03', 4, 20, false], ['04', 4, 40, true],
    ])
    expect([plan!.lastOn, plan!.behind.length, plan!.sure.odds]).toEqual(['2026-12-04', 0, 1])
    expect(verdictWords(plan!)).toBe(
      'As it goes all are ready in time, the last on Fri 4 December. Eight times of ten 4 are ready in time; that all are: 99 %.',
    )
  })

  it('leaves out of today\'s evening what was worked already, and of no other', () => {
    const days = (today: Day, workedToday: number) => planOrders(known([order([['Pouch', 4]])], pouches, { today, workedToday }))[0]!
      .stretches.reduce((by, { day, minutes }) => by.set(day.slice(-2), (by.get(day.slice(-2)) ?? 0) + minutes), new Map<string, number>())
    expect([...days('2026-11-30', 30)]).toEqual([['30', 20], ['01', 50], ['02', 50], ['03', 50], ['04', 50], ['07', 20]])
    // More than the evening holds leaves nothing of it. Before the order begins it is no evening of the order's.
    expect([...days('2026-11-30', 300)].slice(0, 2)).toEqual([['01', 50], ['02', 50]])
    expect([...days('2026-11-29', 30)][0]).toEqual(['30', 50])
  })

  it('says what falls behind: of twelve, eight; the last is finished after fourteen evenings of 50 minutes and 20', () => {
    const [plan] = planOrders(known([order([['Pouch', 12]])], pouches))
    expect(plan!.behind.map(({ number }) => number)).toEqual([5, 6, 7, 8, 9, 10, 11, 12])
    // 720 minutes are 14.4 evenings: the fifteenth weekday from 30 November is Friday 18 December.
    expect(plan!.lastOn).toBe('2026-12-18')
    expect(verdictWords(plan!)).toContain('8 fall behind: 4 are ready by Sat 5 December, the last on Fri 18 December')
  })

  it('takes account of what is finished and of what is on the hook', () => {
    const makes = [
      finished('a', 'Pouch', '2026-11-30'), finished('old', 'Pouch', '2026-11-29'), finished('net', 'Net', '2026-11-30'),
      { id: 'b', name: 'Pouch', share: 0.5 },
    ]
    const [plan] = planOrders(known([order([['Pouch', 4]])], pouches, { makes, today: '2026-12-02' }))
    expect(stateWords(plan!)).toBe('4 wanted: 1 finished, 1 on the hook, 2 to begin.')
    // Half an hour, and two hours: 150 minutes are three evenings.
    expect(plan!.stretches.map(({ day, job: { make, number } }) => [day.slice(-2), make, number])).toEqual([
      ['02', 'b', 2], ['02', undefined, 3], ['03', undefined, 3], ['03', undefined, 4], ['04', undefined, 4],
    ])
    expect(plan!.lastOn).toBe('2026-12-04')
  })

  it('knows a bag by its id where it has one, and a make for one order only: the one due first', () => {
    const bag = (id: string, by: Day): Order => ({ ...order([['Pouch', 1]], { by }), bags: [{ bag: id, name: 'Pouch', count: 1 }] })
    const make = (id: string, of: string): MakeSeen => ({ ...finished(id, 'Pouch', '2026-12-01'), bag: of })
    const makes = [make('a', 'p1'), make('b', 'p2')]
    const plans = planOrders(known([bag('p1', '2026-12-20'), bag('p1', '2026-12-10')], pouches, { makes }))
    expect(plans.map(({ id, finished: done }) => [id, done])).toEqual([['o1', 1], ['o0', 0]])
  })

  it('says of which bags it does not know how long they take', () => {
    const [plan] = planOrders(known([order([['Pouch', 1], ['Nobody\'s', 2]])], pouches))
    expect(plan!.unknown.map(({ name }) => name)).toEqual(['Nobody\'s'])
    expect(plan!.jobs).toHaveLength(1)
  })

  it('gives an order that is due first what it needs of an evening, and the next one the rest', () => {
    const first = order([['Pouch', 1]], { by: '2026-12-02', name: 'First' })
    const [a, b] = planOrders(known([order([['Pouch', 1]]), first], pouches))
    expect([a!.order.name, b!.order.name]).toEqual(['First', 'Harvest fair'])
    expect([a!.lastOn, b!.stretches.map(({ day, minutes }) => [day.slice(-2), minutes])]).toEqual([
      '2026-12-01', [['01', 40], ['02', 20]],
    ])
  })

  it('leaves closed orders out', () => {
    expect(planOrders(known([order([['Pouch', 1]], { stands: 'closed' })], pouches))).toEqual([])
  })
})

/** Minutes of every evening of an order, walked through one by one: the plan again, with nothing of it used. */
function walked(orders: readonly Order[], minutes: Record<string, number>, today: Day): Map<string, Day> {
  const due = [...orders.keys()].sort((a, b) => (orders[a]!.by < orders[b]!.by ? -1 : orders[a]!.by > orders[b]!.by ? 1 : a - b))
  const open = due.map(i => orders[i]!.bags.flatMap(({ name, count }, line) =>
    Array.from({ length: count }, (_, n) => ({ key: `o${i} ${line} ${n + 1}`, left: minutes[name]! }))))
  const done = new Map<string, Day>()
  for (let day = today, n = 0; n < 100; day = dayAfter(day), n++) {
    const spent = orders.map(() => 0)
    let all = 0
    for (let minute = 0; minute < 800; minute++) {
      // Whoever is due first and has a minute left on this evening takes it.
      const at = due.findIndex((i, place) =>
        day >= orders[i]!.from && open[place]!.length > 0 && all < hookMinutes(eveningMinutes(orders[i]!, day)))
      if (at < 0) break
      const bag = open[at]![0]!
      bag.left--
      all++
      spent[at]!++
      if (bag.left === 0) {
        done.set(bag.key, day)
        open[at]!.shift()
      }
    }
  }
  return done
}

const someOrder = fc.record({
  starts: fc.integer({ min: 0, max: 6 }), lasts: fc.integer({ min: 1, max: 9 }),
  bags: fc.array(fc.tuple(fc.constantFrom('A', 'B', 'C'), fc.integer({ min: 1, max: 3 })), { minLength: 1, maxLength: 3 }),
})
const anEvening = fc.constantFrom(0, 30, 60, 90, 120)
const someWeek: fc.Arbitrary<Order['week']> = fc.record({
  mon: anEvening, tue: anEvening, wed: anEvening, thu: anEvening, fri: anEvening, sat: anEvening, sun: anEvening,
})
const someOrders = fc.array(someOrder, { minLength: 1, maxLength: 3 })
const minute = fc.integer({ min: 1, max: 120 })
const someMinutes = fc.record({ A: minute, B: minute, C: minute })
const asWork = (minutes: Record<string, number>, spread = 0) =>
  Object.fromEntries(Object.entries(minutes).map(([name, one]) => [name, work(one, spread)]))

const TODAY = '2026-03-26'
function ordersOf(all: readonly { starts: number, lasts: number, bags: [string, number][] }[], week: Order['week']): Order[] {
  return all.map(({ starts, lasts, bags }) =>
    order(bags, { week, taken: dayAfter(TODAY, -9), from: dayAfter(TODAY, starts - 2), by: dayAfter(TODAY, starts - 2 + lasts) }))
}

describe('a plan, whatever is asked', () => {
  it('is what walking through the evenings minute by minute gives', () => {
    fc.assert(fc.property(someOrders, someWeek, someMinutes, (all, week, minutes) => {
      const orders = ordersOf(all, { ...week, wed: 30 })
      const plans = planOrders(known(orders, asWork(minutes), { today: TODAY }), 1)
      const byHand = walked(orders, minutes, TODAY)
      for (const { jobs, finishedOn } of plans) {
        for (const { key } of jobs)
          if (byHand.has(key)) expect([key, finishedOn.get(key)]).toEqual([key, byHand.get(key)])
      }
    }), { numRuns: 150, seed: 17 })
  })

  it('never plans into the past, before the first day, or past the minutes given', () => {
    fc.assert(fc.property(someOrders, someWeek, someMinutes, (all, week, minutes) => {
      const orders = ordersOf(all, week)
      const plans = planOrders(known(orders, asWork(minutes), { today: TODAY }), 1)
      const used = new Map<Day, number>()
      for (const { order: one, stretches } of plans) {
        for (const { day, minutes: spent } of stretches) {
          expect(day >= TODAY && day >= one.from).toBe(true)
          used.set(day, (used.get(day) ?? 0) + spent)
        }
      }
      for (const [day, spent] of used) expect(spent).toBeLessThanOrEqual(hookMinutes(eveningMinutes(orders[0]!, day)) + 1e-6)
      for (const { jobs, stretches } of plans) {
        for (const job of jobs) {
          const spent = stretches.filter(stretch => stretch.job === job).reduce((sum, stretch) => sum + stretch.minutes, 0)
          expect(spent).toBeLessThanOrEqual(job.work.minutes + 1e-6)
        }
      }
    }), { numRuns: 200, seed: 18 })
  })

  /** Every order that some bags can be made in. */
  function permutations<T>(list: readonly T[]): T[][] {
    return list.length < 2 ? [[...list]] : list.flatMap((one, i) => permutations(list.toSpliced(i, 1)).map(rest => [one, ...rest]))
  }

  it('has the least lateness that any order of the bags has, where all orders have begun', () => {
    fc.assert(fc.property(
      fc.array(
        fc.record({ minutes: fc.integer({ min: 5, max: 110 }), lasts: fc.integer({ min: 3, max: 9 }) }), { minLength: 2, maxLength: 5 },
      ),
      (bags) => {
        const week = { ...WEEK, mon: 60, wed: 40, fri: 90 }
        const begun = { week, taken: dayAfter(TODAY, -2), from: dayAfter(TODAY, -2) }
        const orders = bags.map(({ lasts }, i) => order([[`B${i}`, 1]], { ...begun, by: dayAfter(TODAY, lasts) }))
        const works = Object.fromEntries(bags.map(({ minutes }, i) => [`B${i}`, work(minutes)]))
        const lateness = planOrders(known(orders, works, { today: TODAY }), 1)
          .map(({ order: { by }, lastOn }) => daysBetween(by, lastOn!)).reduce((most, days) => Math.max(most, days))
        const evenings = Array.from({ length: 90 }, (_, i) => dayAfter(TODAY, i))
          .map(day => ({ day, minutes: hookMinutes(eveningMinutes(orders[0]!, day)) }))
        const least = Math.min(...permutations(bags).map((sequence) => {
          let gone = 0
          return Math.max(...sequence.map(({ minutes, lasts }) => {
            gone += minutes
            let sum = 0
            const on = evenings.find(evening => (sum += evening.minutes) >= gone - 1e-9)!.day
            return daysBetween(dayAfter(TODAY, lasts), on)
          }))
        }))
        expect(lateness).toBe(least)
      },
    ), { numRuns: 150, seed: 19 })
  })

  it('is never later for a bag that is finished early, or is further on', () => {
    const howFar = fc.record({ which: fc.nat(), share: fc.double({ min: 0, max: 1, noNaN: true }) })
    fc.assert(fc.property(someOrders, someWeek, someMinutes, howFar, (all, week, minutes, { which, share }) => {
      const orders = ordersOf(all, week)
      const works = asWork(minutes, 0.2)
      const first = orders.findIndex(({ by }) => orders.every(other => by <= other.by))
      const line = orders[first]!.bags[which % orders[first]!.bags.length]!
      const begun: MakeSeen = { id: 'm', name: line.name, share: 0 }
      const at = (make: MakeSeen) => planOrders(known(orders, works, { today: TODAY, makes: [make] }), 20)
      const before = at(begun)
      for (const make of [{ ...begun, share }, { ...begun, share: 1, finished: TODAY }]) {
        at(make).forEach((plan, i) => {
          for (const { key } of plan.jobs) expect((plan.finishedOn.get(key) ?? '9') <= (before[i]!.finishedOn.get(key) ?? '9')).toBe(true)
          const inTime = (one: typeof plan) => one.sure.odds
          expect(inTime(plan)).toBeGreaterThanOrEqual(inTime(before[i]!))
        })
      }
    }), { numRuns: 150, seed: 20 })
  })
})

describe('how sure a date is', () => {
  /*
   * Ten pouches that share one pace: their sum is log-normal about 600 minutes as the pace is, deviation 0.2; so that all are ready within
   * 750 minutes (15 evenings of 50) is as likely as a normal deviation below ln(750/600)/0.2 = 1.1157: 86.8 % (standard tables).
   */
  it('is what tables of the normal distribution say, where only the pace is not known', () => {
    const bags = { Pouch: { ...work(60), paceSpread: 0.2, bagSpread: 0 } }
    const [plan] = planOrders(known([order([['Pouch', 10]], { by: '2026-12-19' })], bags), 4000)
    expect(plan!.sure.odds).toBeGreaterThan(0.85)
    expect(plan!.sure.odds).toBeLessThan(0.885)
  })

  it('is surer where bags err each for itself: 0.2 each is 0.2 over the root of ten together', () => {
    const bags = { Pouch: { ...work(60), paceSpread: 0, bagSpread: 0.2 } }
    const [plan] = planOrders(known([order([['Pouch', 10]], { by: '2026-12-19' })], bags), 1000)
    expect(plan!.sure.odds).toBeGreaterThan(0.99)
  })

  // Four pouches need 240 of 250 minutes: every one of five evenings has to be there. 0.9 ^ 5 = 59 %.
  it('reckons with evenings that come to nothing', () => {
    const [plan] = planOrders(known([order([['Pouch', 4]], { fallsOut: 10 })], { Pouch: work(60) }), 4000)
    expect(plan!.sure.odds).toBeGreaterThan(0.565)
    expect(plan!.sure.odds).toBeLessThan(0.615)
    expect(plan!.sure.byJob.get('o0 0 4')).toBe(plan!.sure.odds)
    expect(plan!.sure.byJob.get('o0 0 1')!).toBeGreaterThan(0.99)
  })
})

describe('what helps', () => {
  const fixesOf = (one: Order, works: Record<string, BagWork>, today = '2026-11-30') => {
    const all = known([one], works, { today })
    return orderFixes(all, planOrders(all)[0]!)
  }

  it('is asked of no order that is sure', () => {
    expect(fixesOf(order([['Pouch', 4]]), { Pouch: work(60) })).toEqual([])
  })

  // 250 minutes hold four pouches of 60; six need 360, which is 72 an evening: 85 minutes with the pause of the first hour (50 + 25).
  it('finds the least of each: two bags fewer, 25 minutes more, four days later', () => {
    const fixes = fixesOf(order([['Pouch', 6]]), { Pouch: work(60) })
    expect(fixes.map(({ label }) => label)).toEqual([
      '25 minutes more each evening', 'Leave out 2 Pouch', 'Promise it for Thu 10 December',
    ])
    expect(fixes.every(({ odds }) => odds === 1)).toBe(true)
  })

  // Six pouches are ready on 9 December. Put off beyond the twelfth, that order of twenty would go first, for weeks.
  it('puts off no further than need be, though an order due next would then go first', () => {
    const all = known([order([['Pouch', 6]]), order([['Pouch', 20]], { by: '2026-12-12', name: 'Twenty' })], { Pouch: work(60) })
    expect(orderFixes(all, planOrders(all)[0]!).at(-1)!.label).toBe('Promise it for Thu 10 December')
  })

  it('begins earlier what does not begin today', () => {
    // Six evenings and a bit are wanted, Friday among them, and the weekend has none: 360 minutes are 7.2 evenings of 50.
    const fixes = fixesOf(order([['Pouch', 6]]), { Pouch: work(60) }, '2026-11-20')
    expect(fixes[0]!.label).toBe('Begin on Wed 25 November')
  })

  /** The fewest bags that have to be left out so that the rest is ready: every choice of them tried. */
  it('leaves out as few as can be, as trying every choice says', () => {
    fc.assert(fc.property(fc.array(fc.integer({ min: 20, max: 120 }), { minLength: 2, maxLength: 6 }), (minutes) => {
      const works = Object.fromEntries(minutes.map((one, i) => [`B${i}`, work(one)]))
      const fix = fixesOf(order(minutes.map((_, i) => [`B${i}`, 1])), works).find(({ label }) => label.startsWith('Leave out'))
      const choices = Array.from({ length: 2 ** minutes.length }, (_, bits) => minutes.filter((__, i) => bits & (1 << i)))
      const most = Math.max(...choices.filter(some => some.reduce((sum, one) => sum + one, 0) <= 250).map(some => some.length))
      if (most === minutes.length) expect(fix).toBeUndefined()
      else expect((fix!.changes[0]!.value as Order['bags']).length).toBe(most)
    }), { numRuns: 60, seed: 21 })
  })
})

describe('the calendar', () => {
  it('stands in weeks from Monday on, with what is planned, finished and due', () => {
    const makes = [finished('a', 'Pouch', '2026-11-30')]
    const plans = planOrders(known([order([['Pouch', 5]])], { Pouch: work(60) }, { today: '2026-12-01', makes }))
    const weeks = calendarOf(plans, '2026-12-01')
    expect(weeks.map(([first]) => first!.day)).toEqual(['2026-11-30', '2026-12-07'])
    const [monday, tuesday] = weeks[0]!
    expect([monday!.past, monday!.finished, monday!.bags]).toEqual([true, ['Pouch'], []])
    expect([tuesday!.hook, tuesday!.planned, tuesday!.bags.map(({ name }) => name)]).toEqual([50, 50, ['Pouch 2']])
    expect(weeks[0]![5]!.due).toEqual([{ id: 'o0', name: 'Harvest fair' }])
    expect(weeks[1]![0]!.bags.map(({ name, finishes, late }) => [name, finishes, late])).toEqual([['Pouch 5', true, true]])
  })
})

describe('an evening that another order takes', () => {
  it('is said to be taken, by whom and how long', () => {
    const orders = [order([['Pouch', 1]], { name: 'First' }), order([['Pouch', 2]], { name: 'Second' })]
    const plans = planOrders(known(orders, { Pouch: work(60) }))
    const second = calendarOf([plans[1]!], '2026-11-30', [plans[0]!])
    // By hand: of Monday's 50 minutes the first order takes 50, of Tuesday's 10; the second has what is left.
    expect(second[0]!.slice(0, 3).map(({ elsewhere, planned }) => [elsewhere, planned])).toEqual([
      [[{ name: 'First', minutes: 50 }], 0], [[{ name: 'First', minutes: 10 }], 40], [[], 50],
    ])
  })
})

describe('an order that makes no sense', () => {
  const today = '2026-11-30'
  it('is told what to change, each thing by itself, and nothing of one that may be planned', () => {
    expect(senseless(order([['Pouch', 1]]), today)).toEqual([])
    expect(senseless(order([]), today)).toEqual([expect.stringContaining('no bags in this order')])
    const late = order([['Pouch', 1]], { by: today, from: '2026-11-20', taken: '2026-11-20' })
    expect(senseless(late, today)).toEqual([expect.stringContaining('is past, or today')])
    expect(senseless({ ...order([['Pouch', 1]]), from: '2026-12-05' }, today)).toEqual([expect.stringContaining('choose days apart')])
    expect(senseless(order([['Pouch', 1]], { week: WEEK }), today)).toEqual([expect.stringContaining('No evening has any minutes')])
  })

  it('has an evening named by its day, if that is still to come', () => {
    const on = (day: Day) => senseless(order([['Pouch', 1]], { week: WEEK, otherEvenings: [{ day, minutes: 30 }] }), today)
    expect(on('2026-12-02')).toEqual([])
    expect(on('2026-12-05')).toHaveLength(1)
    expect(on('2026-11-29')).toHaveLength(1)
  })
})

describe('an order as it is read', () => {
  const whole = { fairHollow: 'order', version: 1, name: 'Fair', taken: '2026-11-20', from: '2026-11-30', by: '2026-12-05' }
  const wrong = (more: object) => {
    const reading = readOrder({ ...whole, ...more })
    return reading.ok ? [] : reading.problems.map(({ field, message }) => `${field} ${message}`)
  }

  it('fills in what is left out', () => {
    const reading = readOrder(whole)
    expect(reading.ok && reading.document).toMatchObject({ week: { mon: 0 }, startsAt: '19:00', stands: 'open', fallsOut: 10, bags: [] })
  })

  it('says what must change', () => {
    expect(wrong({ by: '2026-02-30' })).toEqual(['by is no day of the calendar from 1900 to 2999'])
    expect(wrong({ by: '2026-11-30' })).toEqual(['by must be after 2026-11-30, the day it begins'])
    expect(wrong({ by: '2036-11-30' })).toEqual(['taken must be within 1100 days of 2036-11-30'])
    expect(wrong({ taken: '2026-12-06' })).toEqual(['by must be after 2026-12-06, the day it was taken on'])
    expect(wrong({ otherEvenings: [{ day: '2026-11-31', minutes: 5 }] })[0]).toMatch(/^otherEvenings\[0\]\.day is no day of the calendar/)
    expect(wrong({ by: '9999-12-31' })).toEqual(['by must be a day from 1900 to 2999, such as 2026-12-05'])
    expect(wrong({ startsAt: '25:00' })[0]).toContain('such as 19:00')
    expect(wrong({ bags: [{ name: 'A', count: 0 }] })[0]).toContain('count')
    expect(wrong({ fairHollow: 'yarn' })[0]).toContain('not an order')
  })
})
