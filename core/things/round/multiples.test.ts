import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SEED } from '../../../tests/arbitraries/designs'
import { foundation } from './edge'
import { inMultiples, spreadOver } from './multiples'
import type { Step } from './step'
import { work } from './workRound'

/** How many stitches each place of an edge gets when steps are worked on it. */
function worked(steps: readonly Step[], places: number): number[] | string {
  const result = work(
    { steps, begin: { chains: 0, counts: false, turn: false }, join: 'spiral', facing: 'right', colour: 'main' },
    foundation('stitch', places),
  )
  if (!result.ok) return result.error.code
  const counts = Array<number>(places).fill(0)
  for (const from of result.worked.edge.from) counts[from]!++
  return counts
}

describe('multiples of places', () => {
  it('become the fewest steps: runs alike are one, a list that repeats is a repeat', () => {
    expect(inMultiples([1, 1, 1, 1], 'sc')).toEqual([{ do: 'stitch', kind: 'sc', times: 4 }])
    expect(inMultiples([2, 2, 2], 'sc')).toEqual([
      { do: 'repeat', times: 3, steps: [{ do: 'group', steps: [{ do: 'stitch', kind: 'sc', times: 2 }] }] },
    ])
    expect(inMultiples([1, 1, 2, 1, 1, 2], 'sc')).toMatchObject([
      { do: 'repeat', times: 2, steps: [{ times: 2 }, { do: 'repeat', times: 1 }] },
    ])
  })

  it('are what is worked, whatever they are', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 1, maxLength: 60 }), (multiples) => {
        expect(worked(inMultiples(multiples, 'dc'), multiples.length)).toEqual(multiples)
      }),
      SEED,
    )
  })
})

describe('stitches spread over places', () => {
  it('come out as many as asked, on all the places, as evenly as can be (law 3)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 80 }), fc.integer({ min: 1, max: 160 }), (places, stitches) => {
        const result = work(
          {
            steps: spreadOver(places, stitches, 'sc'), begin: { chains: 0, counts: false, turn: false }, join: 'spiral', facing: 'right',
            colour: 'main',
          },
          foundation('stitch', places),
        )
        expect(result.ok && result.worked.edge.count).toBe(stitches)
        if (!result.ok) return
        const { from, to } = result.worked.edge
        const shares
          = stitches >= places
            ? (worked(spreadOver(places, stitches, 'sc'), places) as number[])
            : Array.from(from, (first, i) => to[i]! - first + 1)
        expect(Math.max(...shares) - Math.min(...shares)).toBeLessThanOrEqual(1)
      }),
      SEED,
    )
  })
})
