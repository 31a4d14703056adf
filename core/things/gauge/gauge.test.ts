import { describe, expect, it } from 'vitest'
import { gaugeOf, type Swatch } from './gauge'

const swatch: Swatch = { hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 21, overCm: 10 } } }

describe('a gauge', () => {
  it('is what was counted, good to half a stitch', () => {
    const { sc } = gaugeOf(swatch)
    expect(sc.known).toBe('measured')
    expect(sc.width.cm).toBe(0.5)
    // Handbook 4: 20 stitches are good to 2.5 %.
    expect(sc.width.plusMinusCm).toBeCloseTo(0.0125, 12)
    expect(sc.height.cm).toBeCloseTo(10 / 21, 12)
    expect(sc.height.plusMinusCm).toBeCloseTo(10 / 21 / 42, 12)
  })

  it('estimates other kinds from it, with more doubt', () => {
    const gauge = gaugeOf(swatch)
    // Handbook 4: hdc 1.4, dc 2, tr 2.8 times as tall, as wide as sc (from memory).
    for (const [kind, ratio] of [['hdc', 1.4], ['dc', 2], ['tr', 2.8]] as const) {
      expect(gauge[kind].known).toBe('estimated')
      expect(gauge[kind].from).toBe('sc')
      expect(gauge[kind].width.cm).toBe(0.5)
      expect(gauge[kind].height.cm).toBeCloseTo(ratio * 10 / 21, 12)
      expect(gauge[kind].height.plusMinusCm / gauge[kind].height.cm).toBeCloseTo(Math.hypot(1 / 42, 0.1), 12)
    }
    expect(gauge.ch.width.cm).toBe(0.5)
    expect(gauge.ch.height.cm).toBe(0)
  })

  it('estimates from the measured kind that is nearest in height', () => {
    const gauge = gaugeOf({ ...swatch, measured: { sc: swatch.measured.sc!, dc: { stitches: 16, rounds: 8, overCm: 10, tallCm: 9 } } })
    expect(gauge.tr.from).toBe('dc')
    expect(gauge.tr.height.cm).toBeCloseTo((9 / 8) * 1.4, 12)
    expect(gauge.dc.height.cm).toBe(9 / 8)
    expect(gauge.hdc.from).toBe('sc')
  })

  it('doubts what nobody measured', () => {
    const { sc } = gaugeOf({ ...swatch, assumed: true })
    expect(sc.known).toBe('assumed')
    expect(sc.width.plusMinusCm).toBeGreaterThan(0.5 * 0.15)
  })
})
