import { describe, expect, it } from 'vitest'
import { stacked } from '../../bag/design/partIds'
import { withChanges } from '../../bag/design/edit'
import { readDesign } from '../../bag/design/read'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import type { WallSpec } from '../../parts/wall/wall'
import { yarnNeeds } from '../../bag/yarn/yarn'
import { NOTHING_YET } from '../../making/make/makeState'
import { inHand } from '../../making/make/plan'
import { newPlan } from '../../making/make/newPlan'
import { fixesInHand, yarnFixes } from './fixes'

const SURE = { gramsPerMetre: 0.4, spread: 0.001 }

/* A tube of 60 sc of half a centimetre: 2.25 m, 0.9 g a round. */
const bag = (...wall: WallSpec[]) => draft({
  ...newDesign('Tube'), rounds: { style: 'spiral', startingChainCounts: false }, turnUp: 'plain',
  yarns: [{ id: 'main', name: 'undyed cotton', colour: '#dccba6' }, { id: 'moss', name: 'moss green cotton', colour: '#71834f' }],
  gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } },
  base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 60 } }, colour: 'main' }, wall: stacked(wall),
})
const band = (rounds: number, colour = 'main'): WallSpec => ({ kind: 'solid', stitch: 'sc', size: { pin: { rounds } }, colour })

describe('what lets a yarn last, by hand', () => {
  it('is a band with as few rounds less as will do: 31 rounds and the ends are 28.02 g; of 25.5 g 28 rounds are made', () => {
    const short = { draft: bag(band(10), band(20)), yarn: 'main', haveGrams: 25.5, eats: SURE }
    const [fewer] = yarnFixes(short)
    // 25.5 g less 0.12 for the ends are 28.2 rounds: the tube's own, ten, and 17 of 20.
    expect(fewer!.label).toContain('17 rounds instead of 20')
    expect(fewer!.wants.grams).toBeCloseTo(28 * 0.9 + 0.12, 6)
    expect(fewer!.odds).toBeGreaterThanOrEqual(0.9)
  })

  it('is another yarn of the bag from as high up as will do', () => {
    const short = { draft: bag(band(10), band(10), band(10)), yarn: 'main', haveGrams: 20, eats: SURE }
    // 19.9 g are 22 rounds: without the last band 21 are left.
    const other = yarnFixes(short).find(({ label }) => label.startsWith('moss green cotton'))!
    expect(other.label).toContain('plain wall 3')
    expect(other.changes.map(({ path }) => path[1])).toEqual(['part-3', 'part-3'])
  })

  it('is a bag that can be kept and worked, and wants what it says', () => {
    const short = { draft: bag(band(10), band(20)), yarn: 'main', haveGrams: 16, eats: SURE }
    const fixes = yarnFixes(short)
    expect(fixes.length).toBeGreaterThan(0)
    for (const fix of fixes) {
      const design = withChanges(short.draft.design, fix.changes)
      const read = readDesign(JSON.parse(JSON.stringify(design)))
      expect(read.ok).toBe(true)
      const metres = yarnNeeds(draft(design)).find(({ yarn }) => yarn.id === 'main')!.metres
      expect(metres * SURE.gramsPerMetre).toBeCloseTo(fix.wants.grams, 9)
    }
  })

  it('is nothing where the base alone takes more than there is', () => {
    expect(yarnFixes({ draft: bag(band(3)), yarn: 'main', haveGrams: 0.5, eats: SURE })).toEqual([])
  })
})

describe('stripes and a smaller base, by hand', () => {
  it('is a band in stripes with as little of the other as will do', () => {
    const short = { draft: bag(band(24)), yarn: 'main', haveGrams: 18.5, eats: SURE }
    const found = yarnFixes(short).find(({ label }) => label.includes('in stripes'))!
    // 25 rounds are 22.5 g. Six and two leave 18 of 24: with the tube's own 19 rounds, 17.1 g, and two ends.
    expect(found.label).toBe('Plain wall: in stripes of 6 and 2 rounds with moss green cotton')
    expect(found.wants.grams).toBeCloseTo(17.1 + 0.12, 6)
    const more = yarnFixes({ ...short, haveGrams: 14 }).find(({ label }) => label.includes('in stripes'))!
    expect(more.label).toContain('stripes of 2 and 2 rounds')
  })

  it('is a smaller base that is pinned, with the wall as it was', () => {
    const wide = draft({
      ...bag(band(20)).design, base: { form: 'tube', stitch: 'sc', size: { want: { flatWidthCm: 15 } }, colour: 'main' },
    })
    const found = yarnFixes({ draft: wide, yarn: 'main', haveGrams: 17.5, eats: SURE }).find(({ label }) => label.startsWith('A smaller'))!
    // 21 rounds of n sc are n x 21 x 0.015 g: 60 are 18.9, 56 are 17.64, 55 are 17.325 and with the ends 17.445.
    expect(found.label).toMatch(/^A smaller base: 55 stitches, 1\.3 cm narrower lying flat/)
    expect(withChanges(wide.design, found.changes).base).toMatchObject({ size: { pin: { stitches: 55 } } })
  })
})

describe('straps, by hand', () => {
  // Two straps of six along, 100 long: of less than they want they are made narrower, or shorter.
  const straps = {
    kind: 'sewn-straps', number: 2, worked: 'along', wide: 6, length: { pin: { count: 100 } }, inCm: 3, overlapCm: 4, lines: 2,
    stitch: 'sc', sewn: 'back', reinforced: 'none', nudge: 0, colour: 'moss',
  } as unknown as WallSpec

  it('are narrower by as few stitches, or shorter by as few chains, as let it last', () => {
    const drafted = bag(band(10), straps)
    const all = yarnNeeds(drafted).find(({ yarn }) => yarn.id === 'moss')!.metres * 0.4
    const labels = yarnFixes({ draft: drafted, yarn: 'moss', haveGrams: 0.9 * all, eats: SURE }).map(({ label }) => label)
    expect(labels).toEqual([
      'Sewn straps: 5 stitches across instead of 6',
      expect.stringMatching(/^Sewn straps: [89]\d chains instead of 100$/),
    ])
  })
})

describe('what lets a yarn last of a bag on the hook', () => {
  const plan = bag(band(10), band(20)).design
  const hand = (done: number) => inHand({ ...NOTHING_YET, plan, spot: { leg: `r${done}`, beats: 'all' } })!

  // After round 15 sixteen are to come, 14.4 g, and the ends: of 10 g eleven are made, so nine of the twenty are left out.
  it('leaves what is worked as it is, and counts only what is to come', () => {
    const [fewer, ...others] = fixesInHand(hand(15), 'main', 15, 10, SURE)
    expect(fewer!.label).toBe('Plain wall 2: 14 rounds instead of 20')
    expect(fewer!.wants.grams).toBeCloseTo(10 * 0.9 + 0.12, 6)
    // The second band is begun: neither its colour nor its stripes nor the base can change.
    expect(others).toEqual([])
    expect(newPlan(hand(15), withChanges(plan, fewer!.changes)).can).toBe(true)
  })

  it('takes another yarn from what is not begun on, and no fewer rounds than are done', () => {
    const labels = fixesInHand(hand(8), 'main', 8, 5, SURE).map(({ label }) => label)
    expect(labels).toContain('moss green cotton from plain wall 2 on')
    // After round 30 one is to come, which is left out; after the last nothing can be.
    expect(fixesInHand(hand(30), 'main', 30, 0.5, SURE).map(({ label }) => label)).toEqual(['Plain wall 2: 19 rounds instead of 20'])
    expect(fixesInHand(hand(31), 'main', 31, 0.1, SURE)).toEqual([])
  })
})
