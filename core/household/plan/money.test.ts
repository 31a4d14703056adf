import { describe, expect, it } from 'vitest'
import appleTote from '../../../demo/apple-tote.json'
import pouch from '../../../demo/seed-head-pouch.json'
import { readDesign } from '../../bag/design/read'
import { draft } from '../../bag/draft/draft'
import { skillFromBags } from '../../making/log/skillFromBags'
import { timeOfBag } from '../../making/log/time'
import { wants } from '../shelf/enough'
import { yarnUseOf } from '../shelf/yarnUse'
import { newYarn } from '../shelf/starter'
import type { ShelfYarn } from '../shelf/yarn'
import { yarnNeeds } from '../../bag/yarn/yarn'
import { type BagWork, bagWork } from './bagWork'
import { yarnToBuy } from './buy'
import { buyWords, money, shoppingTable, shoppingText } from './list'
import type { Order } from './order'
import { type OrderPlan, planOrders } from './orderPlan'
import { priceOfOrder } from './price'
import { readOrder } from './readOrder'
import { translate } from '../../things/stitch/translate'

const IN_CM = { terms: 'us', units: 'cm' } as const

const moss: ShelfYarn = {
  ...newYarn('moss'), name: 'moss green cotton', ballGrams: 50, ballPrice: 350, metresPer100g: 200,
  balls: [{ grams: 50, lot: '12' }, { grams: 50, lot: '12' }, { grams: 20, lot: '9' }, { grams: 10 }],
}
const onShelf = (id: string) => (id === 'moss' ? moss : undefined)

/** An hour and a half, and 40 g of moss green cotton, both known for sure. */
const pouchWork: BagWork = {
  minutes: 90, paceSpread: 0, bagSpread: 0, known: 3, yarns: [{ shelf: 'moss', name: 'moss', colour: '#5b7a4a', grams: 40, spread: 1e-9 }],
}

function order(more: object = {}, bags: readonly object[] = [{ name: 'Pouch', count: 6, notions: 60, price: 2600 }]): Order {
  const reading = readOrder({
    fairHollow: 'order', version: 1, name: 'Fair', taken: '2026-11-01', from: '2026-11-30', by: '2026-12-20', bags,
    week: { mon: 60, wed: 60 }, money: { currency: 'crowns', hourRate: 1200, stallFee: 1500, sharePercent: 10 }, ...more,
  })
  if (!reading.ok) throw new Error(JSON.stringify(reading.problems))
  return reading.document
}

function plansOf(one: Order, work: BagWork | undefined): OrderPlan[] {
  return planOrders({ orders: [{ id: 'o', order: one }], makes: [], workOf: () => work, today: '2026-11-30' }, 5)
}

describe('a price, by hand', () => {
  /*
   * Yarn 40 g at 3.50 for 50 g: 2.80. Notions 0.60. An hour and a half at 12.00: 18.00. A sixth of 15.00: 2.50. Together 23.90; a tenth of
   * the price goes to the seller, so 23.90 / 0.9 = 26.555..., 26.56. At 26.00: 23.40 is left, 5.90 of it yarn, notions and fee: 17.50 for
   * an hour and a half are 11.67 an hour.
   */
  it('is yarn, notions, hours and fee, and what the seller keeps', () => {
    const { lines: [line], ...all } = priceOfOrder(order(), () => pouchWork, onShelf)
    const pays = { pays: 2656, paysLow: 2656, paysHigh: 2656, anHour: 1167 }
    expect(line).toEqual({ yarn: 280, unpriced: [], notions: 60, hours: 1800, fee: 250, costs: 2390, ...pays })
    expect(all).toEqual({ bags: 6, yarn: 1680, notions: 360, hours: 10_800, fee: 1500, pays: 15_936, brings: 14_040, anHour: 1167 })
  })

  it('has a range as the time has: a tenth either way, nine times of ten', () => {
    const spread = Math.log(1.1) / 1.6449
    const { lines: [line] } = priceOfOrder(order(), () => ({ ...pouchWork, paceSpread: spread }), onShelf)
    // 81.8 minutes are 16.36, 99 are 19.80: 22.26 and 25.70, over 0.9.
    expect([line!.paysLow, line!.paysHigh]).toEqual([2474, 2856])
  })

  it('says of which yarn it knows no price, and of which bags nothing', () => {
    const unpriced = { ...pouchWork, yarns: [{ name: 'straw twine', colour: '#d9c8a5', grams: 40, spread: 0.1 }] }
    expect(priceOfOrder(order(), () => unpriced, onShelf).lines[0]).toMatchObject({ yarn: 0, unpriced: ['straw twine'] })
    const none = priceOfOrder(order(), () => undefined, onShelf)
    expect([none.lines, none.pays, none.brings]).toEqual([[undefined], 0, undefined])
  })

  it('adds up to the hundredth, whatever the sums: what all bring less what all cost is what is left for the hours', () => {
    for (let i = 1; i < 200; i++) {
      const one = order({ money: { currency: '', hourRate: 7 * i, stallFee: 13 * i, sharePercent: i % 90 } }, [
        { name: 'A', count: 1 + (i % 7), notions: i, price: 31 * i }, { name: 'B', count: 3, price: 17 * i },
      ])
      const all = priceOfOrder(one, () => pouchWork, onShelf)
      for (const [at, line] of all.lines.entries()) {
        expect(line!.costs).toBe(line!.yarn + line!.notions + line!.hours + line!.fee)
        // What is left of the price that pays covers the costs, and one hundredth less would not.
        expect(Math.floor((line!.pays * (100 - one.money.sharePercent)) / 100)).toBeGreaterThanOrEqual(line!.costs)
        expect(((line!.pays - 1) * (100 - one.money.sharePercent)) / 100).toBeLessThan(line!.costs)
        expect([line!.pays, line!.costs, line!.hours].every(Number.isInteger), `line ${at}`).toBe(true)
      }
      expect(all.pays).toBe(one.bags.reduce((sum, { count }, at) => sum + count * all.lines[at]!.pays, 0))
    }
  })
})

describe('what to buy, by hand', () => {
  // Six pouches are 240 g; 130 g lie there: 110 g are three balls of 50. Lot 12 has 100 g: two pouches; 20 and 10 g none.
  it('is what the shelf lacks, in whole balls, by lot', () => {
    const [one] = yarnToBuy(plansOf(order(), pouchWork), onShelf)
    expect(one).toMatchObject({ name: 'moss', bags: 6, haveGrams: 130, lasts: 0, buy: { balls: 3, odds: 1 }, cost: 1050 })
    expect(one!.wants.grams).toBeCloseTo(240, 6)
    expect(one!.lots).toEqual([{ lot: '12', grams: 100, bags: 2 }, { lot: '9', grams: 20, bags: 0 }, { lot: '', grams: 10, bags: 0 }])
  })

  // 0.9 is 1.2816 deviations (standard tables): 240 g with a deviation of 0.2 want 310 g; 130 are there, 180 are four balls.
  it('buys for nine of ten', () => {
    const unsure = { ...pouchWork, yarns: [{ ...pouchWork.yarns[0]!, spread: 0.2 }] }
    const [one] = yarnToBuy(plansOf(order(), unsure), onShelf)
    expect(one!.buy!.balls).toBe(4)
    expect(one!.buy!.odds).toBeGreaterThan(0.9)
    expect(translate(buyWords(one!), IN_CM)).toBe('4 balls of 50 g (wanted 172 to 334 g; with the 130 g at home 94 % that it lasts)')
  })

  it('buys nothing of what lasts, and counts of a bag on the hook what is not made', () => {
    const makes = [{ id: 'm', name: 'Pouch', share: 0.75 }]
    const plans = planOrders({
      orders: [{ id: 'o', order: order({}, [{ name: 'Pouch', count: 3 }]) }], makes, workOf: () => pouchWork, today: '2026-11-30',
    }, 5)
    const [one] = yarnToBuy(plans, onShelf)
    expect([one!.wants.grams, one!.buy]).toEqual([90, undefined])
    expect(translate(buyWords(one!), IN_CM)).toBe('89 to 91 g; the 130 g at home last (99 %)')
  })

  it('is written as a list and as a table', () => {
    const plans = plansOf(order(), pouchWork)
    const buying = yarnToBuy(plans, onShelf)
    expect(shoppingText(plans, buying, 'crowns', IN_CM)).toBe([
      'To buy', 'for Fair, by Sun 20 December 2026', '',
      '[ ] moss: 3 balls of 50 g (wanted 239 to 241 g; with the 130 g at home 99 % that it lasts), 10.50 crowns',
      '    all of one dye lot', '    at home lot 12: 100 g, enough for 2 bags', '    at home lot 9: 20 g, not enough for a whole bag', '',
      'Together 10.50 crowns', '',
    ].join('\n'))
    expect(shoppingTable(buying).split('\r\n')[1]).toBe('moss,6,240,239,241,130,12: 100; 9: 20,3,50,1,10.50')
    expect(money(123_456, '')).toBe('1,234.56')
  })
})

describe('what a bag takes', () => {
  it('is its own time and yarn, as the bench tells them', () => {
    const reading = readDesign({ ...pouch, yarns: [{ ...pouch.yarns[0], shelf: 'moss' }, ...pouch.yarns.slice(1)] })
    if (!reading.ok) throw new Error('demo')
    const bag = draft(reading.document)
    const hands = skillFromBags([])
    const told = bagWork(bag, hands, [moss])
    expect(told.minutes).toBe(timeOfBag(bag, hands).minutes)
    // Pace and bags together are the whole range.
    expect(Math.exp(1.6449 * Math.hypot(told.paceSpread, told.bagSpread))).toBeCloseTo(timeOfBag(bag, hands).high / told.minutes, 9)
    const [main] = yarnNeeds(bag)
    expect(told.yarns[0]).toMatchObject({ shelf: 'moss', name: 'moss green cotton', grams: wants(main!.metres, yarnUseOf(moss)).grams })
  })

  it('reckons with a yarn that is on no shelf by its gauge, less surely', () => {
    const reading = readDesign(appleTote)
    if (!reading.ok) throw new Error('demo')
    const told = bagWork(draft(reading.document), skillFromBags([]), [moss])
    expect(told.yarns.every(({ shelf, spread, grams }) => shelf === undefined && spread > 0.3 && grams > 0)).toBe(true)
    expect(translate(buyWords(yarnToBuy(plansOf(order(), told), onShelf)[0]!), IN_CM)).toContain('on no shelf')
  })
})
