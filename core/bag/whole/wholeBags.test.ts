import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readDesign } from '../design/read'
import { draft } from '../draft/draft'
import { isStopped } from '../draft/fold/draftPart'
import { FIRM_SHARE, usualGauge, usualHookMm } from '../../things/gauge/usual'
import { YARN_WEIGHTS } from '../../things/stitch/yarnWeights'
import { tallCm } from '../fit/wholeSize'
import { sizesOf, wholeBag } from './wholeBags'
import { WHOLE_BAGS } from './wholeBagList'

const yarn = { name: 'undyed cotton', colour: '#dccba6' }
const counted = { hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 21, overCm: 10 } } }

describe.each(WHOLE_BAGS)('a whole bag: $name', (bag) => {
  const carriers = bag.carried.length > 0 ? bag.carried.map(({ id }) => id) : [undefined]

  it.each(carriers)('is finished, kept and worked in its usual size, carried by %s', (carried) => {
    const design = wholeBag(bag, { name: 'Mine', gauge: counted, yarn, sizes: {}, ...(carried ? { carried } : {}) })
    expect(readDesign(JSON.parse(JSON.stringify(design))).ok).toBe(true)
    const { parts, findings } = draft(design)
    expect(parts.filter(isStopped)).toEqual([])
    expect(findings.filter(({ weight }) => weight === 'stop')).toEqual([])
  })

  it('comes out in any usual gauge and any size that is asked, within two centimetres of it', () => {
    const sizes = fc.record(Object.fromEntries(bag.asks.map(({ name, usualCm }) =>
      [name, fc.integer({ min: Math.ceil(0.8 * usualCm), max: Math.floor(1.5 * usualCm) })])))
    fc.assert(fc.property(sizes, fc.constantFrom(...carriers), fc.integer({ min: 12, max: 30 }), (asked, carried, stitches) => {
      const gauge = { ...counted, measured: { sc: { stitches, rounds: Math.round(stitches * 1.06), overCm: 10 } } }
      const design = wholeBag(bag, { name: 'Mine', gauge, yarn, sizes: asked, ...(carried ? { carried } : {}) })
      const drafted = draft(design)
      const { parts, sizes: { floor, flatWidth } } = drafted
      const what = JSON.stringify({ asked, carried, stitches })
      expect(parts.some(isStopped), what).toBe(false)
      const { wide, tall } = sizesOf(bag, asked)
      const flat = bag.asks[0]!.label === 'Wide, lying flat'
      if (flat || floor.shape !== 'none') expect(Math.abs((flat ? flatWidth.cm : floor.length.cm) - wide), what).toBeLessThanOrEqual(2.6)
      if (bag.tallAs) expect(Math.abs(tallCm(drafted, bag.tallAs) - tall), what).toBeLessThanOrEqual(10 / stitches)
    }), { numRuns: 25, seed: 18 })
  })
})

describe('a tote 35 wide and 30 tall', () => {
  it('lies 35 by 30, with its handles', () => {
    const tote = WHOLE_BAGS.find(({ id }) => id === 'tote')!
    const design = wholeBag(tote, { name: 'Mine', gauge: counted, yarn, sizes: { wide: 35, tall: 30 } })
    const { sizes: { flatWidth, flatHeight } } = draft(design)
    expect(Math.abs(flatWidth.cm - 35)).toBeLessThanOrEqual(1)
    expect(Math.abs(flatHeight.cm - 30)).toBeLessThanOrEqual(0.3)
  })
})

describe('the usual gauge of a class of yarn', () => {
  /*
   * Craft Yarn Council, Standard Yarn Weight System (from memory): class 4, single crochet 11 to 14 stitches in 4 inches, hooks 5.5 to
   * 6.5 mm. 12.5 in 10.16 cm are 12.3 over 10; on a 4.5 mm hook, three quarters of 6, a third more: 16.4.
   */
  it('is the middle of the standard\'s on the middle of its hooks, and smaller on a finer one', () => {
    expect(usualGauge(4, 6).measured.sc).toEqual({ stitches: 12.5, rounds: 13.5, overCm: 10 })
    expect(usualGauge(4, 4.5).measured.sc!.stitches).toBe(16.5)
    expect(usualGauge(4, 6).assumed).toBe(true)
  })

  it('lies within the standard\'s gauge for every class on its own hooks', () => {
    for (const weight of YARN_WEIGHTS) {
      const { stitches } = usualGauge(weight.number, usualHookMm(weight)).measured.sc!
      const inFour = stitches * 1.016
      expect(inFour).toBeGreaterThanOrEqual(weight.stitchesIn4Inches[0] - 0.5)
      expect(inFour).toBeLessThanOrEqual(weight.stitchesIn4Inches[1] + 0.5)
      expect(usualGauge(weight.number, FIRM_SHARE * usualHookMm(weight)).measured.sc!.stitches).toBeGreaterThan(stitches)
    }
  })
})

describe('the sizes of a whole bag', () => {
  it('are the usual ones where none is said, and never beyond what it may be', () => {
    for (const bag of WHOLE_BAGS) for (const { name, usualCm, bounds: { least, most } } of bag.asks) {
      const of = (cm: number) => sizesOf(bag, { [name]: cm })[name]
      expect([of(most + 50), of(least - 5), of(most), of(least)], `${bag.id}: ${name}`).toEqual([most, least, most, least])
      expect(sizesOf(bag, {})[name]).toBe(usualCm)
    }
  })
})
