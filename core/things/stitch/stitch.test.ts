import { describe, expect, it } from 'vitest'
import { STITCH_CODE, STITCH_KINDS, stitchName, STITCHES } from './dictionary'
import { HOOK_SIZES, hookLabel } from './hooks'
import { YARN_WEIGHTS, yarnWeightFor } from './yarnWeights'

describe('the dictionary', () => {
  // The vocabulary table of the craft, section 2 (names by the Craft Yarn Council's abbreviations list; heights common practice, no
  // source).
  it.each([
    ['ch', 'chain', 'ch', 'chain', 'ch', 1], ['slst', 'slip stitch', 'sl st', 'slip stitch', 'ss', 0],
    ['sc', 'single crochet', 'sc', 'double crochet', 'dc', 1], ['hdc', 'half double crochet', 'hdc', 'half treble', 'htr', 2],
    ['dc', 'double crochet', 'dc', 'treble', 'tr', 3], ['tr', 'treble crochet', 'tr', 'double treble', 'dtr', 4],
  ] as const)('%s', (kind, us, usShort, uk, ukShort, chains) => {
    expect(stitchName(kind, 'us')).toEqual({ name: us, abbreviation: usShort })
    expect(stitchName(kind, 'uk')).toEqual({ name: uk, abbreviation: ukShort })
    expect(STITCHES[kind].heightChains).toBe(chains)
  })

  it('gives every kind a code of its own', () => {
    expect(new Set(Object.values(STITCH_CODE)).size).toBe(STITCH_KINDS.length)
  })

  it('never uses one abbreviation for two stitches of a vocabulary', () => {
    for (const terms of ['us', 'uk'] as const) {
      expect(new Set(STITCH_KINDS.map(kind => stitchName(kind, terms).abbreviation)).size).toBe(STITCH_KINDS.length)
    }
  })
})

describe('hooks and yarns', () => {
  // Craft Yarn Council, Standards & Guidelines, "Crochet Hook Sizes" (from memory).
  it.each([
    [2.25, 'B-1'], [3.5, 'E-4'], [4, 'G-6'], [5, 'H-8'], [6, 'J-10'], [6.5, 'K-10½'], [8, 'L-11'], [9, 'M/N-13'],
  ])('%s mm is US %s', (mm, us) => {
    expect(HOOK_SIZES.find(hook => hook.mm === mm)?.us).toBe(us)
  })

  it('labels hooks by millimetres first', () => {
    expect(hookLabel(3.5)).toBe('3.5 mm (US E-4, UK 9)')
    expect(hookLabel(3.8)).toBe('3.8 mm')
  })

  // Craft Yarn Council, Standard Yarn Weight System (from memory): medium is 11 to 14 sc in 4 inches, light 12 to 17, super bulky 7 to 9.
  it.each([
    [12.5 / 10.16, 3], [11 / 10.16, 4], [18 / 10.16, 2], [8.5 / 10.16, 5], [2 / 10.16, 7], [60 / 10.16, 1],
  ])('finds the class for %s sc a cm: %s', (perCm, number) => {
    expect(yarnWeightFor(perCm).number).toBe(number)
  })

  it('runs in order of size', () => {
    const sizes = HOOK_SIZES.map(({ mm }) => mm)
    expect(sizes).toEqual([...sizes].sort((a, b) => a - b))
    expect(YARN_WEIGHTS.map(({ number }) => number)).toEqual([0, 1, 2, 3, 4, 5, 6, 7])
    // Thicker yarn: fewer stitches in four inches, in every class from 1 to 7.
    for (let i = 2; i < 8; i++) expect(YARN_WEIGHTS[i]!.stitchesIn4Inches[1]).toBeLessThan(YARN_WEIGHTS[i - 1]!.stitchesIn4Inches[1])
  })
})
