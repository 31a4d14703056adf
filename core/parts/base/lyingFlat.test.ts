import { describe, expect, it } from 'vitest'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { fit } from '../../bag/fit/fit'
import { gaugeOf } from '../../things/gauge/gauge'
import { floorWanted } from './lyingFlat'

const gauge = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const bag = (base: object) => draft({ ...newDesign('Flat'), gauge, turnUp: 'plain', base } as never)
const oval = { form: 'oval', stitch: 'sc', perEnd: 3, start: 'chain', placing: 'stacked', increaseAt: 'last', colour: 'main' }
const box = { form: 'rectangle', stitch: 'sc', rowEnds: 'by-gauge', corners: 'none', colour: 'main' }

describe('a floor wanted by the bag lying flat', () => {
  // By hand: a stadium 12 wide takes (pi / 2 - 1) 12 = 6.85 of its flat width; a rectangle takes all 12.
  it('is as long as its width leaves', () => {
    expect(floorWanted('stadium', { flatWidthCm: 35, widthCm: 12 }).lengthCm).toBeCloseTo(28.15, 2)
    expect(floorWanted('rectangle', { flatWidthCm: 35, widthCm: 12 })).toEqual({ lengthCm: 23, widthCm: 12 })
    expect(floorWanted('rectangle', { flatWidthCm: 10, widthCm: 12 })).toEqual({ lengthCm: 12, widthCm: 12 })
  })

  it('comes out as wide as was asked, to half a stitch on each side', () => {
    for (const base of [oval, box]) {
      const { sizes } = bag({ ...base, size: { want: { flatWidthCm: 35, widthCm: 12 } } })
      expect(Math.abs(sizes.flatWidth.cm - 35), base.form).toBeLessThanOrEqual(0.5)
      expect(Math.abs(sizes.floor.width.cm - 12), base.form).toBeLessThanOrEqual(1)
    }
  })

  it('is what the fit keeps near to', () => {
    const { design } = bag({ ...oval, size: { want: { flatWidthCm: 35, widthCm: 12 } } })
    const { found } = fit({ ...design, mouth: { divides: 8 } }, gaugeOf(gauge), { toleranceCm: 1.5, mostAdjusting: 0 })
    expect(found.length).toBeGreaterThan(0)
    for (const { off } of found) expect(off.map(({ size }) => size)).toEqual(['flat width', 'width'])
  })
})
