import { describe, expect, it } from 'vitest'
import { hundredthsIn, sum } from './money'

describe('money', () => {
  it.each([['4.50', 450], ['4,5', 450], [' 4 ', 400], ['1,250', 125_000], ['1,250.5', 125_050], ['1,234,567.09', 123_456_709]])(
    'reads %s', (typed, hundredths) => expect(hundredthsIn(typed)).toBe(hundredths))

  it.each(['', 'four', '4.505', '1,25,0', '-4', '0x4'])('takes %j for no sum', typed => expect(hundredthsIn(typed)).toBeUndefined())

  it('reads what it writes', () => {
    for (const hundredths of [0, 5, 99, 450, 99_999, 125_000, 1_234_567]) expect(hundredthsIn(sum(hundredths))).toBe(hundredths)
  })
})
