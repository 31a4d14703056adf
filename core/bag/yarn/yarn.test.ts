import { stacked } from '../design/partIds'
import { describe, expect, it } from 'vitest'
import type { Design } from '../design/design'
import { newDesign } from '../design/starter'
import { draft } from '../draft/draft'
import { anyDesign, SEED } from '../../../tests/arbitraries/designs'
import fc from 'fast-check'
import { metresOfRounds, yarnNeeds, yarnShares } from './yarn'

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
      wall: stacked([{ kind: 'solid', stitch: 'sc', size: { pin: { rounds: 1 } }, colour: 'moss' }]),
    })
    expect(yarnNeeds(two).map(({ yarn, stitches }) => [yarn.id, stitches])).toEqual([['main', 18], ['moss', 12]])
  })
})

describe('what everything of a bag takes', () => {
  it('adds up: rounds counted one by one, pieces, cords and ends are all there is, of any bag', () => {
    fc.assert(
      fc.property(anyDesign, (design) => {
        const bag = draft(design)
        const shares = yarnShares(bag)
        for (const { yarn, metres, stitches } of yarnNeeds(bag)) {
          const own = shares.filter(share => share.yarn === yarn.id)
          const sum = (of: string) => own.filter(share => share.of === of).reduce((all, share) => all + share.metres, 0)
          const rounds = metresOfRounds(bag, yarn.id, 1, bag.rounds.length)
          expect(sum('rounds')).toBeCloseTo(rounds, 6)
          expect(rounds + sum('pieces') + sum('cords') + sum('ends')).toBeCloseTo(metres, 6)
          expect(own.reduce((all, share) => all + share.stitches, 0)).toBe(stitches)
          // What is worked up to a round and what is to come after it are all of it, wherever it is cut.
          const cut = Math.floor(bag.rounds.length / 2)
          const [below, above] = [metresOfRounds(bag, yarn.id, 1, cut), metresOfRounds(bag, yarn.id, cut + 1, bag.rounds.length)]
          expect(below + above).toBeCloseTo(rounds, 6)
        }
      }),
      { ...SEED, numRuns: 60 },
    )
  })
})
