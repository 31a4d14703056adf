import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newDesign } from '../design/starter'
import { stacked } from '../design/partIds'
import { draft } from '../draft/draft'
import type { Design } from '../design/design'
import { applyFix } from '../design/edit'
import type { WallSpec } from '../../parts/wall/wall'
import { wholeBag } from '../whole/wholeBags'
import { WHOLE_BAGS } from '../whole/wholeBagList'
import { asTall, asWide, canBeWide, giving, tallCm } from './wholeSize'

// Rounds of half a centimetre: whole heights are told by hand.
const gauge = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const plain = (heightCm: number): WallSpec => ({ kind: 'solid', stitch: 'sc', size: { want: { heightCm } }, colour: 'main' })
const rounds = (count: number): WallSpec => ({ kind: 'solid', stitch: 'sc', size: { pin: { rounds: count } }, colour: 'main' })
const tube = { form: 'tube', stitch: 'sc', size: { want: { flatWidthCm: 20 } }, colour: 'main' } as const
const bag = (...wall: WallSpec[]): Design => ({ ...newDesign('Sized'), gauge, turnUp: 'plain', base: tube, wall: stacked(wall) })
const sized = (design: Design, sizing: ReturnType<typeof asTall>) => {
  if (!sizing.can) throw new Error(sizing.why)
  return draft(applyFix(design, sizing.fix).design)
}

describe('a bag as tall as asked in all', () => {
  it('leaves the rim and gives by the tallest plain band: 30 cm are 0.5 of the tube, 2 of the rim, 27.5 of the wall', () => {
    const design = bag(plain(20), rounds(4))
    expect(giving(draft(design))!.id).toBe('part-1')
    const after = sized(design, asTall(design, 30, 'flat'))
    expect(after.sizes.flatHeight.cm).toBeCloseTo(30, 6)
    expect(after.parts.map(({ rounds: { length } }) => length)).toEqual([1, 0, 55, 4])
  })

  it('gives by the plain wall under a net that is taller, and by the net where the plain band is just a rim', () => {
    const net: WallSpec = {
      kind: 'loops', skip: 1, first: 5, hold: { pin: { chains: 5 } }, size: { want: { heightCm: 24 } }, ends: 'closed',
      finish: { inLoop: 2, inStitch: 0 }, colour: 'main',
    }
    const heights = draft(bag(plain(12), net)).parts.slice(2).map(({ size }) => size.height.cm)
    const share = heights[0]! / heights[1]!
    expect(share > 0.4 && share < 1, `${share}`).toBe(true)
    expect(giving(draft(bag(plain(12), net)))!.id).toBe('part-1')
    expect(giving(draft(bag(plain(4), net)))!.id).toBe('part-2')
  })

  it('counts half the floor in where the bag lies flat, and not where it stands', () => {
    const disc = { ...bag(plain(14)), base: newDesign('x').base }
    const lying = sized(disc, asTall(disc, 24, 'flat'))
    expect(Math.abs(lying.sizes.flatHeight.cm - 24)).toBeLessThanOrEqual(0.26)
    const stood = sized(disc, asTall(disc, 24, 'standing'))
    expect(Math.abs(stood.sizes.height.cm - 24)).toBeLessThanOrEqual(0.26)
    expect(lying.sizes.height.cm).toBeLessThan(stood.sizes.height.cm)
  })

  it('says what is the least where the other parts leave nothing, and what to do where no band gives', () => {
    const tooLow = asTall(bag(plain(10), rounds(20)), 8, 'flat')
    expect(tooLow).toMatchObject({ can: false })
    expect(!tooLow.can && tooLow.why).toContain('at least {11 cm} tall')
    expect(asTall(bag(), 20, 'flat')).toMatchObject({ can: false })
  })

  it('comes out within half a round of what was asked, of any whole bag in any gauge', () => {
    fc.assert(fc.property(
      fc.constantFrom(...WHOLE_BAGS.filter(({ id }) => ['tote', 'pouch', 'sling', 'basket', 'tube'].includes(id))),
      fc.integer({ min: 26, max: 50 }), fc.integer({ min: 14, max: 26 }), fc.constantFrom('flat', 'standing'),
      (whole, wantedCm, stitches, as) => {
        const own = { ...gauge, measured: { sc: { stitches, rounds: stitches, overCm: 10 } } }
        const design = wholeBag(whole, { name: 'Any', gauge: own, yarn: { name: 'cotton', colour: '#dddddd' }, sizes: {} })
        const sizing = asTall(design, wantedCm, as)
        if (!sizing.can) return
        const after = sized(design, sizing)
        expect(Math.abs(tallCm(after, as) - wantedCm)).toBeLessThanOrEqual(5 / stitches + 0.02)
        expect(tallCm(after, as)).toBeCloseTo(sizing.cm, 1)
      },
    ), { numRuns: 40, seed: 18 })
  })
})

describe('a bag as wide as asked, lying flat', () => {
  it('is sized by its base, whatever its form is', () => {
    for (const whole of WHOLE_BAGS) {
      const design = wholeBag(whole, { name: 'Wide', gauge, yarn: { name: 'cotton', colour: '#dddddd' }, sizes: {} })
      if (!canBeWide(design)) continue
      const after = sized(design, asWide(design, 34))
      expect(Math.abs(after.parts[0]!.size.circumference.cm / 2 - 34), whole.id).toBeLessThanOrEqual(whole.id === 'sling' ? 1.5 : 1.6)
    }
  })
})
