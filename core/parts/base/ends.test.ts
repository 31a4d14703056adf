import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SEED } from '../../../tests/arbitraries/designs'
import { FAR, growEnds, NEAR, SIDE_ONE, SIDE_TWO, sideMarkers } from './ends'

/** The names of an oval's first round: side `s`, `e` in each end, starting one stitch before the first side. */
function firstRound(s: number, e: number): Uint8Array {
  const run = (name: number, count: number) => Array<number>(count).fill(name)
  return Uint8Array.from([...run(NEAR, 1), ...run(SIDE_ONE, s), ...run(FAR, e), ...run(SIDE_TWO, s), ...run(NEAR, e - 1)])
}

const count = (names: Uint8Array, name: number) => names.filter(one => one === name).length

describe('the ends of an oval', () => {
  it('double in round 2: by hand, side 2 and 3 an end is 1+2+3+2+2, then 2+2+6+2+4', () => {
    const { stretches } = growEnds(firstRound(2, 3), false, 'sc', () => 2)
    expect([...stretches].join('')).toBe('0011222222330000')
  })

  it('grow alike, and the sides not at all, whichever way the round is worked', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 2, max: 7 }),
        fc.array(fc.boolean(), { minLength: 1, maxLength: 8 }),
        (s, e, ways) => {
          let names = firstRound(s, e)
          ways.forEach((wrong, i) => {
            const r = i + 2
            names = growEnds(names, wrong, 'sc', at => (at % (r - 1) === r - 2 ? 2 : 1)).stretches
            expect([SIDE_ONE, SIDE_TWO, FAR, NEAR].map(name => count(names, name))).toEqual([s, s, e * r, e * r])
          })
          // Against the clock from the start: near, one, far, two, near, with no stretch broken apart.
          const order = [...names].filter((name, i) => i === 0 || name !== names[i - 1])
          expect(order.filter((name, i) => name !== NEAR || i === 0 || i === order.length - 1)).toEqual(order)
          expect(order.filter(name => name !== NEAR)).toEqual([SIDE_ONE, FAR, SIDE_TWO])
        },
      ),
      { ...SEED, numRuns: 100 },
    )
  })

  it('have their markers where the sides begin and end, counted as they are worked', () => {
    const names = firstRound(4, 3)
    expect(sideMarkers(names, false)).toEqual([1, 4, 8, 11])
    // Worked the other way, stitch k lies at station n - k: 14 - 11, 14 - 8, 14 - 4, 14 - 1.
    expect(sideMarkers(names, true)).toEqual([3, 6, 10, 13])
  })
})
