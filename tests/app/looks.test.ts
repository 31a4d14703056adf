import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { spreadLabels } from '~/looks/spreadLabels'
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
