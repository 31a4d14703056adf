import { describe, expect, it } from 'vitest'
import { figure, formatLength, inEighths } from './format'
import { combinedShare, exactly, plus, relativeUncertainty, times, withUncertainty } from './length'
import { parseLengthCm, parseNumber } from './parse'

describe('lengths', () => {
  it('carry their uncertainty through multiples and sums', () => {
    const stitch = withUncertainty(0.5, 0.025)
    expect(times(stitch, 52)).toEqual({ cm: 26, plusMinusCm: 0.65 })
    expect(plus({ cm: 10, plusMinusCm: 0.2 }, { cm: 5, plusMinusCm: 0.3 })).toEqual({ cm: 15, plusMinusCm: 0.5 })
    expect(relativeUncertainty(times(stitch, 7))).toBeCloseTo(0.025, 12)
    expect(relativeUncertainty(exactly(0))).toBe(0)
  })

  it('combine independent doubts by the root of their squares', () => {
    expect(combinedShare(0.03, 0.04)).toBeCloseTo(0.05, 12)
  })
})

describe('formatting', () => {
  it.each([
    [26, 'cm', '26'], [12.38, 'cm', '12.4'], [-0.01, 'cm', '0'], [2.54, 'in', '1'], [12.38, 'in', '4 7/8'], [0.3175, 'in', '1/8'],
    [0.05, 'in', '0'], [-6.35, 'in', '-2 1/2'],
  ] as const)('%s cm in %s reads %s', (cm, units, said) => expect(figure(cm, units)).toBe(said))

  it('never promises more than a tape can', () => {
    expect(formatLength({ cm: 26, plusMinusCm: 0.6 }, 'cm')).toBe('26 ± 0.6 cm')
    expect(formatLength({ cm: 26, plusMinusCm: 0.01 }, 'cm')).toBe('26 ± 0.1 cm')
    expect(formatLength({ cm: 26, plusMinusCm: 0.01 }, 'in')).toBe('10 1/4 ± 1/8 in')
    expect(formatLength(exactly(26), 'cm')).toBe('26 cm')
  })

  it('rounds up to the next whole inch', () => expect(inEighths(2.53)).toBe('1'))
})

describe('what makers type', () => {
  it.each([
    ['12', 12], ['12,5', 12.5], ['.5', 0.5], ['4 3/4', 4.75], ['4¾', 4.75], ['¾', 0.75], ['-2 1/2', -2.5], ['3/8', 0.375],
    ['11,886', 11_886], ['1,000,000', 1_000_000], ['0,125', 0.125], ['12,25', 12.25], ['1234,5', 1234.5], ['0,1234', 0.1234],
  ])('%s is a number', (text, value) => expect(parseNumber(text)).toBe(value))
  it.each(['', 'twelve', '1/0', '1.5 1/2', '12cm', '1 2', '--3', '1e5'])('%j is none', text => expect(parseNumber(text)).toBeUndefined())

  it('takes a unit over the setting', () => {
    expect(parseLengthCm('10', 'in')).toBeCloseTo(25.4, 12)
    expect(parseLengthCm('10 cm', 'in')).toBe(10)
    expect(parseLengthCm('55mm', 'cm')).toBe(5.5)
    expect(parseLengthCm('4 3/4"', 'cm')).toBeCloseTo(12.065, 12)
    expect(parseLengthCm('wide', 'cm')).toBeUndefined()
  })
})
