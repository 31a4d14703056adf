import { stacked } from '../../bag/design/partIds'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyContents, SEED } from '../../../tests/arbitraries/designs'
import type { Design } from '../../bag/design/design'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { sackCm3 } from '../../bag/draft/sizes'
import { CIRCLE_FOR } from './balls'
import { type Contents, EASE_CM, propose, roomOf } from './contents'

const pouch = newDesign('Carrier')

function bagFor(contents: Contents): Design {
  const { base, heightCm } = propose(contents, 'sc', 'main')
  return { ...pouch, contents, base, wall: stacked([{ kind: 'solid', stitch: 'sc', size: { want: { heightCm } }, colour: 'main' }]) }
}

const codes = (design: Design) => draft(design).findings.map(({ code }) => code)

describe('contents', () => {
  it('a box 24 x 9 x 30 cm: a rectangle with a centimetre of ease all round', () => {
    expect(propose({ kind: 'box', lengthCm: 24, widthCm: 9, heightCm: 30 }, 'sc', 'main')).toMatchObject({
      base: { form: 'rectangle', size: { want: { lengthCm: 26, widthCm: 11 } } },
      heightCm: 32,
    })
  })

  it('a bottle 8 cm across: a circle; a folded cloth: an oval', () => {
    expect(propose({ kind: 'bottle', acrossCm: 8, heightCm: 30 }, 'sc', 'main').base).toMatchObject({
      form: 'circle',
      size: { want: { diameterCm: 10 } },
    })
    expect(propose({ kind: 'cloth', lengthCm: 30, widthCm: 12, heightCm: 10 }, 'sc', 'main').base.form).toBe('oval')
  })

  it('six apples of 7 cm: by hand, three a layer are 2.1547 * 7 = 15.1 cm across, two layers 7 + 5.7 = 12.7 cm tall', () => {
    const room = roomOf({ kind: 'balls', count: 6, acrossCm: 7 })
    expect(room.layers).toEqual({ each: 3, count: 2 })
    expect(room.lengthCm).toBeCloseTo(15.083, 3)
    expect(room.heightCm).toBeCloseTo(12.715, 3)
  })

  it('packs circles no tighter than their own area', () => {
    CIRCLE_FOR.slice(1).forEach((across, i) => expect(across * across).toBeGreaterThanOrEqual(i + 1 - 1e-9))
  })

  it('fit the bag that they propose, whatever they are', () => {
    fc.assert(
      fc.property(anyContents, (contents) => {
        expect(codes(bagFor(contents)), JSON.stringify(contents)).toContain('contents-fit')
      }),
      { ...SEED, numRuns: 80 },
    )
  })

  it('outgrow a bag made smaller, and are told where', () => {
    const bag = bagFor({ kind: 'bottle', acrossCm: 8, heightCm: 30 })
    const small = draft({ ...bag, base: { ...pouch.base, size: { want: { diameterCm: 6 } } } as Design['base'] })
    const finding = small.findings.find(({ code }) => code === 'contents-outgrow')!
    expect(finding.what).toContain('across the floor {8 cm} is needed')
    expect(finding.what).not.toContain('mouth')
  })

  it('fit a bag without a floor by going round', () => {
    const flat = (flatWidthCm: number) =>
      codes({
        ...bagFor({ kind: 'box', lengthCm: 20, widthCm: 5, heightCm: 10 }),
        base: { form: 'tube', stitch: 'sc', size: { want: { flatWidthCm } }, colour: 'main' },
      })
    expect(flat(26)).toContain('contents-fit')
    expect(flat(23)).toContain('contents-outgrow')
  })
})

describe('a sack', () => {
  it('holds less than the cylinder of its edge, and more the larger it is', () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 60, noNaN: true }), fc.double({ min: 2, max: 60, noNaN: true }), (width, height) => {
        const cylinder = (height * (2 * width) ** 2) / (4 * Math.PI)
        expect(sackCm3(width, height)).toBeLessThan(cylinder)
        expect(sackCm3(width, height)).toBeGreaterThan(0)
        expect(sackCm3(width * 1.1, height * 1.1) / sackCm3(width, height)).toBeCloseTo(1.1 ** 3, 6)
      }),
      SEED,
    )
    expect(EASE_CM).toBe(1)
  })
})
