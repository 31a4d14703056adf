import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { spreadLabels } from '~/looks/spreadLabels'
import { dashes, lettersFor, trackIn } from '~/looks/track'
import { lightness, standOutLine } from '~/looks/yarnShade'
import { dark, light } from '~/theme'
import { SEED } from '../arbitraries/designs'

/** Contrast of two colours as WCAG 2.2 defines it (success criterion 1.4.3). */
function contrast(a: string, b: string): number {
  const [high, low] = [lightness(a), lightness(b)].sort((x, y) => y - x) as [number, number]
  return (high + 0.05) / (low + 0.05)
}

/** A colour laid over another at a share of its strength. */
function over(top: string, share: number, below: string): string {
  const part = (hex: string, at: number) => parseInt(hex.slice(at, at + 2), 16)
  return (
    '#'
    + [1, 3, 5]
      .map(at =>
        Math.round(part(top, at) * share + part(below, at) * (1 - share))
          .toString(16)
          .padStart(2, '0'),
      )
      .join('')
  )
}

describe('contrast', () => {
  it('is known for black on white', () => expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 9))

  it.each([
    ['by day', light],
    ['by lamp', dark],
  ] as const)('%s is at least 4.5 to 1 for everything written', (_, { colors }) => {
    for (const ground of [colors.background, colors.surface]) {
      for (const ink of [
        colors['on-surface'], colors['on-background'], colors.primary, colors.error, colors.info, colors.success, colors.warning,
        colors.secondary,
      ]) {
        expect(contrast(ink, ground), `${ink} on ${ground}`).toBeGreaterThanOrEqual(4.5)
      }
      // The softer ink of labels and captions.
      expect(contrast(over(colors['on-surface'], 0.76, ground), ground)).toBeGreaterThanOrEqual(4.5)
    }
    expect(contrast(colors['on-primary'], colors.primary)).toBeGreaterThanOrEqual(4.5)
  })

  it('of increases on a yarn is at least 3 to 1, whatever the yarn (WCAG 1.4.11)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), (n) => {
        const yarn = `#${n.toString(16).padStart(6, '0')}`
        expect(contrast(standOutLine(yarn), yarn)).toBeGreaterThanOrEqual(3)
      }),
      { ...SEED, numRuns: 2000 },
    )
  })
})

describe('labels beside the bag', () => {
  it('keep their order, never overlap, and stay near where they point', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 600, noNaN: true }), { minLength: 1, maxLength: 8 }), (heights) => {
        const wanted = [...heights].sort((a, b) => a - b)
        const placed = spreadLabels(wanted, 56, 24, 620)
        placed.slice(1).forEach((y, i) => expect(y - placed[i]!).toBeGreaterThanOrEqual(56 - 1e-9))
        expect(placed.at(-1)!).toBeLessThanOrEqual(620 + 1e-9)
      }),
      SEED,
    )
  })

  it('stand just where they point if there is room', () => expect(spreadLabels([100, 300, 500], 56, 24, 620)).toEqual([100, 300, 500]))
})

describe('the round as a track', () => {
  it('begins and ends in the middle of its foot, and stays within its box', () => {
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 1400 }), fc.integer({ min: 60, max: 900 }), fc.boolean(), fc.nat(1000),
        (width, height, mirrored, thousandths) => {
          const { at } = trackIn(width, height, 11, mirrored)
          for (const end of [at(0), at(1)]) {
            expect(end.x).toBeCloseTo(width / 2, 6)
            expect(end.y).toBeCloseTo(height - 11, 6)
          }
          const { x, y } = at(thousandths / 1000)
          expect(Math.min(x - 11, y - 11, width - 11 - x, height - 11 - y)).toBeGreaterThan(-0.001)
          // Against the clock for right hands: from its foot to the right and up.
          expect(Math.sign(at(0.2).x - width / 2)).toBe(mirrored ? -1 : 1)
        }),
      SEED,
    )
  })

  it('is dashed as far as it is done: so many whole groups and the share of one', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 60 }), fc.double({ min: 0.001, max: 1, noNaN: true }), (groups, share) => {
        const done = share * groups
        const list = dashes(groups, done).split(' ').map(Number)
        const drawn = list.filter((_, i) => i % 2 === 0)
        expect(drawn).toHaveLength(Math.floor(done) + 1)
        expect(list.at(-1)).toBeGreaterThan(groups)
      }),
      SEED,
    )
    expect(dashes(8, 0)).toMatch(/^0 /)
  })

  it('has letters as large as the room takes, and never too small to read', () => {
    expect(lettersFor('Sc in next st', 300, 250, 92)).toBeGreaterThan(55)
    expect(lettersFor('Ch 1', 300, 250, 92)).toBe(92)
    expect(lettersFor('x'.repeat(2000), 300, 250, 92)).toBe(15)
    fc.assert(
      fc.property(fc.string({ minLength: 1, maxLength: 200 }), fc.integer({ min: 100, max: 900 }), (text, width) =>
        lettersFor(text, width, 300, 92) >= lettersFor(`${text} and more`, width, 300, 92)),
      SEED,
    )
  })
})
