import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SEED } from '../../../tests/arbitraries/designs'
import { type Edge, foundation, type FreeRun } from './edge'
import { lengthOf, liesOver, runAt, runsFrom } from './freeRuns'
import type { Round } from './round'
import { each, inOne, skip, chain, type Step, together } from './step'
import { ROUND_STYLES, inStyle, type RoundStyle } from './style'
import { work } from './workRound'

const withRuns = (count: number, free: readonly FreeRun[], start = 0): Edge => ({ ...foundation('stitch', count), start, free })

/** An edge with two free runs that do not touch, one of them over the start as often as not. */
const anyEdge = fc
  .tuple(
    fc.integer({ min: 1, max: 12 }),
    fc.integer({ min: 1, max: 12 }),
    fc.integer({ min: 1, max: 12 }),
    fc.integer({ min: 1, max: 12 }),
    fc.nat(60),
    fc.nat(60),
  )
  .map(([a, gapA, b, gapB, turn, start]) => {
    const count = a + gapA + b + gapB
    const at = (place: number) => (place + turn) % count
    return withRuns(
      count,
      [
        { from: at(0), to: at(a), bridges: 3 },
        { from: at(a + gapA), to: at(a + gapA + b), bridges: 5 },
      ],
      start % count,
    )
  })

function worked(steps: readonly Step[], on: Edge, style: RoundStyle = 'joined', turns = 1): Edge {
  const round: Round = inStyle({ rounds: { style, startingChainCounts: false }, turns }, 0, 'sc', 'main', steps)
  const result = work(round, on)
  if (!result.ok) throw new Error(result.error.code)
  return result.worked.edge
}

/** By hand: the runs of marks on a ring, each as its length. */
function lengths(at: ArrayLike<number>, run: number): number {
  return Array.from(at).filter(one => one === run).length
}

describe('free runs of an edge', () => {
  it('are what they were when they are marked place by place and read again', () => {
    fc.assert(
      fc.property(anyEdge, (edge) => {
        expect(
          runsFrom(
            runAt(edge),
            edge.free!.map(({ bridges }) => bridges),
          ),
        ).toEqual(edge.free)
        for (const [i, run] of edge.free!.entries()) expect(lengths(runAt(edge), i + 1)).toBe(lengthOf(run, edge.count))
      }),
      SEED,
    )
  })

  it('lie as wide as what they bridge: by hand, 20 places with runs of 6 and 4 over 3 and 5 are 18', () => {
    expect(
      liesOver(
        withRuns(20, [
          { from: 2, to: 8, bridges: 3 },
          { from: 12, to: 16, bridges: 5 },
        ]),
      ),
    ).toBe(18)
    expect(liesOver(foundation('stitch', 20))).toBe(20)
  })

  it('ride up with the stitches, whichever way the round goes: as long as before under plain rounds', () => {
    fc.assert(
      fc.property(anyEdge, fc.constantFrom(...ROUND_STYLES), fc.integer({ min: 1, max: 4 }), (edge, style, rounds) => {
        let on = edge
        for (let i = 0; i < rounds; i++) on = worked([each('sc', on.count)], on, style, i + 1)
        expect(on.free!.map(run => lengthOf(run, on.count))).toEqual(edge.free!.map(run => lengthOf(run, edge.count)))
        expect(on.free!.map(({ bridges }) => bridges)).toEqual([3, 5])
      }),
      SEED,
    )
  })

  it('lose to the body what is drawn together over their feet, and keep what is doubled on them', () => {
    const edge = withRuns(12, [{ from: 4, to: 8, bridges: 4 }])
    // Places 3 and 4 together, and 7 and 8: one end of the run each.
    expect(worked([each('sc', 3), together('sc'), each('sc', 2), together('sc'), each('sc', 3)], edge).free).toEqual([
      { from: 4, to: 6, bridges: 4 },
    ])
    expect(worked([each('sc', 4), inOne('sc', 3), each('sc', 7)], edge).free).toEqual([{ from: 4, to: 10, bridges: 4 }])
  })

  it('have spaces within them as well as stitches, and none across their feet', () => {
    const edge = withRuns(12, [{ from: 4, to: 8, bridges: 4 }])
    const inside = worked([each('sc', 5), chain(2), skip(2), each('sc', 5)], edge)
    expect(Array.from(runAt(inside)).join('')).toBe('00001110000')
    const across = worked([each('sc', 3), chain(2), skip(2), each('sc', 7)], edge)
    expect(Array.from(runAt(across)).join('')).toBe('00001110000')
  })

  it('are gone with their last stitch', () => {
    const edge = withRuns(6, [{ from: 2, to: 4, bridges: 2 }])
    expect(worked([each('sc', 1), together('sc'), together('sc'), each('sc', 1)], edge).free).toEqual([])
  })
})
