import { stacked } from '../design/partIds'
import { describe, expect, it } from 'vitest'
import type { Design } from '../design/design'
import { newDesign } from '../design/starter'
import { draft } from '../draft/draft'
import { yarnNeeds } from './yarn'

const ring: Design = {
  ...newDesign('Disc'), rounds: { style: 'spiral', startingChainCounts: false }, turnUp: 'plain', wall: [],
  gauge: { hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 21, overCm: 10 } } },
  base: { ...newDesign('Disc').base, increases: 6, size: { pin: { rounds: 2 } } },
}

describe('yarn', () => {
  // By hand: 18 sc of 0.5 cm, 7.5 times their width each, are 67.5 cm; two ends of 15 cm make 97.5 cm (factors from memory).
  it('adds up stitch by stitch, with two ends', () => {
    const [need] = yarnNeeds(draft(ring))
    expect(need!.stitches).toBe(18)
    expect(need!.metres).toBeCloseTo(0.975, 9)
  })

  // Two rounds more to start and join: 2 * (3.5 + 3) * 0.5 = 6.5 cm.
  it('counts starting chains that are not stitches, and joins', () => {
    expect(yarnNeeds(draft({ ...ring, rounds: { style: 'joined', startingChainCounts: false } }))[0]!.metres).toBeCloseTo(1.04, 9)
  })

  it('keeps yarns apart and leaves out what is not used', () => {
    const two = draft({
      ...ring, yarns: [...ring.yarns, { id: 'moss', name: 'moss', colour: '#71834f' }, { id: 'plum', name: 'plum', colour: '#553344' }],
      wall: stacked([{ band: 'solid', stitch: 'sc', size: { pin: { rounds: 1 } }, colour: 'moss' }]),
    })
    expect(yarnNeeds(two).map(({ yarn, stitches }) => [yarn.id, stitches])).toEqual([['main', 18], ['moss', 12]])
  })
})
