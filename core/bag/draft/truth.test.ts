import { describe, expect, it } from 'vitest'
import type { Design } from '../design/design'
import { stacked } from '../design/partIds'
import { newDesign } from '../design/starter'
import type { WallSpec } from '../../parts/wall/wall'
import { draft } from './draft'

/* Half a centimetre wide and half a centimetre tall a single crochet; by hand. */
const plain: WallSpec = { kind: 'solid', stitch: 'sc', size: { pin: { rounds: 20 } }, colour: 'main' }
const bag = (wall: readonly WallSpec[], base: Design['base'] = { form: 'tube', stitch: 'sc', size: { pin: { stitches: 72 } },
  colour: 'main' }): Design => ({
  ...newDesign('Truth'), gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }, turnUp: 'plain',
  base,
  wall: stacked(wall),
})
const edgings: readonly WallSpec[] = [
  { kind: 'picots', chains: 3, between: 2, colour: 'main' }, { kind: 'shells', stitches: 5, colour: 'main' },
  { kind: 'ruffle', inEach: 3, every: 3, stitch: 'sc', colour: 'main' },
]

describe('sizes that are true of the bag\'s body', () => {
  it('an edging above changes neither the flat width nor what the bag holds', () => {
    const { flatWidth, litres, height } = draft(bag([plain])).sizes
    expect(flatWidth.cm).toBeCloseTo(18, 9)
    for (const edging of edgings) {
      const { sizes } = draft(bag([plain, edging]))
      expect(sizes.flatWidth.cm, edging.kind).toBeCloseTo(flatWidth.cm, 9)
      expect(sizes.litres, edging.kind).toBeCloseTo(litres, 9)
      expect(sizes.height.cm, edging.kind).toBeGreaterThan(height.cm)
    }
  })

  it('how full an edging is compares lengths: points of chain lengthen nothing', () => {
    const says = (edging: WallSpec) => draft(bag([plain, edging])).findings.find(({ code }) => code === 'edging-fullness')!.what
    // A stitch in every stitch, with points between; five for six, held open; three in every second, then an increase in every third: 2.
    expect(says(edgings[0]!)).toContain('1.00 times as long as what they stand on: it lies flat')
    expect(says(edgings[1]!)).toContain('lies flat')
    expect(says(edgings[2]!)).toContain('2.00 times as long as what they stand on: it ruffles')
  })

  it('a round floor folds into the height of a bag that lies flat: 12 rounds of half a centimetre add 6', () => {
    const disc = { ...newDesign('x').base, increases: 6, size: { pin: { rounds: 12 } } } as Design['base']
    const { height, flatHeight, floor } = draft(bag([plain], disc)).sizes
    expect(height.cm).toBeCloseTo(10, 9)
    expect(floor.width.cm).toBeGreaterThan(11)
    expect(flatHeight.cm).toBeCloseTo(10 + floor.width.cm / 2, 9)
    const flat = draft(bag([plain])).sizes
    expect(flat.flatHeight.cm).toBeCloseTo(flat.height.cm, 9)
  })

  it('handles held together in one hand reach half their length up', () => {
    const slots = {
      kind: 'slots', number: 2, width: { pin: { stitches: 16 } }, chains: { pin: { chains: 32 } }, into: 'chains', corners: 0, rounds: 1,
      stitch: 'sc', nudge: 0, colour: 'main',
    } as WallSpec
    const { withHandles, height } = draft(bag([plain, slots])).sizes
    // Feet half a centimetre above the wall's 10.5; 32 chains are 16 cm, 8 up; the handle is a round of half a centimetre wide.
    expect(height.cm).toBeCloseTo(11.5, 9)
    expect(withHandles!.togetherCm).toBeCloseTo(10.5 + 0.5 + 8 + 0.5, 9)
    expect(withHandles!.emptyCm).toBeCloseTo(11 + Math.sqrt(8 ** 2 - 4 ** 2) + 0.5, 9)
  })
})

describe('findings that fit the bag', () => {
  it('say nothing of rounds where there are none, of a floor where there is none, of edgings where there is none', () => {
    const rows: Design = {
      ...bag([], { form: 'folded', stitch: 'sc', pattern: 'plain', fold: 'below', seam: 'whip', repeat: 1, edgeStitches: 0,
        size: { pin: { repeats: 30, rows: 40 } }, colour: 'main' }),
      gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } }, worked: 'turned' },
    }
    const { findings } = draft(rows)
    expect(findings.map(({ code }) => code)).not.toContain('gauge-other-way')
    expect(findings.filter(({ what }) => /\b(floor|edging)\b/i.test(what))).toEqual([])
  })

  it('say nothing twice', () => {
    const { findings } = draft(bag([plain, ...edgings, plain]))
    const said = findings.map(({ code, what }) => `${code}: ${what}`)
    expect(said).toHaveLength(new Set(said).size)
  })
})
