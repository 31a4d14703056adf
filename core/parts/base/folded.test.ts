import { describe, expect, it } from 'vitest'
import lunchWrap from '../../../demo/lunch-wrap.json'
import type { Design } from '../../bag/design/design'
import { readDesign } from '../../bag/design/read'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { gaugeOf } from '../../things/gauge/gauge'
import { roundLines } from '../../readers/words/pattern'
import type { BaseSpec } from './base'
import { intoRowEnd } from '../flat/seams'

/* Half a centimetre wide and half a centimetre tall a single crochet; hdc 1.4, dc 2, tr 2.8 times as tall (craft 4; from memory). */
const swatch: Design['gauge'] = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const wave = {
  form: 'folded', stitch: 'sc', pattern: 'wave', fold: 'below', seam: 'sc', repeat: 6, edgeStitches: 1, colour: 'main',
  size: { pin: { repeats: 4, rows: 16 } },
} as const satisfies BaseSpec
const bag = (base: BaseSpec): Design => ({ ...newDesign('Wrap'), gauge: swatch, base, turnUp: 'plain', wall: [] })

describe('a flat piece in waves (craft 5; common practice, no source)', () => {
  it('grows and falls over six and one more, and the next row the other way about: a short stitch on every tall one', () => {
    const [, , up, down] = draft(bag(wave)).parts[0]!.rounds
    const heights = (row: typeof up) => [...row!.stitches]
    expect(up!.edge.count).toBe(25)
    // By its code: sc 2, hdc 3, dc 4, tr 5. Over each place the two rows come to the same, a stitch up or down.
    const met = [...down!.edge.from].map((from, i) => heights(up)[from]! + heights(down)[i]!)
    expect(new Set(met)).toEqual(new Set([7]))
  })

  it('seams 1 into each short row end and 3 into each tall one, by hand: 6 over four rows', () => {
    const gauge = gaugeOf(swatch)
    expect((['sc', 'dc', 'tr'] as const).map(kind => intoRowEnd(gauge[kind].height.cm, gauge))).toEqual([1, 2, 3])
    const told = draft(bag(wave)).parts[0]!.advice[0]!
    expect(told).toContain('1, 1, 1, 3 into the row ends of each 4 rows, over and over up all 8, {12 st|sts} in all a side')
    expect(told).toContain('work {sc} through both layers')
  })

  it('is as tall as its rows, by hand: 16 rows are 4 times (0.5 + 0.5 + 0.8833 + 0.8833), folded 5.53 cm', () => {
    // A wave's mean of sc, twice hdc, twice dc and tr: (1 + 2.8 + 4 + 2.8) / 6 · 0.5 = 0.8833; the other way about 0.7333.
    const up = ((1 + 2 * 1.4 + 2 * 2 + 2.8) / 6) * 0.5
    const { height, circumference } = draft(bag(wave)).parts[0]!.size
    expect(circumference.cm).toBeCloseTo(25, 9)
    expect(height.cm).toBeGreaterThan((4 * (1 + 2 * up)) / 2 - 0.2)
    expect(height.cm).toBeLessThan((4 * (1 + 2 * up)) / 2 + 0.2)
  })

  it('folded at one side is half as wide and twice as tall, and its mouth goes along the last row alone', () => {
    const [below, side] = [wave, { ...wave, fold: 'side' } as const].map(base => draft(bag(base)).parts[0]!)
    expect(side!.size.circumference.cm).toBeCloseTo(below!.size.circumference.cm / 2, 9)
    expect(side!.size.height.cm).toBeCloseTo(2 * below!.size.height.cm, 9)
    expect([below!.edge.count, side!.edge.count]).toEqual([50, 25])
    expect(side!.advice[0]).toContain('fold the piece in half along its rows')
    const walled = { ...bag({ ...wave, fold: 'side' }), wall: newDesign('x').wall }
    expect(draft(walled).findings.filter(({ weight }) => weight === 'stop')).toEqual([])
  })

  it('finds repeats and rows for a size: 22 by 20 cm', () => {
    const wanted = { ...wave, size: { want: { widthCm: 22.5, heightCm: 20 } } } as BaseSpec
    const { size, rounds } = draft(bag(wanted)).parts[0]!
    // 45 stitches of half a centimetre would do; 43 are seven sixes and one.
    expect(size.circumference.cm / 2).toBeCloseTo(21.5, 9)
    expect(Math.abs(size.height.cm - 20)).toBeLessThan(0.6)
    expect(rounds.every(({ edge }) => edge.count === 43)).toBe(true)
  })

  it('the demo\'s stripes are of two rows, so that the resting yarn is carried', () => {
    const reading = readDesign(lunchWrap)
    if (!reading.ok) throw new Error('the demo is broken')
    const drafted = draft(reading.document)
    const colours = drafted.parts[0]!.rounds.slice(0, 8).map(({ round }) => round.colour)
    expect(colours).toEqual(['main', 'main', 'plum', 'plum', 'main', 'main', 'plum', 'plum'])
    expect(roundLines(drafted, 'us')[1]!.note).toContain('Carry straw yellow cotton')
  })
})
