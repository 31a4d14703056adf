import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SEED } from '../../../tests/arbitraries/designs'
import { gaps } from './spread'

const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0)
const changesAndPlain = fc.tuple(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 0, max: 500 }))

/** All ways to turn a list about. */
const turns = (list: number[]) => list.map((_, i) => [...list.slice(i), ...list.slice(0, i)])

describe('spreading changes evenly', () => {
  // Common practice, no source: 90 stitches less 9 is "8 sc, sc2tog" nine times (each decrease takes two of the 90).
  it('spreads nine decreases over 90 stitches', () => expect(gaps(9, 90 - 18)).toEqual(Array(9).fill(8)))

  it('adds up, with gaps that differ by at most one', () => {
    fc.assert(fc.property(changesAndPlain, fc.boolean(), ([changes, plain], mirrored) => {
      const found = gaps(changes, plain, mirrored)
      expect(found).toHaveLength(changes)
      expect(sum(found)).toBe(plain)
      expect(Math.max(...found) - Math.min(...found)).toBeLessThanOrEqual(1)
    }), SEED)
  })

  it('reads the same from both ends when asked, about a gap or about a change', () => {
    fc.assert(fc.property(changesAndPlain, ([changes, plain]) => {
      const found = gaps(changes, plain, true)
      const same = (list: number[]) => list.join() === [...list].reverse().join()
      expect(same(found) || same(found.slice(1))).toBe(true)
      expect(turns(gaps(changes, plain)).some(turn => turn.join() === found.join())).toBe(true)
    }), SEED)
  })

  it('is as even as can be: any run of gaps holds within one of its fair share', () => {
    fc.assert(fc.property(changesAndPlain, ([changes, plain]) => {
      const found = gaps(changes, plain)
      for (let from = 0; from < changes; from++) {
        for (let to = from + 1; to <= changes; to++) {
          expect(Math.abs(sum(found.slice(from, to)) - ((to - from) * plain) / changes)).toBeLessThan(1 + 1e-9)
        }
      }
    }), { ...SEED, numRuns: 20 })
  })
})
