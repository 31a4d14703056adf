import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SEED } from '../../../tests/arbitraries/designs'
import { CARRY_CM, yarnChanges } from './yarnChanges'

const rounds = (colours: string, riseCm = 0.5) => [...colours].map(colour => ({ colour, riseCm }))

describe('changes of yarn', () => {
  it('by hand: stripes of two rounds are carried, and each yarn has two ends', () => {
    const { changes, ends } = yarnChanges(rounds('aabbaabb'))
    expect(changes.map(({ at, carried }) => [at, carried])).toEqual([
      [2, true], [4, true], [6, false],
    ])
    expect(ends).toEqual({ a: 2, b: 2 })
  })

  it('by hand: over ten rounds of half a centimetre the yarn is cut, and has four ends', () => {
    const { changes, ends } = yarnChanges(rounds('aabbbbbbbbbbaa'))
    expect(changes.map(({ carried, wasCarried }) => [carried, wasCarried])).toEqual([
      [false, false],
      [false, false],
    ])
    expect(ends).toEqual({ a: 4, b: 2 })
    expect(10 * 0.5).toBeGreaterThan(CARRY_CM)
  })

  it('has an even number of ends of every yarn used, and a change wherever two rounds differ', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('a', 'b', 'c'), { minLength: 1, maxLength: 40 }),
        fc.double({ min: 0.2, max: 3, noNaN: true }),
        (colours, rise) => {
          const { changes, ends } = yarnChanges(rounds(colours.join(''), rise))
          expect(changes.map(({ at }) => at)).toEqual(colours.flatMap((colour, i) => (i > 0 && colour !== colours[i - 1] ? [i] : [])))
          expect(new Set(Object.keys(ends))).toEqual(new Set(colours))
          for (const count of Object.values(ends)) expect(count % 2).toBe(0)
        },
      ),
      SEED,
    )
  })
})
