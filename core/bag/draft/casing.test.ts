import { stacked } from '../design/partIds'
import { describe, expect, it } from 'vitest'
import type { Design } from '../design/design'
import { applyFix } from '../design/edit'
import { newDesign } from '../design/starter'
import type { EyeletsSpec } from '../../parts/mouth/eyeletFields'
import { translate } from '../../things/stitch/translate'
import { patternOf } from '../../readers/words/pattern'
import { yarnNeeds } from '../yarn/yarn'
import { draft } from './draft'

const gauge = {
  hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 }, dc: { stitches: 20, rounds: 10, overCm: 10 } },
} as const
const casing: EyeletsSpec = {
  kind: 'eyelets', eyelets: 'boxes', between: 4, chains: 2, evenOut: false, colour: 'main',
  cords: { number: 2, kind: 'chain', size: { want: { tailCm: 10 } }, opening: true, colour: 'moss' },
}
const plain = { kind: 'solid', stitch: 'sc', size: { pin: { rounds: 6 } }, colour: 'main' } as const
const pouch: Design = {
  ...newDesign('Pouch'), gauge, base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 48 } }, colour: 'main' }, turnUp: 'plain',
  yarns: [
    { id: 'main', name: 'undyed cotton', colour: '#ffffff' },
    { id: 'moss', name: 'moss green cotton', colour: '#00ff00' },
  ],
  wall: stacked([plain, casing]),
}
const codes = (design: Design) => draft(design).findings.map(({ code }) => code)
const cordsOf = (design: Design, terms: 'us' | 'uk' = 'us') => patternOf(draft(design), terms).sections.find(({ part }) => part === 'cords')
const withCords = (over: Partial<NonNullable<EyeletsSpec['cords']>>): Design => ({
  ...pouch,
  wall: stacked([plain, { ...casing, cords: { ...casing.cords!, ...over } }]),
})

describe('a pouch with cords', () => {
  it('tells their length, what the mouth does, and nothing more', () =>
    expect(codes(pouch).filter(code => /cord|mouth/.test(code))).toEqual(['cord-length', 'mouth-closes']))

  it('says when they are short', () => {
    expect(codes(withCords({ size: { pin: { lengthCm: 26 } } }))).toContain('cord-short')
  })

  it('is careful for a child, and with long ends; shorter ones are one click away', () => {
    expect(codes({ ...pouch, forChild: true })).toContain('cords-for-a-child')
    const long = withCords({ size: { want: { tailCm: 60 } } })
    const finding = draft(long).findings.find(({ code }) => code === 'cords-long')!
    expect(finding.weight).toBe('caution')
    expect(finding.what).toContain('EN 71-1')
    expect(codes(applyFix(long, finding.fix!).design)).not.toContain('cords-long')
    expect(patternOf(draft({ ...pouch, forChild: true }), 'us').care.at(-1)).toContain('For a child')
  })

  it('writes how to make, thread and finish them, in both vocabularies', () => {
    const us = cordsOf(withCords({ kind: 'slip-stitched' }))!.advice.join(' ')
    expect(us).toContain('Two cords, of moss green cotton, each made so: ch 100, then sl st in the back bump of each ch: 44 cm long')
    expect(us).toContain('There are 24 eyelets; count them from the start of the round. Put a marker in 1 and 13, 12 apart.')
    expect(us).toContain('Loop one around the post after eyelet')
    expect(us).toContain('1 cm to 1.5 cm beyond')
    expect(cordsOf(withCords({ kind: 'slip-stitched' }), 'uk')!.advice.join(' ')).toContain('then ss in the back bump')
    expect(cordsOf(withCords({ kind: 'bought', number: 1 }))!.advice[0]).toBe('One cord: a bought cord, 44 cm long once it is knotted.')
    expect(cordsOf({ ...pouch, wall: stacked([plain]) })).toBeUndefined()
  })

  it('turns the second cord the other way where half the eyelets is odd', () => {
    const odd = { ...pouch, base: { ...pouch.base, size: { pin: { stitches: 36 } } } } as Design
    expect(cordsOf(odd)!.advice.join(' ')).toContain('the other way round')
  })

  it('counts the yarn of the cords with their own yarn', () => {
    // By hand: two cords of 50 cm worked and two short ones of 30, at 3.5 times their length, and no ends of a round.
    const moss = yarnNeeds(draft(pouch)).find(({ yarn }) => yarn.id === 'moss')!
    expect(moss.stitches).toBe(0)
    expect(moss.metres).toBeCloseTo((2 * 50 * 3.5 + 2 * 30 * 3.5 + 2 * 15) / 100, 6)
    expect(yarnNeeds(draft(withCords({ kind: 'bought' }))).map(({ yarn }) => yarn.id)).toEqual(['main'])
  })

  it('is mended below or by skipping more, when the count is odd', () => {
    const odd = { ...pouch, base: { ...pouch.base, size: { pin: { stitches: 50 } } } } as Design
    const finding = draft(odd).findings.find(({ code }) => code === 'does-not-divide')!
    const fixes = [finding.fix!, ...finding.otherFixes!]
    expect(fixes.map(({ label }) => label)).toEqual([
      expect.stringMatching(/^2 fewer in a round below: 48/), expect.stringMatching(/^2 more in a round below: 52/),
      expect.stringContaining('Skip a stitch more'),
    ])
    for (const fix of fixes) expect(draft(applyFix(odd, fix).design).findings.filter(({ weight }) => weight === 'stop')).toEqual([])
  })

  it('runs through the gaps of groups, with no round of its own', () => {
    const gaps: Design = {
      ...pouch,
      wall: stacked([
        { kind: 'groups', size: { pin: { rounds: 3 } }, colour: 'main' },
        { ...casing, eyelets: 'gaps' },
      ]),
    }
    expect(draft(gaps).parts.at(-1)!.rounds).toHaveLength(0)
    expect(cordsOf(gaps)!.advice.join(' ')).toContain('There are 12 eyelets')
    expect(patternOf(draft(gaps), 'us').sections.map(({ title }) => title)).toContain('Casing')
  })
})

describe('stitches named before the vocabulary is known', () => {
  it('are put into words by abbreviation or by name, and what is no stitch is left alone', () => {
    expect(translate('{dc} on {sc.name}, {never}', { terms: 'us', units: 'cm' })).toBe('dc on single crochet, {never}')
    expect(translate('{dc} on {sc.name}', { terms: 'uk', units: 'cm' })).toBe('tr on double crochet')
  })
})
