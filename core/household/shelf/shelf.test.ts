import { describe, expect, it } from 'vitest'
import type { Estimate } from '../../making/log/estimate'
import { Dice } from '../../../tests/simulated/maker'
import { yarnUseOf } from './yarnUse'
import { ballsFor, normalShare, oddsThatItLasts, oddsWords, wants } from './enough'
import { readShelfYarn } from './read'
import { gramsOf, metresIn, stockOf } from './stock'
import type { ShelfYarn } from './yarn'

/** 250 m in 100 g, balls of 50 g: 125 m each. */
const yarn: ShelfYarn = {
  fairHollow: 'yarn', version: 1, id: 'rain', name: 'rain blue cotton, DK', note: '', fibre: 'cotton', weightClass: 3, colour: '#7f95a5',
  metresPer100g: 250, ballGrams: 50, ballPrice: 450, place: 'left drawer',
  balls: [{ grams: 50, lot: '12' }, { grams: 49, lot: '12' }, { grams: 18.5, lot: '31' }, { grams: 0 }],
}

describe('what lies on the shelf, by hand', () => {
  it('is two whole balls and a part of one, 117.5 g, 293.75 m, of two lots', () => {
    expect(stockOf(yarn)).toEqual({ grams: 117.5, metres: 293.75, whole: 2, part: 1, lots: ['12', '31'] })
    expect(metresIn(50, yarn)).toBe(125)
    expect(gramsOf(125, yarn)).toBe(50)
  })
})

describe('how a yarn is eaten', () => {
  it('is as the craft and the band say, good to a quarter, before anybody unravelled a row', () => {
    const eats = yarnUseOf(yarn)
    expect(eats.from).toBe('craft')
    expect(eats.gramsPerMetre).toBeCloseTo(0.4, 12)
    expect(eats.spread).toBeCloseTo(Math.hypot(0.25, 0.05), 12)
  })

  // By hand: ten sc 5 cm long eat 7.5 times that by the craft, 37.5 cm (handbook 12, from memory); 41.25 cm came out, a tenth more.
  it('is a tenth more if ten stitches gave a tenth more', () => {
    const eats = yarnUseOf({ ...yarn, unravelled: { stitch: 'sc', stitches: 10, rowCm: 5, yarnCm: 41.25 } })
    expect(eats.from).toBe('unravelled')
    expect(eats.gramsPerMetre).toBeCloseTo(0.44, 12)
    expect(eats.spread).toBeLessThan(0.07)
  })

  // By hand: 20 rows 10 cm wide of sc are 20 x 10 x 7.5 = 1500 cm, 15 m; 6.6 g are 0.44 g for each.
  it('is what a swatch weighed', () => {
    const eats = yarnUseOf({ ...yarn, weighed: { stitch: 'sc', stitches: 20, rounds: 20, wideCm: 10, grams: 6.6 } })
    expect(eats.from).toBe('swatch')
    expect(eats.gramsPerMetre).toBeCloseTo(0.44, 12)
  })

  it('is what finished bags taught, where that is surer', () => {
    const taught: Estimate = { value: 0.42, low: 0.41, high: 0.43, nextLow: 0.4, nextHigh: 0.441, bags: 4 }
    const eats = yarnUseOf({ ...yarn, unravelled: { stitch: 'sc', stitches: 10, rowCm: 5, yarnCm: 41.25 } }, taught)
    expect(eats).toMatchObject({ from: 'log', gramsPerMetre: 0.42, bags: 4 })
    expect(yarnUseOf(yarn, { ...taught, bags: 0 }).from).toBe('craft')
  })
})

describe('whether it is enough', () => {
  // Of the normal distribution: Φ(0) 0.5, Φ(1) 0.8413, Φ(1.2816) 0.9, Φ(1.96) 0.975, Φ(-1.6449) 0.05 (standard tables).
  it.each([[0, 0.5], [1, 0.8413447], [1.2815516, 0.9], [1.959964, 0.975], [-1.6448536, 0.05], [-3, 0.0013499]])(
    'has the normal share below %f as tables have it', (deviations, share) => expect(normalShare(deviations)).toBeCloseTo(share, 6))

  it('wants 100 m by the plan as 40 g, between 26 and 61 of nine bags of ten', () => {
    const found = wants(100, { gramsPerMetre: 0.4, spread: 0.2550 })
    expect(found.grams).toBeCloseTo(40, 9)
    expect(found.low).toBeCloseTo(40 / Math.exp(1.6449 * 0.255), 6)
    expect(found.high).toBeCloseTo(60.85, 1)
  })

  it('tells the odds of balls: what is expected lasts in half of all bags, a ball and a half more surely', () => {
    const bag = wants(100, { gramsPerMetre: 0.4, spread: 0.2 })
    expect(oddsThatItLasts(40, bag)).toBeCloseTo(0.5, 6)
    // ln 1.25 / 0.2 = 1.1157 deviations: 86.77 %.
    expect(oddsThatItLasts(50, bag)).toBeCloseTo(0.8677, 3)
    expect(oddsThatItLasts(0, bag)).toBe(0)
    const { enough, fewer } = ballsFor(bag, 50)
    expect(enough.balls).toBe(2)
    expect(fewer).toMatchObject({ balls: 1 })
    expect(oddsWords(fewer!)).toBe('1 ball: 87 % that it lasts')
    expect(oddsWords(enough)).toBe('2 balls: 99 % that they last')
  })

  it('is right as often as it says, in 4,000 simulated bags', () => {
    const dice = new Dice(20261127)
    const bag = wants(100, { gramsPerMetre: 0.4, spread: 0.12 })
    const eaten = Array.from({ length: 4000 }, () => 40 * Math.exp(dice.normal(0.12)))
    for (const have of [34, 40, 44, 50]) {
      const lasted = eaten.filter(grams => grams <= have).length / eaten.length
      expect(Math.abs(lasted - oddsThatItLasts(have, bag))).toBeLessThan(0.025)
    }
    expect(eaten.filter(grams => grams >= bag.low && grams <= bag.high).length / eaten.length).toBeGreaterThan(0.88)
  })
})

describe('a yarn as a document', () => {
  it('comes back as it was', () => expect(readShelfYarn(yarn)).toEqual({ ok: true, document: yarn }))

  it.each([
    ['another document', { ...yarn, fairHollow: 'swatch' }, 'fairHollow'], ['no name', { ...yarn, name: '' }, 'name'],
    ['a class that there is not', { ...yarn, weightClass: 8 }, 'weightClass'], ['a ball of less than nothing',
      { ...yarn, balls: [{ grams: -1 }] }, 'balls.0.grams'],
    ['a price in parts of a hundredth', { ...yarn, ballPrice: 4.5 }, 'ballPrice'],
    ['a row without its yarn', { ...yarn, unravelled: { stitch: 'sc', stitches: 10, rowCm: 5, yarnCm: 4 } }, 'unravelled.yarnCm'],
    ['a swatch half a metre a stitch', { ...yarn, weighed: { stitch: 'sc', stitches: 2, rounds: 4, wideCm: 100, grams: 5 } },
      'weighed.wideCm'],
  ])('is refused with %s, saying where', (_, document, field) => {
    const reading = readShelfYarn(document)
    expect(reading.ok ? [] : reading.problems.map(problem => problem.field)).toContain(field)
  })
})
