import { stacked } from '../design/partIds'
import { valuesIn } from '../../things/stitch/translate'
import { describe, expect, it } from 'vitest'
import type { Design } from '../design/design'
import { applyFix } from '../design/edit'
import { newDesign } from '../design/starter'
import { patternOf } from '../../readers/words/pattern'
import { draft } from './draft'

const gauge = {
  hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 }, dc: { stitches: 20, rounds: 10, overCm: 10 } },
} as const
const net = {
  kind: 'loops', skip: 1, first: 3, hold: { pin: { chains: 8 } }, size: { pin: { rounds: 10 } }, ends: 'closed', colour: 'main',
} as const
const bag: Design = {
  ...newDesign('Net'), gauge, base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 48 } }, colour: 'main' }, turnUp: 'plain',
  wall: stacked([net]), contents: { kind: 'balls', count: 8, acrossCm: 2.4 },
}
const found = (design: Design, code: string) => draft(design).findings.find(one => one.code === code)

describe('whether the apples stay in', () => {
  it('by hand: loops of eight chains of 0.5 cm let a ball of 2.5 cm through, and walnuts of 2.4 cm with it', () => {
    const finding = found(bag, 'holes-too-large')!
    expect(finding).toMatchObject({ weight: 'caution', part: 'part-1' })
    // By hand: 16 / (2 pi) = 2.546.
    expect(valuesIn(finding.what)[0]).toEqual({ cm: 2.5465 })
    expect(finding.what).toContain('A ball of {2.4 cm} can leave by them')
    expect([finding.fix!, ...finding.otherFixes!].map(({ label }) => label)).toEqual([
      'Loops of at most 6 chains', 'Boxes instead of loops', 'Line the bag',
    ])
  })

  it('is mended by any of the ways offered', () => {
    const finding = found(bag, 'holes-too-large')!
    for (const fix of [finding.fix!, ...finding.otherFixes!]) {
      const after = draft(applyFix(bag, fix).design)
      expect(
        after.findings.filter(({ code, weight }) => code.startsWith('holes-') || weight === 'stop'),
        fix.label,
      ).toEqual([])
    }
  })

  it('tells a lining\'s pieces, in the findings and in the pattern', () => {
    const lined = { ...bag, lining: { seamCm: 1 } }
    expect(found(lined, 'lining')!.what).toContain('front and back: 2 of')
    expect(patternOf(draft(lined), 'us').facts.find(({ name }) => name === 'Lining')!.value).toContain('seams and hem included')
    expect(found(lined, 'holes')!.what).toContain('The lining keeps things in')
  })

  it('fits by what the net can give, not by its floor', () => {
    expect(found(bag, 'contents-fit')!.what).toContain('a net gives')
    expect(found({ ...bag, contents: { kind: 'balls', count: 200, acrossCm: 9 } }, 'contents-outgrow')!.what).toContain('litres')
    expect(found({ ...bag, contents: { kind: 'box', lengthCm: 60, widthCm: 30, heightCm: 10 } }, 'contents-outgrow')!.what).toContain(
      'the net stretches to {86.4 cm}',
    )
  })

  it('says how it hangs, empty and loaded', () => {
    expect(draft(bag).sizes.loadedHeightCm).toBeGreaterThan(0)
    expect(found(bag, 'hangs')!.what).toContain('Around what it must hold it stands')
    expect(found({ ...bag, contents: undefined } as unknown as Design, 'hangs')!.what).toContain('Empty it hangs')
    expect(patternOf(draft(bag), 'us').facts.map(({ name }) => name)).toContain('Loaded')
    expect(draft({ ...bag, wall: [] }).sizes.loadedHeightCm).toBeUndefined()
  })

  it('speaks UK where the maker does', () => {
    const advice = (terms: 'us' | 'uk') => patternOf(draft(bag), terms).sections.at(-1)!.advice.join(' ')
    expect(advice('us')).toContain('ch 6 and hdc')
    expect(advice('uk')).toContain('ch 6 and htr')
    expect(advice('uk')).not.toMatch(/\{|single|\bsc\b/)
  })
})
