import { describe, expect, it } from 'vitest'
import { tileOf } from '~/looks/tiles'
import { linesIn, typedIn } from '~/reading/ownLines'
import { readJson } from '~/reading/readJson'
import { firstRepeat } from '../../core/parts/band/own'
import { checkRepeat } from '../../core/parts/band/checkRepeat'
import { wallKinds } from '../../core/parts/wall/wall'

describe('the kinds of part that are offered', () => {
  it('have a tile each that draws something, and is drawn once', () => {
    for (const { kind: band } of wallKinds()) {
      const tile = tileOf(band)
      const signs = tile.signs.map(({ path }) => path).join('')
      expect(tile.threads + tile.posts + signs, band).toMatch(/^M/)
      expect(tile.outline + tile.threads + tile.holes + signs).not.toMatch(/NaN|undefined|--/)
      expect(tileOf(band)).toBe(tile)
    }
  })
})

describe('lines of a maker\'s own', () => {
  it('go to the document in US abbreviations and come back in the maker\'s', () => {
    const read = linesIn('once: dc in next 2\nmiss next st, 2 htr in next\n\n', 'uk')
    expect(read).toEqual({ ok: true, lines: ['once: sc in next 2 sts', 'sk next st, 2 hdc in next st'] })
    expect(typedIn(['once: sc in next 2', 'sk next st, 2 hdc in next'], 'uk')).toBe(
      'once: dc in next 2 sts\nmiss next st, 2 htr ' + 'in next st',
    )
  })

  it('are pointed at where they cannot be read', () => {
    expect(linesIn('sc in next\nonce: foo in next', 'us')).toMatchObject({ ok: false, trouble: { line: 1, at: 6, length: 3 } })
    expect(typedIn(['what is this'], 'us')).toBe('what is this')
  })

  it('start from a repeat that works', () => expect(checkRepeat(firstRepeat('own-1')).ok).toBe(true))
})

describe('a chosen file', () => {
  it('is read as JSON, or refused with its name and what to choose', async () => {
    expect(await readJson(new File(['{"a":1}'], 'bag.json'), '.design.json')).toEqual({ ok: true, value: { a: 1 } })
    const cut = await readJson(new File(['{"a":'], 'cut.json'), '.design.json')
    expect(!cut.ok && cut.why).toContain('cut.json is not JSON')
    expect(!cut.ok && cut.why).toContain('.design.json')
    const huge = await readJson(new File(['x'.repeat(1_500_000)], 'huge.json'), '.design.json')
    expect(!huge.ok && huge.why).toContain('2 MB')
  })
})
