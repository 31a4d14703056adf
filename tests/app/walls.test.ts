import { stacked } from '../../core/design/partIds'
import { describe, expect, it } from 'vitest'
import { linesIn, typedIn } from '~/reading/ownLines'
import { tileOf } from '~/looks/tiles'
import { asksOf, firstRepeat, ofKind, WALL_KINDS } from '~/composables/wallKinds'
import { readDesign } from '../../core/design/read'
import { newDesign } from '../../core/design/starter'
import { checkRepeat } from '../../core/wall/own'
import { WALL_KINDS as KINDS, type WallSpec } from '../../core/wall/wall'

const design = { ...newDesign('Bag'), repeats: [firstRepeat('own-1')] }
const likes: WallSpec[] = [
  { band: 'solid', stitch: 'dc', size: { pin: { rounds: 3 } }, colour: 'main', stripes: [{ colour: 'main', rounds: 2 }] },
  { band: 'adjust', stitch: 'hdc', to: { pin: { change: 2 } }, mirrored: false, colour: 'main' },
  { band: 'taper', stitch: 'sc', size: { pin: { rounds: 3, stitches: 40 } }, mirrored: false, colour: 'main' },
  { band: 'boxes', chains: 1, finish: false, size: { want: { heightCm: 4 } }, colour: 'main' },
]

describe('the kinds of part that are offered', () => {
  it('are all there are', () => expect(WALL_KINDS.map(({ value }) => value).sort()).toEqual([...KINDS].sort()))

  it('can each be made of any other, as a document that is sound', () => {
    for (const like of likes) {
      for (const { value } of WALL_KINDS) {
        const spec = ofKind(value, like, design, 40)
        expect(spec.band).toBe(value)
        const reading = readDesign(JSON.parse(JSON.stringify({ ...design, wall: stacked([spec]) })))
        expect(reading.ok || reading.problems, `${like.band} to ${value}`).toBe(true)
      }
    }
  })

  it('keep height, yarn and stripes where the new kind has them', () => {
    expect(ofKind('waves', likes[0]!, design, 40)).toEqual({ band: 'waves', size: { pin: { rounds: 3 } }, colour: 'main', stripes: [{ colour: 'main', rounds: 2 }] })
    expect(ofKind('taper', likes[0]!, design, 40)).toMatchObject({ stitch: 'dc', size: { want: { aroundCm: 34 } } })
  })

  it('say what they ask', () => {
    expect(asksOf({ band: 'groups', size: { pin: { rounds: 1 } }, colour: 'main' }, design)).toBe('Asks for a multiple of 4, leaves 3 for each 4.')
    expect(asksOf(likes[0]!, design)).toBe('')
    expect(asksOf({ band: 'own', repeat: 'own-1', size: { pin: { rounds: 1 } }, colour: 'main' }, design)).toBe('Asks for a multiple of 4.')
  })

  it('have a tile each that draws something, and is drawn once', () => {
    for (const { value } of WALL_KINDS) {
      const tile = tileOf(value)
      const signs = tile.signs.map(({ path }) => path).join('')
      expect(tile.threads + tile.posts + signs, value).toMatch(/^M/)
      expect(tile.outline + tile.threads + tile.holes + signs).not.toMatch(/NaN|undefined|--/)
      expect(tileOf(value)).toBe(tile)
    }
  })
})

describe('lines of a maker\'s own', () => {
  it('go to the document in US abbreviations and come back in the maker\'s', () => {
    const read = linesIn('once: dc in next 2\nmiss next st, 2 htr in next\n\n', 'uk')
    expect(read).toEqual({ ok: true, lines: ['once: sc in next 2', 'sk next st, 2 hdc in next'] })
    expect(typedIn(['once: sc in next 2', 'sk next st, 2 hdc in next'], 'uk')).toBe('once: dc in next 2\nmiss next st, 2 htr in next')
  })

  it('are pointed at where they cannot be read', () => {
    expect(linesIn('sc in next\nonce: foo in next', 'us')).toMatchObject({ ok: false, trouble: { line: 1, at: 6, length: 3 } })
    expect(typedIn(['what is this'], 'us')).toBe('what is this')
  })

  it('start from a repeat that works', () => expect(checkRepeat(firstRepeat('own-1')).ok).toBe(true))
})
