import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SEED } from '../../../tests/arbitraries/designs'
import { type Edge, foundation, halves, PLACE_CODE, placesOf } from './edge'
import type { Begin, Join, Round } from './round'
import { chain, each, inOne, repeat, skip, type Step, together } from './step'
import { work } from './workRound'
import { anchorBelow, kindAt, sharesPlace, type WorkedRound } from './workedRound'
import { explain } from './workError'

const still: Begin = { chains: 0, counts: false, turn: false }

function round(steps: Step[], begin: Partial<Begin> = {}, join: Join = 'spiral'): Round {
  return { steps, begin: { ...still, ...begin }, join, facing: 'right', colour: 'main' }
}

function worked(steps: Step[], on: Edge, begin: Partial<Begin> = {}, join: Join = 'spiral'): WorkedRound {
  const result = work(round(steps, begin, join), on)
  if (!result.ok) throw new Error(explain(result.error))
  return result.worked
}

function failure(steps: Step[], on: Edge): string {
  const result = work(round(steps), on)
  return result.ok ? 'came out' : explain(result.error)
}

const edgeOf = (count: number) => worked([each('sc', count)], foundation('stitch', count)).edge

describe('working a round', () => {
  it('puts any number of stitches in a ring, which never fills up', () => {
    const { edge } = worked([inOne('sc', 8)], foundation('ring', 1))
    expect(edge.count).toBe(8)
    expect([...edge.from]).toEqual(Array(8).fill(0))
  })

  it('uses one place a stitch, and one place for all of an increase', () => {
    const made = worked([repeat(4, each('sc', 3), inOne('sc', 2))], edgeOf(16))
    expect(made.edge.count).toBe(20)
    expect([...made.edge.from.slice(0, 6)]).toEqual([0, 1, 2, 3, 3, 4])
    expect([3, 4, 5].map(i => sharesPlace(made, i))).toEqual([false, true, false])
  })

  it('draws stitches together over places of their own', () => {
    const made = worked([repeat(9, each('sc', 8), together('sc'))], edgeOf(90))
    expect(made.edge.count).toBe(81)
    expect([made.edge.from[8], made.edge.to[8]]).toEqual([8, 9])
  })

  it('leaves a space for a run of chains, and takes it up again as one place', () => {
    // Common practice, no source: boxes on 48 stitches are 24, a stitch and a space each.
    const boxes = worked([repeat(24, each('dc', 1), chain(1), skip(1))], edgeOf(48))
    expect(boxes.edge.count).toBe(48)
    expect(placesOf(boxes.edge, 'space')).toBe(24)
    expect(kindAt(boxes, 1)).toBe('ch')
    expect(worked([each('sc', 48)], boxes.edge).edge.count).toBe(48)
  })

  it('works loops: stitches aimed at spaces pass the tops between', () => {
    // Common practice, no source: 48 stitches make 24 loops; 4 stitches in each loop and 1 in each sc make 120.
    const loops = worked([repeat(24, chain(3), skip(1), each('sc', 1))], edgeOf(48))
    expect(placesOf(loops.edge, 'space')).toBe(24)
    const next = worked([repeat(24, chain(4), { do: 'stitch', kind: 'sc', times: 1, aim: 'space' })], loops.edge)
    expect(placesOf(next.edge, 'space')).toBe(24)
    expect(next.edge.chains[0]).toBe(4)
    expect(worked([repeat(24, inOne('sc', 4), each('sc', 1))], loops.edge).edge.count).toBe(120)
    expect(failure([repeat(23, chain(4), { do: 'stitch', kind: 'sc', times: 1, aim: 'space' })], loops.edge)).toContain('1 of 48')
    expect(failure([repeat(25, chain(4), { do: 'stitch', kind: 'sc', times: 1, aim: 'space' })], loops.edge)).toContain('no chain space')
  })

  it('works the chains of a slot one at a time', () => {
    // Common practice, no source: 64 stitches, two slots of 16 bridged by chains of 32, make 96.
    const slots = worked([each('sc', 8), chain(32), skip(16), each('sc', 16), chain(32), skip(16), each('sc', 8)], edgeOf(64))
    const over: Step = { do: 'stitch', kind: 'sc', times: 32, aim: 'chains', loop: 'bump' }
    const after = worked([each('sc', 8), over, each('sc', 16), over, each('sc', 8)], slots.edge)
    expect(after.edge.count).toBe(96)
    expect(failure([each('sc', 8), { ...over, times: 31 } as Step], slots.edge)).toContain('left unworked')
  })

  it('works fans and V\'s into one place, and again into the space they hold', () => {
    const v: Step = { do: 'group', steps: [each('dc', 1), chain(2), each('dc', 1)] }
    const vees = worked([repeat(16, skip(1), v, skip(1))], edgeOf(48))
    expect(vees.edge.count).toBe(48)
    expect(worked([repeat(16, { do: 'group', aim: 'space', steps: [each('dc', 3)] })], vees.edge).edge.count).toBe(48)
  })

  it('works into the gap between two stitches without using them up', () => {
    const pairs = worked([repeat(6, skip(1), { do: 'group', aim: 'gap', steps: [each('hdc', 2)] }, skip(1))], edgeOf(12))
    expect(pairs.edge.count).toBe(12)
    expect([pairs.edge.from[0], pairs.edge.to[0]]).toEqual([0, 1])
  })

  it('reaches down: below a stitch, or into the middle of what was skipped', () => {
    const first = edgeOf(12)
    const long = worked([repeat(6, each('sc', 1), { do: 'stitch', kind: 'dc', times: 1, aim: 'below' })], first)
    expect(anchorBelow(long, 1)).toBe(1)
    expect(anchorBelow(long, 0)).toBe(-1)
    // Handbook 7: groups of three over three skipped, a long stitch into the middle of them.
    const groups = worked([repeat(2, each('dc', 3), skip(3))], first)
    const deep = worked([repeat(2, each('sc', 3), { do: 'stitch', kind: 'dc', times: 1, aim: 'gapBelow' })], groups.edge, {}, 'open')
    expect(anchorBelow(deep, 3)).toBe(4)
    expect(failure([each('sc', 3), { do: 'stitch', kind: 'dc', times: 1, aim: 'gapBelow' }, each('sc', 9)], first)).toContain(
      'nothing was skipped',
    )
  })

  it('adds a stitch to the place used last', () => {
    expect(worked([each('sc', 6), { do: 'stitch', kind: 'sc', times: 1, aim: 'same' }], edgeOf(6)).edge.from[6]).toBe(5)
    expect(failure([{ do: 'stitch', kind: 'sc', times: 1, aim: 'same' }], edgeOf(6))).toContain('no place has been used')
  })

  it('reads a turned round back from the stitch it was joined to, and a turned row from its end', () => {
    expect([...worked([each('sc', 5)], edgeOf(5), { turn: true }, 'slip').edge.from]).toEqual([0, 4, 3, 2, 1])
    const row = worked([each('sc', 5)], foundation('chain', 5, false), {}, 'open')
    expect([...worked([each('sc', 5)], row.edge, { turn: true }, 'open').edge.from]).toEqual([4, 3, 2, 1, 0])
  })

  it('says what is wrong with a round that does not come out', () => {
    expect(failure([each('sc', 41)], edgeOf(40))).toBe('ran out of stitches after stitch 40: the round below has only 40')
    expect(failure([each('sc', 37)], edgeOf(40))).toBe('3 of 40 stitches of the round below left unworked')
    expect(failure([skip(40)], edgeOf(40))).toBe('the round makes no stitches')
    expect(failure([skip(41)], edgeOf(40))).toContain('ran out')
    expect(failure([together('sc', 3)], edgeOf(2))).toContain('ran out')
  })

  it('does not write over what it returned before', () => {
    const first = worked([each('sc', 6)], edgeOf(6))
    const before = [...first.edge.from]
    worked([repeat(6, inOne('dc', 2))], first.edge)
    expect([...first.edge.from]).toEqual(before)
    expect(kindAt(first, 0)).toBe('sc')
  })
})

describe('the sides', () => {
  it('ride up with the stitches', () => {
    const { edge } = worked([repeat(8, each('sc', 3), inOne('sc', 2))], edgeOf(32))
    expect(edge.sides).toEqual([0, 20])
  })

  it('stay within half a round of turned rounds', () => {
    let edge = edgeOf(40)
    for (let i = 0; i < 6; i++) {
      edge = worked([each('sc', 40)], edge, { turn: true }, 'slip').edge
      expect(edge.sides).toEqual(i % 2 === 0 ? [1, 21] : [0, 20])
    }
  })

  it('are never missing', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 5 }), fc.boolean(), (count, by, turn) => {
        const { edge } = worked([repeat(count, inOne('sc', by))], edgeOf(count), { turn })
        for (const side of edge.sides) {
          expect(side).toBeGreaterThanOrEqual(0)
          expect(side).toBeLessThan(edge.count)
        }
      }),
      SEED,
    )
    expect(halves(7)).toEqual([0, 4])
  })
})

/** A slow oracle: the same walk on plain lists, one stitch at a time, for steps over stitches only. */
function slowly(steps: readonly Step[], count: number): { from: number[], left: number } | 'short' {
  const from: number[] = []
  let at = 0
  const go = (list: readonly Step[]): void =>
    list.forEach((step) => {
      if (step.do === 'stitch') for (let i = 0; i < step.times; i++) from.push(at++)
      if (step.do === 'group') {
        for (const part of step.steps) if (part.do === 'stitch') from.push(...Array<number>(part.times).fill(at))
        at++
      }
      if (step.do === 'together') {
        from.push(at)
        at += step.over
      }
      if (step.do === 'skip') at += step.places
      if (step.do === 'repeat') for (let i = 0; i < step.times; i++) go(step.steps)
    })
  go(steps)
  return at > count ? 'short' : { from, left: count - at }
}

const leaf = fc.oneof(
  fc.integer({ min: 1, max: 5 }).map(n => each('sc', n)),
  fc.integer({ min: 1, max: 4 }).map(n => inOne('dc', n)),
  fc.integer({ min: 2, max: 4 }).map(n => together('sc', n)),
  fc.integer({ min: 1, max: 3 }).map(skip),
)
const anySteps = fc.array(
  fc.oneof(
    leaf,
    fc.tuple(fc.integer({ min: 1, max: 4 }), fc.array(leaf, { minLength: 1, maxLength: 3 })).map(([n, steps]) => repeat(n, ...steps)),
  ),
  { minLength: 1, maxLength: 5 },
)

describe('against a slow oracle', () => {
  it('makes the same stitches on the same places, or fails likewise', () => {
    fc.assert(
      fc.property(anySteps, fc.integer({ min: 1, max: 40 }), (steps, count) => {
        const expected = slowly(steps, count)
        const result = work(round(steps), edgeOf(count))
        if (expected === 'short') expect(result.ok).toBe(false)
        else if (expected.left > 0 || expected.from.length === 0) expect(result.ok).toBe(false)
        else {
          expect(result.ok && [...result.worked.edge.from]).toEqual(expected.from)
          expect(result.ok && result.worked.edge.kinds.every(kind => kind === PLACE_CODE.stitch)).toBe(true)
        }
      }),
      { ...SEED, numRuns: 500 },
    )
  })
})
