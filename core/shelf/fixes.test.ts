import { describe, expect, it } from 'vitest'
import { stacked } from '../design/partIds'
import { withChanges } from '../design/edit'
import { readDesign } from '../design/read'
import { newDesign } from '../design/starter'
import { draft } from '../draft/draft'
import type { WallSpec } from '../wall/wall'
import { yarnNeeds } from '../yarn/yarn'
import { yarnFixes } from './fixes'

const SURE = { gramsPerMetre: 0.4, spread: 0.001 }

/* A tube of 60 sc of half a centimetre: 2.25 m, 0.9 g a round. */
const bag = (...wall: WallSpec[]) => draft({
  ...newDesign('Tube'), rounds: { style: 'spiral', startingChainCounts: false }, turnUp: 'plain',
  yarns: [{ id: 'main', name: 'undyed cotton', colour: '#dccba6' }, { id: 'moss', name: 'moss green cotton', colour: '#71834f' }],
  gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } },
  base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 60 } }, colour: 'main' }, wall: stacked(wall),
})
const band = (rounds: number, colour = 'main'): WallSpec => ({ band: 'solid', stitch: 'sc', size: { pin: { rounds } }, colour })

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
    expect(other.label).toContain('wall 3')
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
