import { describe, expect, it } from 'vitest'
import { stitchBudget, reserve, StitchBudgetExceeded, EACH_ROUND, record, within } from './stitchBudget'

describe('a budget of stitches', () => {
  it('lets so many be made and no more, each round costing some besides', () => {
    const most = 100 + 2 * EACH_ROUND
    within(stitchBudget(most), () => {
      reserve(60)
      record(60)
      reserve(40)
      expect(() => reserve(41)).toThrow(StitchBudgetExceeded)
      expect(() => reserve(NaN)).toThrow(StitchBudgetExceeded)
    })
  })

  it('knows the most that it was ever asked for: what is taken over counts as if it were made anew', () => {
    const budget = stitchBudget()
    within(budget, () => {
      reserve(500)
      reserve(20)
      record(20)
      reserve(30)
    })
    expect(budget.reached).toBe(500 + EACH_ROUND)
    expect(budget.made).toBe(20 + EACH_ROUND)
  })

  it('holds for what is run within it alone, and the outer one again afterwards, whatever happens', () => {
    const [outer, inner] = [stitchBudget(), stitchBudget()]
    within(outer, () => {
      expect(() => within(inner, () => {
        record(1)
        throw new Error('on the way')
      })).toThrow('on the way')
      record(2)
    })
    expect([outer.made, inner.made]).toEqual([2 + EACH_ROUND, 1 + EACH_ROUND])
    // Without one nothing is asked for.
    expect(() => reserve(1e12)).not.toThrow()
  })
})
