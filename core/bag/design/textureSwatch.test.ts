import { describe, expect, it } from 'vitest'
import sprigs from '../../../demo/swatch-sprigs.json'
import { draft } from '../draft/draft'
import { readDesign, readSwatch } from './read'
import { ASSUMED_GAUGE, newDesign } from './starter'
import { stacked } from './partIds'
import { withChanges } from './edit'
import { textureKinds } from './textureFields'
import { isInTexture, keptTexture, takenFrom, textureOfKind } from './textureSwatch'
import type { SwatchDocument } from './design'
import type { WallSpec } from '../../parts/wall/wall'

const counted = { across: 6, countedIn: 'repeats', overCm: 9, rounds: 10, tallCm: 9.5 } as const
const swatch = (of: object, more: object = {}) => ({
  fairHollow: 'swatch', version: 2, name: 'A texture', note: '', yarn: '', gauge: ASSUMED_GAUGE, texture: { of, counted, ...more },
})
const LINES = ['sc in next, ch 1, sk next st']
const band = (spec: object): WallSpec => ({ size: { pin: { rounds: 10 } }, colour: 'main', ...spec }) as WallSpec
const bag = (...wall: WallSpec[]) => ({
  ...newDesign('Bag'), turnUp: 'plain' as const, wall: stacked(wall),
  gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } },
  base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 60 } }, colour: 'main' } as const,
  repeats: [{ id: 'own-1', name: 'nets', lines: LINES }],
})

describe('a swatch of a texture, kept', () => {
  it('is read with its texture and what was counted, of every kind that has one', () => {
    expect(textureKinds().map(one => one.kind)).toEqual([
      'rib', 'pairs', 'groups', 'vees', 'sprigs', 'waves', 'hills', 'boxes', 'moss', 'own',
    ])
    for (const kind of textureKinds()) {
      const document = swatch(textureOfKind(kind), kind.kind === 'own' ? { lines: LINES } : {})
      expect(readSwatch(document)).toEqual({ ok: true, document })
    }
  })

  it.each([
    ['plain stitches, which are the gauge itself', swatch({ kind: 'solid' }), 'texture.of.kind'],
    ['a repeat without its lines', swatch({ kind: 'own', repeat: 'own-1' }), 'texture.lines'],
    ['a repeat that cannot be read', swatch({ kind: 'own', repeat: 'own-1' }, { lines: ['sc in next, hop'] }), 'texture.lines.0'],
    ['nothing counted', swatch({ kind: 'moss' }, { counted: undefined }), 'texture.counted'],
  ])('is refused, saying where, of %s', (_, document, field) => {
    const reading = readSwatch(JSON.parse(JSON.stringify(document)))
    expect(reading.ok ? [] : reading.problems.map(problem => problem.field)).toContain(field)
  })

  it('comes from a part with a swatch of its own, and fits what is in the same texture, on any hook, in any yarn, however tall', () => {
    const from = band({ kind: 'sprigs', seamStitch: false, swatch: counted })
    const kept = keptTexture(from, [])!
    expect(kept).toEqual({ of: { kind: 'sprigs', seamStitch: false }, counted })
    expect(keptTexture(band({ kind: 'sprigs', seamStitch: false }), [])).toBeUndefined()
    const other = { kind: 'sprigs', seamStitch: false, colour: 'moss', size: { want: { heightCm: 4 } }, hook: { hookMm: 6, strands: 2 } }
    expect(isInTexture(band(other), kept, [])).toBe(true)
    expect(isInTexture(band({ kind: 'sprigs', seamStitch: true }), kept, [])).toBe(false)
    expect(isInTexture(band({ kind: 'moss' }), kept, [])).toBe(false)
  })

  it('knows a repeat of the maker\'s own by its lines, whatever it is called in a bag', () => {
    const kept = keptTexture(band({ kind: 'own', repeat: 'own-1', swatch: counted }), [{ id: 'own-1', name: 'a', lines: LINES }])!
    const called = [{ id: 'own-1', name: 'another', lines: ['sc in next 2'] }, { id: 'own-2', name: 'b', lines: LINES }]
    expect(isInTexture(band({ kind: 'own', repeat: 'own-2' }), kept, called)).toBe(true)
    expect(isInTexture(band({ kind: 'own', repeat: 'own-1' }), kept, called)).toBe(false)
  })

  it('is taken by a bag: every part in its texture is told by it, and the gauge stays where no plain stitch was counted', () => {
    const read = readSwatch(swatch({ kind: 'sprigs', seamStitch: false }))
    const before = bag(band({ kind: 'sprigs', seamStitch: false }), band({ kind: 'moss' }), band({ kind: 'sprigs', seamStitch: false }))
    const after = withChanges(before, takenFrom((read as { document: SwatchDocument }).document, before))
    expect(after.gauge).toEqual(before.gauge)
    expect(readDesign(after).ok).toBe(true)
    const heights = draft(after).parts.filter(({ from }) => from.wall).map(({ size }) => size.height.cm)
    // Ten rounds are 9.5 cm by the swatch; nobody counted the moss.
    expect(heights[0]).toBeCloseTo(9.5, 9)
    expect(heights[2]).toBeCloseTo(9.5, 9)
    expect(heights[1]).not.toBeCloseTo(9.5, 1)
  })

  it('brings its gauge along where that was counted too', () => {
    const read = readSwatch(sprigs)
    const before = bag(band({ kind: 'sprigs', seamStitch: false }))
    const after = withChanges(before, takenFrom((read as { document: SwatchDocument }).document, before))
    expect(after.gauge.measured.sc).toMatchObject({ stitches: 16 })
  })
})
