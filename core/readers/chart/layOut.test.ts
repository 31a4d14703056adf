import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyBase, SEED } from '../../../tests/arbitraries/designs'
import { baseForms, beginBase, type BaseSpec } from '../../parts/base/base'
import type { Design } from '../../bag/design/design'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { perimeterCm } from '../../parts/part/floor'
import type { Rounds } from '../../things/round/style'
import { frontX } from './elevation'
import { nearestStitch } from './nearest'
import { planOf } from './plan'
import { asSvg } from './svg'

const bases = anyBase as unknown as fc.Arbitrary<BaseSpec>
const styles = fc.record({
  style: fc.constantFrom('spiral', 'joined', 'turned'),
  startingChainCounts: fc.boolean(),
}) as fc.Arbitrary<Rounds>
const bag = (base: BaseSpec, over: Partial<Design> = {}): Design => ({ ...newDesign('Laid out'), base, ...over })

describe('every base, laid out', () => {
  it('has a head and a foot for every stitch, all of them numbers, none far apart', () => {
    fc.assert(
      fc.property(bases, styles, (base, rounds) => {
        const drafted = draft(bag(base, { rounds }))
        const plan = planOf(drafted)
        const tall = drafted.gauge[base.stitch].height.cm
        const wide = drafted.gauge[base.stitch].width.cm
        for (let i = 0; i < plan.headX.length; i++) {
          const apart = Math.hypot(plan.headX[i]! - plan.footX[i]!, plan.headY[i]! - plan.footY[i]!)
          // The holes of a bought floor lie as far apart as they were punched.
          const punched = base.form === 'bought' ? (Math.PI * base.lengthCm) / base.holes : 0
          // A ruffled or cupped floor is drawn flat, so a stitch may lean; it never reaches across the floor.
          expect(apart, `${base.form} stitch ${i}`).toBeLessThan(2.5 * tall + 8 * wide + punched)
        }
      }),
      { ...SEED, numRuns: 100 },
    )
  })

  it('is mirrored for left hands', () => {
    for (const { form } of baseForms()) {
      const base = beginBase(form, { stitch: 'sc', colour: 'main', lengthCm: 16, widthCm: 9, heightCm: 12 })
      const [right, left] = [planOf(draft(bag(base))), planOf(draft(bag(base, { hands: 'left' })))]
      right.headX.forEach((x, i) => expect(left.headX[i]).toBeCloseTo(-x, 5))
      expect([...left.headY]).toEqual([...right.headY])
    }
  })

  it('runs against the clock for right hands, in every form that goes round', () => {
    for (const form of ['circle', 'oval', 'rectangle', 'double-disc', 'bought'] as const) {
      const plan = planOf(draft(bag(beginBase(form, { stitch: 'sc', colour: 'main', lengthCm: 20, widthCm: 9, heightCm: 12 }))))
      const { from, to } = plan.rounds.at(-1)!
      // The area that the heads go round, by the shoelace formula: with y downwards it is negative against the clock.
      let area = 0
      for (let i = from; i < to; i++) {
        const j = i + 1 < to ? i + 1 : from
        area += plan.headX[i]! * plan.headY[j]! - plan.headX[j]! * plan.headY[i]!
      }
      expect(area, form).toBeLessThan(0)
    }
  })

  it('has an outline as long as the floor\'s edge', () => {
    for (const form of ['circle', 'oval', 'double-disc'] as const) {
      const drafted = draft(
        bag({
          ...beginBase(form, { stitch: 'sc', colour: 'main', lengthCm: 30, widthCm: 16, heightCm: 12 }),
          placing: 'staggered',
        } as BaseSpec),
      )
      const plan = planOf(drafted)
      const { from, to } = plan.rounds.at(-1)!
      let length = 0
      for (let i = from; i < to; i++) {
        const j = i + 1 < to ? i + 1 : from
        length += Math.hypot(plan.headX[i]! - plan.headX[j]!, plan.headY[i]! - plan.headY[j]!)
      }
      expect(length / perimeterCm(drafted.sizes.floor), form).toBeGreaterThan(0.97)
      expect(length / perimeterCm(drafted.sizes.floor), form).toBeLessThan(1.05)
    }
  })

  it('goes out as a picture with its markers', () => {
    fc.assert(
      fc.property(bases, (base) => {
        expect(asSvg(draft(bag(base)))).not.toMatch(/NaN|Infinity|undefined/)
      }),
      { ...SEED, numRuns: 30 },
    )
    const svg = asSvg(draft(bag(beginBase('oval', { stitch: 'sc', colour: 'main', lengthCm: 20, widthCm: 9, heightCm: 12 }))))
    expect(svg.match(/fill="#f2b632"/g)).toHaveLength(4)
  })
})

describe('the stitch pointed at', () => {
  it('is the one whose mark is nearest, against looking at all of them', () => {
    const plan = planOf(draft(bag(beginBase('oval', { stitch: 'sc', colour: 'main', lengthCm: 20, widthCm: 9, heightCm: 12 }))))
    fc.assert(
      fc.property(fc.double({ min: -10, max: 10, noNaN: true }), fc.double({ min: -5, max: 5, noNaN: true }), (x, y) => {
        const found = nearestStitch(plan, x, y, 100)
        const distance = (i: number) => Math.hypot((plan.headX[i]! + plan.footX[i]!) / 2 - x, (plan.headY[i]! + plan.footY[i]!) / 2 - y)
        expect(distance(found)).toBeCloseTo(Math.min(...plan.headX.map((_, i) => distance(i))), 5)
      }),
      { ...SEED, numRuns: 40 },
    )
    expect(nearestStitch(plan, 500, 500, 1)).toBe(-1)
  })
})

describe('the front of a standing bag', () => {
  it('runs from side to side, never back', () => {
    for (const shape of ['disc', 'stadium', 'rectangle', 'none'] as const) {
      const outline = { lengthCm: 24, widthCm: shape === 'disc' ? 24 : 9 }
      const xs = Array.from({ length: 101 }, (_, i) => frontX(outline, shape, i / 100))
      expect(xs[0]).toBeCloseTo(-12, 9)
      expect(xs[100]).toBeCloseTo(12, 9)
      xs.slice(1).forEach((x, i) => expect(x).toBeGreaterThanOrEqual(xs[i]! - 1e-9))
    }
  })
})
