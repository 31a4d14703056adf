import { describe, expect, it } from 'vitest'
import { estimate, median, student, unlogged } from './estimate'

const CRAFT = { value: 0, makers: 0.2, bags: 0.1 }

describe('estimates from a few bags', () => {
  // Student's 95th percentiles as tables print them (e.g. Fisher and Yates, Statistical Tables, from memory).
  it.each([[4, 2.132], [5, 2.015], [6, 1.943], [10, 1.812], [30, 1.697], [1000, 1.646]])('knows Student of %i degrees', (freedom, t) => {
    expect(student(freedom)).toBeCloseTo(t, 2)
  })

  it('says what the craft says as long as there is no bag', () => {
    const none = estimate([], CRAFT)
    expect(none.value).toBe(0)
    expect(none.bags).toBe(0)
    expect(none.high).toBeCloseTo(2.132 * 0.2, 2)
  })

  // By hand: the craft weighs 1/0.04 = 25; one bag of 0.3 with a spread of 0.1 weighs 1/0.01 = 100: 0.3 * 100/125 = 0.24.
  it('weighs one bag against the craft', () => {
    const one = estimate([{ value: 0.3, error: 0 }], CRAFT)
    expect(one.value).toBeCloseTo(0.24, 9)
    expect(one.nextHigh).toBeGreaterThan(one.high)
  })

  it('comes to what many bags say, and is surer the more there are', () => {
    const said = (n: number) => Array.from({ length: n }, (_, i) => ({ value: 0.3 + 0.02 * (i % 2 ? 1 : -1), error: 0.02 }))
    const some = (n: number) => estimate(said(n), CRAFT)
    expect(some(40).value).toBeCloseTo(0.3, 2)
    expect(some(40).high - some(40).low).toBeLessThan(some(4).high - some(4).low)
  })

  it('is not led astray by one odd bag', () => {
    const sound = [0.1, 0.12, 0.09, 0.11].map(value => ({ value, error: 0.01 }))
    const odd = estimate([...sound, { value: 1.6, error: 0.01 }], CRAFT)
    const plain = [...sound.map(({ value }) => value), 1.6].reduce((sum, value) => sum + value, 0) / 5
    expect(Math.abs(odd.value - 0.105)).toBeLessThan(Math.abs(plain - 0.105) / 3)
  })

  it('is the figure itself when the logarithm is taken off, and a median is a median', () => {
    expect(unlogged({ value: 0, low: -1, high: 1, nextLow: -2, nextHigh: 2, bags: 3 })).toMatchObject({ value: 1, bags: 3 })
    expect(median([3, 1, 2])).toBe(2)
    expect(median([4, 1, 2, 3])).toBe(2.5)
  })
})
