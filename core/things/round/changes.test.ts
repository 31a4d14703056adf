import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SEED } from '../../../tests/arbitraries/designs'
import { changeEvenly, mostChange } from './changes'
import { foundation } from './edge'
import { each, inOne, repeat, type Step, together } from './step'
import { work } from './workRound'
import type { WorkedRound } from './workedRound'

function worked(steps: readonly Step[], places: number): WorkedRound {
  const result = work(
    { steps, begin: { chains: 0, counts: false, turn: false }, join: 'spiral', facing: 'right', colour: 'main' },
    foundation('stitch', places),
  )
  if (!result.ok) throw new Error(result.error.code)
  return result.worked
}

/** A round as a list: what each thing made is, `1` a plain stitch, `2` an increase (once), `-` a decrease. */
function seen({ edge }: WorkedRound): string {
  let text = ''
  for (let i = 0; i < edge.count; i++) {
    if (edge.from[i] !== edge.to[i]) text += '-'
    else if (edge.from[i + 1] === edge.from[i]) {
      text += '2'
      i++
    }
    else text += '1'
  }
  return text
}

const change = fc
  .tuple(fc.integer({ min: 8, max: 200 }), fc.integer({ min: -100, max: 200 }))
  .filter(([n, by]) => by !== 0 && Math.abs(by) <= mostChange(n, by))

describe('a round of changes', () => {
  it('takes nine from 90 as "8 plain, two together", nine times (common practice, no source)', () => {
    expect(changeEvenly(90, -9, 'sc')).toEqual([repeat(9, each('sc', 8), together('sc'))])
    expect(worked(changeEvenly(90, -9, 'sc'), 90).edge.count).toBe(81)
  })

  it('adds six to 48 as "7 plain, two in one", six times', () => {
    expect(changeEvenly(48, 6, 'hdc')).toEqual([repeat(6, each('hdc', 7), inOne('hdc', 2))])
  })

  it('says a run of gaps alike once where they cannot all be alike', () => {
    expect(changeEvenly(20, -3, 'sc')).toEqual([each('sc', 4), together('sc'), repeat(2, each('sc', 5), together('sc'))])
  })

  it('comes out at the count asked for, evenly (law 3)', () => {
    fc.assert(
      fc.property(change, fc.boolean(), fc.double({ min: 0, max: 1, noNaN: true }), ([count, by], mirrored, ahead) => {
        const made = worked(changeEvenly(count, by, 'sc', { mirrored, ahead }), count)
        expect(made.edge.count).toBe(count + by)
        const plain = seen(made)
          .split(by > 0 ? '2' : '-')
          .map(run => run.length)
        const gaps = [plain[0]! + plain.at(-1)!, ...plain.slice(1, -1)]
        expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThanOrEqual(1)
      }),
      { ...SEED, numRuns: 300 },
    )
  })

  it('reads the same from both ends when mirrored, but for an odd stitch at the round\'s start', () => {
    fc.assert(
      fc.property(change, ([count, by]) => {
        const text = seen(worked(changeEvenly(count, by, 'sc', { mirrored: true }), count))
        const flip = (one: string) => [...one].reverse().join('')
        // The line of the mirror runs through the round's start: through a gap, or through the change that comes first.
        const about = [text, text.slice(1), text.slice(0, -1)]
        expect(
          about.some(one => one === flip(one)),
          text,
        ).toBe(true)
      }),
      { ...SEED, numRuns: 300 },
    )
  })

  it('is one run when nothing changes, and knows what a round can do', () => {
    expect(changeEvenly(12, 0, 'dc')).toEqual([each('dc', 12)])
    expect([mostChange(13, 1), mostChange(13, -1)]).toEqual([13, 6])
  })
})
