import { describe, expect, it } from 'vitest'
import { allow, askFor, BeyondAllowance, EACH_ROUND, wasMade, within } from './allowance'

describe('an allowance of stitches', () => {
  it('lets so many be made and no more, each round costing some besides', () => {
    const most = 100 + 2 * EACH_ROUND
    within(allow(most), () => {
      askFor(60)
      wasMade(60)
      askFor(40)
      expect(() => askFor(41)).toThrow(BeyondAllowance)
      expect(() => askFor(NaN)).toThrow(BeyondAllowance)
    })
  })

  it('knows the most that it was ever asked for: what is taken over counts as if it were made anew', () => {
    const allowance = allow()
    within(allowance, () => {
      askFor(500)
      askFor(20)
      wasMade(20)
      askFor(30)
    })
    expect(allowance.reached).toBe(500 + EACH_ROUND)
    expect(allowance.made).toBe(20 + EACH_ROUND)
  })

  it('holds for what is run within it alone, and the outer one again afterwards, whatever happens', () => {
    const [outer, inner] = [allow(), allow()]
    within(outer, () => {
      expect(() => within(inner, () => {
        wasMade(1)
        throw new Error('on the way')
      })).toThrow('on the way')
      wasMade(2)
    })
    expect([outer.made, inner.made]).toEqual([2 + EACH_ROUND, 1 + EACH_ROUND])
    // Without one nothing is asked for.
    expect(() => askFor(1e12)).not.toThrow()
  })
})
