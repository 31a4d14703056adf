import { describe, expect, it } from 'vitest'
import { gaugeOf } from './gauge'
import { refine } from './refine'
import { unevenly } from './uneven'

describe('how even stitches are', () => {
  // By hand: 80 stitches of 0.5 cm are off by √80 of one's 6 %, 0.268 cm; as many as were counted twenty of, by 80/√20 of it, 0.537 cm.
  it('adds to a length what its own stitches and those of the swatch are off, twice over', () => {
    const { cm, plusMinusCm } = unevenly({ cm: 40, plusMinusCm: 1 }, 0.5, 20)
    expect(cm).toBe(40)
    expect(plusMinusCm).toBeCloseTo(Math.hypot(1, 2 * Math.hypot(0.2683, 0.5367)), 3)
  })

  it('says nothing of a length of nothing', () => {
    expect(unevenly({ cm: 0, plusMinusCm: 0 }, 0.5, 20)).toEqual({ cm: 0, plusMinusCm: 0 })
  })

  it('evens out: four times as long, counted over four times as many, is twice as sure', () => {
    const share = (cm: number, counted: number) => unevenly({ cm, plusMinusCm: 0 }, 0.5, counted).plusMinusCm / cm
    expect(share(10, 20) / share(40, 80)).toBeCloseTo(2, 12)
  })

  it('is no longer added where finished work said how large a stitch is', () => {
    const gauge = gaugeOf({ hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 22, overCm: 10 } } })
    expect(gauge.sc.counted).toMatchObject({ stitches: 20, rounds: 22 })
    expect(gauge.dc.counted).toMatchObject({ stitches: 20, rounds: 22 })
    const refined = refine(gauge, { kind: 'sc', width: { cm: 0.5, plusMinusCm: 0.01 } })
    expect(refined.sc.counted).toBeUndefined()
    expect(refined.dc.counted).toBeUndefined()
  })
})
