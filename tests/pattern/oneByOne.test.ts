import { describe, expect, it } from 'vitest'
import type { Design } from '../../core/bag/design/design'
import { applyFix } from '../../core/bag/design/edit'
import { stacked } from '../../core/bag/design/partIds'
import { newDesign } from '../../core/bag/design/starter'
import { draft } from '../../core/bag/draft/draft'
import type { WallSpec } from '../../core/parts/wall/wall'
import { patternOf, roundLines } from '../../core/readers/words/pattern'
import { yarnNeeds } from '../../core/bag/yarn/yarn'
import { demoDesigns, randomDesigns } from './spokenOf'

const gauge: Design['gauge'] = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const tube = (stitches: number): Design['base'] => ({ form: 'tube', stitch: 'sc', size: { pin: { stitches } }, colour: 'main' })
const bag = (over: Partial<Design>, ...wall: WallSpec[]): Design => ({
  ...newDesign('Bag'), gauge, base: tube(48), turnUp: 'plain', wall: stacked(wall), ...over,
})
const wordsOf = (design: Design) => roundLines(draft(design), 'us').map(({ words }) => words)
const net = (more: object = {}): WallSpec => ({
  kind: 'loops', skip: 1, first: 5, hold: { pin: { chains: 5 } }, size: { pin: { rounds: 3 } }, ends: 'closed',
  finish: { inLoop: 4, inStitch: 1 }, colour: 'main', ...more,
})
const solid: WallSpec = { kind: 'solid', stitch: 'sc', size: { pin: { rounds: 2 } }, colour: 'main' }

describe('where the hook stands', () => {
  it('is in the middle of the closing loop after a net: half of it is worked first, half at the end', () => {
    const words = wordsOf(bag({}, net(), solid))
    expect(words.at(-3)).toBe(
      'Ch 1; 2 sc in this half of the loop you are in, sc in next st, [4 sc in next loop, sc in next st] 23 times, 2 sc in the other '
      + 'half of the first loop; join with sl st to first sc',
    )
    expect(words.at(-2)).toContain('beg in same st as join')
  })

  it('is said where a net does not turn in turned work', () => {
    const words = wordsOf(bag({ rounds: { style: 'turned', startingChainCounts: false } }, solid, net()))
    expect(words.filter(text => text.includes('do not turn'))).toHaveLength(4)
    expect(words[1]).toContain('Ch 1, turn;')
  })

  it('is at the wrong end of a fan of even rows, which is refused with odd ones as the fix', () => {
    const design = bag({}, net({ motif: { stitches: 4, rows: 2, every: 2, between: 3 }, size: { pin: { rounds: 5 } } }))
    const stop = draft(design).findings.find(({ code }) => code === 'fan-even-rows')!
    expect(stop.weight).toBe('stop')
    const { design: mended } = applyFix(design, stop.fix!)
    expect(draft(mended).findings.some(({ weight }) => weight === 'stop')).toBe(false)
    expect(patternOf(draft(mended), 'us').special.find(({ short }) => short === 'fan')!.long).toContain('turn, ch 3 (counts as first dc)')
  })
})

describe('what stands on an edge without stems', () => {
  it('does not go around a post: turning up so is refused on a folded piece, and plainly is the fix', () => {
    const base: Design['base'] = {
      form: 'folded', stitch: 'sc', pattern: 'plain', fold: 'below', seam: 'whip', size: { pin: { repeats: 4, rows: 12 } }, repeat: 6,
      edgeStitches: 0, colour: 'main',
    }
    const design = bag({ base, turnUp: 'post' }, solid)
    const stop = draft(design).findings.find(({ code }) => code === 'no-post')!
    expect(stop.weight).toBe('stop')
    expect(draft(applyFix(design, stop.fix!).design).findings.some(({ weight }) => weight === 'stop')).toBe(false)
    const [advice] = patternOf(draft(applyFix(design, stop.fix!).design), 'us').sections[0]!.advice
    expect(advice).toContain('1 into each of the 6 row ends, 6 sts in all a side')
    expect(advice).toContain('24 sts of the last row, then into the 24 chs of the underside')
  })
})

describe('a starting chain that counts', () => {
  const rounds = { style: 'joined', startingChainCounts: true } as const
  it('is worked on into its space, and joined to where the stitch ends', () => {
    const eyelets: WallSpec = { kind: 'boxes', chains: 1, finish: false, size: { pin: { rounds: 1 } }, colour: 'main' }
    expect(wordsOf(bag({ rounds }, eyelets)).at(-1)).toMatch(
      /^Ch 4 \(counts as first dc and ch 1\); .*; join with sl st to 3rd ch of beg ch$/,
    )
  })

  it('stands on a chain of the foundation that is named, where more goes into it', () => {
    const base: Design['base'] = {
      form: 'circle', stitch: 'dc', increases: 12, size: { pin: { rounds: 2 } }, start: 'chain', placing: 'staggered', increaseAt: 'last',
      colour: 'main',
    }
    expect(wordsOf(bag({ rounds, base }))[0]).toBe(
      'Sk 3 chs (count as first dc); 11 dc in 4th ch from hook; join with sl st to top of beg ch',
    )
  })
})

describe('yarn and findings', () => {
  it('counts every strand that is held together', () => {
    const [one] = yarnNeeds(draft(bag({}, solid)))
    const [two] = yarnNeeds(draft(bag({ gauge: { ...gauge, strands: 2 } }, solid)))
    expect(two!.metres).toBeCloseTo(2 * one!.metres, 6)
    const facts = patternOf(draft(bag({ gauge: { ...gauge, strands: 2 } }, solid)), 'us').facts
    expect(facts.find(({ name }) => name === 'Strands')!.value).toBe('hold two strands together throughout')
  })

  it('tells identical findings once', () => {
    for (const design of [...demoDesigns().map(one => one.design), ...randomDesigns(40)]) {
      const told = draft(design)
        .findings.filter(({ weight }) => weight !== 'stop')
        .map(({ code, what }) => code + what)
      expect(new Set(told).size).toBe(told.length)
    }
  })

  it('tells sizes over four inches and in tension to those who want them', () => {
    const facts = patternOf(draft(bag({ units: 'in' }, solid)), 'uk').facts
    expect(facts.find(({ name }) => name === 'Tension')!.value).toBe('20.5 dc and 20.5 rounds over 4 in (or the hook that gives you this)')
    expect(facts.map(({ value }) => value).join(' ')).not.toMatch(/\d cm/)
  })
})
