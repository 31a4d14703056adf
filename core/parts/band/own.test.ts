import { describe, expect, it } from 'vitest'
import { ownTexture } from './own'
import { checkRepeat } from './checkRepeat'

const check = (...lines: string[]) => checkRepeat({ id: 'own', name: 'Own', lines })
const trouble = (...lines: string[]) => {
  const checked = check(...lines)
  return checked.ok ? 'sound' : `line ${checked.trouble.line + 1}: ${checked.trouble.what}`
}
const asks = (...lines: string[]) => {
  const checked = check(...lines)
  return checked.ok ? [checked.texture.asks.multiple, checked.texture.gives] : trouble(...lines)
}

describe('a repeat of one\'s own, checked by working it', () => {
  it('finds how many stitches it stands on and leaves', () => {
    expect(asks('sc in next')).toEqual([1, 1])
    expect(asks('(dc, ch 2, dc) in next, sk next 2 sts', '(dc, ch 2, dc) in next ch-sp')).toEqual([3, 3])
    expect(
      asks(
        'once: 3 dc in next, sk next 3 sts',
        'dc in gap between sts, dc in skipped st of the round below, dc in gap between sts, sk next 3 sts',
      ),
    ).toEqual([4, 3])
    expect(asks('sc in next, ch 1, sk next st, 3 dc in next, sk next 2 sts')).toEqual([5, 5])
  })

  it('takes what stands before the first and after the last repeat: a multiple, and so many more', () => {
    const sound = (...lines: string[]) => {
      const checked = check(...lines)
      return checked.ok && [checked.texture.asks.multiple, checked.texture.asks.plus, checked.texture.gives, checked.texture.givesPlus]
    }
    expect(sound('sc in next, *dc in next, ch 1, sk next; rep from * around, sc in next 2', 'sc in next, *dc in next, ch 1, sk next; rep '
    + 'from * around, sc in next 2'))
      .toEqual([2, 3, 2, 3])
    expect(sound('*sc in next, sk next 2 sts, (dc, ch 1, dc, ch 1, dc) in next, sk next 2 sts; rep from * around, sc in next',
      'sc in next, *sk next st, sc in next 5, rep from * around')).toBe(false)
    expect(sound('2 sc in next, *sc in next 3; rep from * around')).toBe(false)
    expect(sound('once: 2 sc in next, *sc in next 3; rep from * around', 'sc in next')).toBe(false)
  })

  it('may begin on spaces: boxes, open V\'s and loops below', () => {
    expect(asks('(dc, ch 1) in next ch-sp')).toEqual([2, 2])
    // On boxes it leaves a V of three for each two; on V's a V for a V: what lies below decides (workTexture).
    expect(asks('(dc, ch 2, dc) in next ch-sp')).toEqual([2, 3])
    const checked = check('(dc, ch 2, dc) in next ch-sp')
    expect(checked.ok && checked.texture.instead?.map(({ asks: { multiple }, gives }) => [multiple, gives])).toContainEqual([3, 3])
    expect(trouble('foo in next ch-sp')).toContain('foo is not a stitch')
  })

  it('says which line cannot be read, and where', () => {
    const checked = check('sc in next 2', 'sc in next, dc in nxt')
    expect(checked).toMatchObject({ ok: false, trouble: { line: 1, at: 18, length: 3 } })
  })

  it('says which line does not come out on the one before, and after which stitch', () => {
    expect(trouble('sc in next 4', 'sc in next 5')).toBe(
      'line 2: ran out of stitches after stitch 8: the round below has only 8 (two repeats side by side, over 8)',
    )
    expect(trouble('sc in next 4', 'sc in next 3')).toContain('line 2: 2 of 8 stitches of the round below left unworked')
    expect(trouble('sc in next 2', 'dc in next ch-sp')).toContain('line 2: no chain space left')
  })

  it('wants every line to leave as many as the first, so that it can go on', () => {
    expect(trouble('sc in next 3, sk next st')).toContain('line 1: worked again on what the last line leaves')
    expect(trouble('sc in next 2, 2 sc in next', 'sc in next 2, sc2tog')).toContain(
      'line 2: this line leaves 3 stitches a repeat, the one before 4',
    )
  })

  it('wants a line to go on with, and a stitch that stands', () => {
    expect(trouble('once: sc in next')).toContain('at least one line must be worked over and over')
    expect(trouble('ch 1, sk next st')).toContain('needs a stitch that stands up')
  })

  it('is checked once, and gives no texture when it is wrong', () => {
    const repeat = { id: 'x', name: 'x', lines: ['dc in next'] }
    expect(ownTexture(repeat)).toBe(ownTexture(repeat))
    expect(ownTexture({ ...repeat, lines: ['dc in nowhere'] })).toBeUndefined()
  })
})
