import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SEED } from '../../../tests/arbitraries/designs'
import { gaugeOf } from './gauge'
import { type Evidence, perStitch, refine, weighted } from './refine'

const gauge = gaugeOf({ hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 21, overCm: 10 } } })

describe('refining a gauge', () => {
  // By hand: 10 ± 1 and 13 ± 2 weigh 1 and 1/4: (10 + 13/4) / (5/4) = 10.6, ± 1 / sqrt(5/4) = 0.894.
  it('weighs two measurements by how sure they are', () => {
    const both = weighted({ cm: 10, plusMinusCm: 1 }, { cm: 13, plusMinusCm: 2 })
    expect(both.cm).toBeCloseTo(10.6, 12)
    expect(both.plusMinusCm).toBeCloseTo(0.894427, 6)
  })

  it('lies between the two and is surer than either', () => {
    const length = fc.record({
      cm: fc.double({ min: 0.1, max: 5, noNaN: true }),
      plusMinusCm: fc.double({ min: 0.001, max: 1, noNaN: true }),
    })
    fc.assert(
      fc.property(length, length, (a, b) => {
        const both = weighted(a, b)
        expect(both.cm).toBeGreaterThanOrEqual(Math.min(a.cm, b.cm) - 1e-9)
        expect(both.cm).toBeLessThanOrEqual(Math.max(a.cm, b.cm) + 1e-9)
        expect(both.plusMinusCm).toBeLessThanOrEqual(Math.min(a.plusMinusCm, b.plusMinusCm) + 1e-12)
      }),
      SEED,
    )
  })

  it('moves estimates along and leaves what it has no evidence of', () => {
    const refined = refine(gauge, { kind: 'sc', height: perStitch(13, 26) })
    expect(refined.sc.height.cm).toBeGreaterThan(gauge.sc.height.cm)
    expect(refined.sc.width).toEqual(gauge.sc.width)
    expect(refined.dc.height.cm / refined.sc.height.cm).toBeCloseTo(2, 9)
    const both = gaugeOf({
      hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 21, overCm: 10 }, dc: { stitches: 19, rounds: 10, overCm: 10 } },
    })
    expect(refine(both, { kind: 'sc', height: perStitch(13, 26) }).dc).toEqual(both.dc)
  })

  it('lets a swatch weigh as little of one side as of the other, whichever is measured first, and a bag as much as it is sure', () => {
    const [width, height] = [perStitch(13, 26), perStitch(12, 26)]
    const at = (...evidence: readonly Omit<Evidence, 'kind'>[]) =>
      evidence.reduce((known, one) => refine(known, { kind: 'sc', ...one }), gauge).sc
    const once = at({ width, height })
    for (const both of [at({ width }, { height }), at({ height }, { width })])
      expect(both).toEqual({ ...once })
    // By hand: the swatch's ± 8 % and its own half round, against 13 cm ± 0.3 of 26 stitches.
    const swatch = Math.hypot(gauge.sc.width.plusMinusCm, 0.08 * gauge.sc.width.cm)
    expect(once.width).toEqual(weighted({ cm: gauge.sc.width.cm, plusMinusCm: swatch }, width))
    // What a bag told weighs in full when it is told again.
    expect(at({ width, height }, { width }).width).toEqual(weighted(once.width, width))
    expect(at({ width }, { width }).width).toEqual(weighted(once.width, width))
  })
})
