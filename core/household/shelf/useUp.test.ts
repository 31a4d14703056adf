import { describe, expect, it } from 'vitest'
import { stacked } from '../../bag/design/partIds'
import { withChanges } from '../../bag/design/edit'
import { readDesign } from '../../bag/design/read'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { isStopped } from '../../bag/draft/fold/draftPart'
import type { Change } from '../../parts/part/finding'
import type { WallSpec } from '../../parts/wall/wall'
import { patternOf } from '../../readers/words/pattern'
import { yarnNeeds } from '../../bag/yarn/yarn'
import type { Rate } from './yarnUse'
import { useUp, useUpWords } from './useUp'
import { growingIn, meantToUseUp } from './growing'

const SURE: Rate = { gramsPerMetre: 0.4, spread: 1e-9 }

/* A tube of 60 sc of half a centimetre: 2.25 m, 0.9 g a round. */
const bag = (...wall: WallSpec[]) => draft({
  ...newDesign('Tube'), rounds: { style: 'spiral', startingChainCounts: false }, turnUp: 'plain',
  yarns: [{ id: 'main', name: 'undyed cotton', colour: '#dccba6' }, { id: 'moss', name: 'moss green cotton', colour: '#71834f' }],
  gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } },
  base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 60 } }, colour: 'main' }, wall: stacked(wall),
})
const band = (rounds: number, colour = 'main'): WallSpec => ({ kind: 'solid', stitch: 'sc', size: { pin: { rounds } }, colour })
const straps: WallSpec = {
  kind: 'sewn-straps', number: 2, worked: 'along', wide: 6, length: { pin: { count: 100 } }, inCm: 3, overlapCm: 4, lines: 2, stitch: 'sc',
  sewn: 'back', reinforced: 'none', nudge: 0, colour: 'moss',
} as unknown as WallSpec
const casing: WallSpec = {
  kind: 'eyelets', eyelets: 'boxes', between: 4, chains: 2, evenOut: false,
  cords: { number: 2, kind: 'chain', size: { want: { tailCm: 10 } }, opening: false, colour: 'moss' }, colour: 'main',
} as unknown as WallSpec

const metresOf = (design: ReturnType<typeof bag>['design'], yarn: string) =>
  yarnNeeds(draft(design)).find(need => need.yarn.id === yarn)?.metres ?? 0

describe('a yarn used up, by hand', () => {
  // The tube's own round and r more are 0.9 (r + 1), the ends 0.12 g: of 50 g, 5 to be left, 48 rounds are 44.22 g, 49 are 45.12.
  it('is a band of as many rounds as leave what is to be left: 48 of 50 g, 5 g left', () => {
    const before = bag(band(20))
    const [growing] = growingIn(before, 'main')
    expect(growing).toMatchObject({ part: 'part-1', by: 'rounds', now: 20 })
    const found = useUp({ draft: before, yarn: 'main', haveGrams: 50, eats: SURE, leaveGrams: 5 }, growing!)!
    expect([found.much, found.expected, found.label]).toEqual([48, 48, 'Plain wall: 48 rounds instead of 20'])
    expect(found.wants.grams).toBeCloseTo(44.22, 6)
  })

  // Nine of ten is 1.2816 deviations of 0.2 (standard tables): 45 g are enough for 34.82 g expected: 37 rounds with the ends are 34.32.
  it('is as much as is sure, and says what is expected', () => {
    const before = bag(band(20))
    const used = { draft: before, yarn: 'main', haveGrams: 50, eats: { ...SURE, spread: 0.2 }, leaveGrams: 5 }
    const found = useUp(used, growingIn(before, 'main')[0]!)!
    expect([found.much, found.expected]).toEqual([37, 48])
    expect(useUpWords({ by: 'rounds' }, found, 5)).toMatch(/^37 rounds: 9\d % that \{5 g\} are left; as expected 48 rounds$/)
  })

  it('is nothing where even the least is too much', () => {
    const before = bag(band(20), band(30))
    const used = { draft: before, yarn: 'main', haveGrams: 20, eats: SURE, leaveGrams: 0 }
    for (const growing of growingIn(before, 'main')) expect(useUp(used, growing)).toBeUndefined()
  })
})

describe('what can use a yarn up', () => {
  it('is a band in rounds, a strap across and in length, a cord in length; each in its own yarn', () => {
    const all = bag(band(20), casing, straps)
    expect(growingIn(all, 'main').map(({ name }) => name)).toEqual(['Plain in undyed cotton, in rounds'])
    expect(growingIn(all, 'moss').map(({ part, by }) => `${part} ${by}`)).toEqual(['part-2 cords', 'part-3 across', 'part-3 length'])
  })

  it.each([...growingIn(bag(band(20), casing, straps), 'main'), ...growingIn(bag(band(20), casing, straps), 'moss')])(
    'takes as much as lasts and no more: $name',
    (growing) => {
      const before = bag(band(20), casing, straps)
      const yarn = growing.by === 'rounds' ? 'main' : 'moss'
      for (const share of [0.7, 1.3, 2.2]) {
        const haveGrams = share * metresOf(before.design, yarn) * 0.4
        const found = useUp({ draft: before, yarn, haveGrams, eats: SURE, leaveGrams: 1 }, growing)
        if (!found) continue
        const design = withChanges(before.design, found.changes)
        expect(readDesign(JSON.parse(JSON.stringify(design))).ok).toBe(true)
        expect(metresOf(design, yarn) * 0.4).toBeLessThanOrEqual(haveGrams - 1)
        const again = meantToUseUp(draft(design), yarn)
        expect(again).toMatchObject([{ growing: { part: growing.part, by: growing.by, now: found.much }, leaveGrams: 1 }])
        // One step more leaves less, or cannot be: the bag stops, or it is the most there is.
        const step = JSON.stringify(found.changes).replace(new RegExp(`:${found.much}(?=[,}])`), `:${found.much + 1}`)
        const more = draft(withChanges(before.design, JSON.parse(step) as Change[]))
        const stops = found.much === growing.most || more.parts.some(isStopped)
        if (!stops) expect(metresOf(more.design, yarn) * 0.4, step).toBeGreaterThan(haveGrams - 1)
      }
    },
  )

  it('says so in the pattern, in both vocabularies', () => {
    const before = bag(band(20))
    const found = useUp({ draft: before, yarn: 'main', haveGrams: 50, eats: SURE, leaveGrams: 5 }, growingIn(before, 'main')[0]!)!
    const after = draft(withChanges(before.design, found.changes))
    for (const terms of ['us', 'uk'] as const) {
      const { sections } = patternOf(after, terms)
      expect(sections.find(({ part }) => part === 'part-1')!.advice.join(' '))
        .toContain('This part uses its yarn up: written so that about 5 g of undyed cotton are left. Weigh what is left before')
    }
  })
})
