import { describe, expect, it } from 'vitest'
import { chain, each, inOne, repeat, skip, type Step } from './step'
import { inTurns } from './turns'

const one: Step[] = [each('sc', 1)]
const two: Step[] = [inOne('sc', 2)]

describe('turns in the fewest words', () => {
  it('makes one step of a stitch in each of many places', () => {
    expect(inTurns([one, one, one])).toEqual([each('sc', 3)])
  })

  it('finds what comes over and over within a longer round: 3, then one and two by turns', () => {
    expect(inTurns([one, one, one, two, one, two, one, two, one, one, one])).toEqual(
      [each('sc', 3), repeat(3, inOne('sc', 2), each('sc', 1)), each('sc', 2)],
    )
  })

  it('keeps repeats of several steps as they are', () => {
    const loop: Step[] = [chain(5), skip(1), each('sc', 1)]
    expect(inTurns([loop, loop, [...loop, each('sc', 1)]])).toEqual([repeat(2, ...loop), ...loop, each('sc', 1)])
  })
})
