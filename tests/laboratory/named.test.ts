import { describe, expect, it } from 'vitest'
import { demoDesigns } from '../pattern/spokenOf'
import { miscountsOf } from './miscounts'

/** The round above a miscount of a demo bag, where it is put right at once. */
function nextRound(bag: string, kind: string, by: number): string {
  const { design } = demoDesigns().find(({ name }) => name === `${bag}.json`)!
  for (const miscount of miscountsOf(design))
    if (miscount.kind === kind && miscount.by === by) return miscount.ways.find(({ way }) => way === 'next-round')?.nextRound ?? 'none'
  return 'no such round'
}

/*
 * One miscount of each sort of round that repeats, whose next round is reckoned by hand. That all of them come out is the laboratory's
 * part (miscounts.test.ts).
 */
describe('a miscount put right in the next round, by hand', () => {
  it('of a net: the 29 loops there are, and one of them twice, are 30', () => {
    expect(nextRound('onion-net', 'loops', -1))
      .toMatch(/sc in the loop you are in, \[ch 5, sc in next loop\] 28 times, ch 5, sc in same loop; .*\(30 loops\)/)
    expect(nextRound('onion-net', 'loops', 1)).toMatch(/\(30 loops\)/)
  })

  it('of a casing: 39 of 40 eyelets, three stitches into each and three more into one, are 120', () => {
    expect(nextRound('seed-head-pouch', 'eyelets', -1)).toMatch(/3 sc in each of next 39 ch-sps, 3 sc in same ch-sp; .*\(120 sts\)/)
  })

  it('of slots, whose round has chains: one stitch more in it, and the chains as many as before', () => {
    const round = nextRound('apple-tote', 'slots', -1)
    expect(round.match(/back bump of each of the 48 chs/g)).toHaveLength(2)
    expect(round).toMatch(/2 sc in (next|same) st.*\(192 sts\)/)
  })

  it('of a row: 48 and two in one are 50; of a row too long, 49 and two together are 50', () => {
    expect(nextRound('loaf-bag', 'base: rectangle', -1)).toBe('Ch 1, turn; beg in first st: sc in next 48 sts, 2 sc in next st. (50 sts)')
    expect(nextRound('loaf-bag', 'base: rectangle', 1)).toMatch(/sc2tog.* \(50 sts\)/)
  })

  it('of a texture: 119 of 120 stitches are 59 repeats of two and one that lacks a stitch', () => {
    expect(nextRound('nutting-basket', 'moss', -1))
      .toMatch(/\[sc in next st, long dc in the st below next st\] 59 times, sc in same st, long dc in the st below next st; .*\(120 sts\)/)
  })
})
