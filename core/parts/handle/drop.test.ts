import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SEED } from '../../../tests/arbitraries/designs'
import { ASSUMED_STRETCH, dropCm, legPull, lengthForDrop, stretchShare } from './drop'

/**
 * An independent numerical solution: a strap as a string of links between two fixed feet, its middle pulled up, relaxed until the links
 * have
 * their length again (position-based relaxation). Knows nothing of triangles.
 */
function relaxedRise(lengthCm: number, gapCm: number): number {
  const links = 8
  const link = lengthCm / links
  const spots = Array.from({ length: links + 1 }, (_, i) => ({ x: (i / links) * gapCm, y: 0.01 * Math.min(i, links - i) }))
  for (let turn = 0; turn < 3000; turn++) {
    spots[links / 2]!.y += 0.02 * link * (1 - turn / 3000)
    for (let sweep = 0; sweep < 10; sweep++) {
      for (let i = 0; i < links; i++) {
        const [a, b] = [spots[i]!, spots[i + 1]!]
        const [dx, dy] = [b.x - a.x, b.y - a.y]
        const over = 1 - link / Math.hypot(dx, dy)
        const [left, right] = [i === 0 ? 0 : i === links - 1 ? 1 : 0.5, i === links - 1 ? 0 : i === 0 ? 1 : 0.5]
        // A slack link may be shorter than it is long; a taut one may not be longer.
        if (over <= 0) continue
        a.x += dx * over * left
        a.y += dy * over * left
        b.x -= dx * over * right
        b.y -= dy * over * right
      }
    }
  }
  return spots[links / 2]!.y
}

describe('the drop of a handle', () => {
  it.each([
    [40, 16], [70, 30], [25, 24], [64, 10],
  ])('of %d cm over a gap of %d cm is what a relaxed string of links rises to', (length, gap) => {
    expect(dropCm(length, gap)).toBeGreaterThan(0)
    expect(Math.abs(relaxedRise(length, gap) / dropCm(length, gap) - 1)).toBeLessThan(0.001)
  })

  it('by hand: 26 cm over 10 is 12 (a triangle of 5, 12 and 13)', () => {
    expect(dropCm(26, 10)).toBeCloseTo(12, 12)
    expect(lengthForDrop(12, 10)).toBeCloseTo(26, 12)
  })

  it('is nothing where the strap is no longer than its gap', () => {
    expect(dropCm(10, 10)).toBe(0)
    expect(dropCm(8, 10)).toBe(0)
  })

  it('turns round to the length it came from', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 90, noNaN: true }), fc.double({ min: 0, max: 60, noNaN: true }), (drop, gap) => {
        expect(dropCm(lengthForDrop(drop, gap), gap)).toBeCloseTo(drop, 6)
      }),
      SEED,
    )
  })
})

describe('the pull in a leg', () => {
  it('is half the load in a narrow loop, and grows as the legs lie flatter: by hand', () => {
    expect(legPull(4, 30, 0)).toBe(2)
    // Legs of 13 rising 12: each pulls 13/12 of half the load.
    expect(legPull(4, 26, 10)).toBeCloseTo((2 * 13) / 12, 12)
    expect(legPull(4, 10, 10)).toBe(Infinity)
  })

  it('balances the load: both legs\' upward shares add up to it', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 20, noNaN: true }), fc.double({ min: 11, max: 90, noNaN: true }), (load, length) => {
        expect(2 * legPull(load, length, 10) * (dropCm(length, 10) / (length / 2))).toBeCloseTo(load, 6)
      }),
      SEED,
    )
  })
})

describe('how much a strap lengthens', () => {
  const strip = { beforeCm: 20, afterCm: 22, kg: 1, widthCm: 2 }

  it('is the usual share until a strip was hung up (craft 10: 5 to 15 %, from memory)', () => {
    expect(stretchShare(undefined, 3, 2)).toBe(ASSUMED_STRETCH)
    expect(ASSUMED_STRETCH).toBeGreaterThanOrEqual(0.05)
    expect(ASSUMED_STRETCH).toBeLessThanOrEqual(0.15)
  })

  it('follows the strip in proportion to the pull on each centimetre: by hand', () => {
    // The strip: 10 % at half a kilogram a centimetre.
    expect(stretchShare(strip, 1, 2)).toBeCloseTo(0.1, 12)
    expect(stretchShare(strip, 2, 4)).toBeCloseTo(0.1, 12)
    expect(stretchShare(strip, 2, 2)).toBeCloseTo(0.2, 12)
    expect(stretchShare(strip, 40, 2)).toBe(0.5)
    expect(stretchShare({ ...strip, afterCm: 20 }, Infinity, 2)).toBe(0)
  })
})
