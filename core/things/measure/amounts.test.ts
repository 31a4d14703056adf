import { describe, expect, it } from 'vitest'
import { askedIn, formatGrams, formatGramsRange, formatKg, formatMetres, formatRunning } from './amounts'

// NIST Special Publication 811, appendix B.8 (from memory): 1 yd = 0.9144 m, 1 oz = 28.349 52 g, 1 lb = 0.453 592 37 kg.
describe('amounts of yarn and loads', () => {
  it('are metric, or in yards, ounces and pounds', () => {
    expect([formatMetres(100, 'cm'), formatMetres(100, 'in')]).toEqual(['100 m', '109 yd'])
    expect([formatGrams(50, 'cm'), formatGrams(50, 'in'), formatGrams(500, 'in')]).toEqual(['50 g', '1.8 oz', '18 oz'])
    expect([formatKg(2, 'cm'), formatKg(2, 'in')]).toEqual(['2.0 kg', '4.4 lb'])
  })

  it('are a range where the figures differ', () => {
    expect(formatGramsRange(35, 50, 'cm')).toBe('35 to 50 g')
    expect(formatGramsRange(35, 50, 'in')).toBe('1.2 to 1.8 oz')
    expect(formatGramsRange(50, 50.2, 'cm')).toBe('50 g')
  })

  it('are asked in the unit that goes with the maker\'s tape, others as they are', () => {
    expect([askedIn('g', 'in').unit, askedIn('kg', 'in').unit, askedIn('m', 'in').unit]).toEqual(['oz', 'lb', 'yd'])
    expect(askedIn('kg', 'in').each).toBe(0.453_592_37)
    expect([askedIn('g', 'cm'), askedIn('mm', 'in'), askedIn(undefined, 'in')]).toEqual([
      { unit: 'g', each: 1 }, { unit: 'mm', each: 1 }, { unit: undefined, each: 1 },
    ])
  })

  // 220 m in 100 g are 62.37 m in an ounce of 28.35 g, and those 68.2 yards.
  it('say how far a yarn runs', () => {
    expect([formatRunning(220, 'cm'), formatRunning(220, 'in')]).toEqual(['220 m in 100 g', '68 yd in 1 oz'])
  })
})
