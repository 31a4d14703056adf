import { describe, expect, it } from 'vitest'
import type { Design } from '../../design/design'
import { stacked } from '../../design/partIds'
import { newDesign } from '../../design/starter'
import type { TextureSwatch } from '../../../parts/texture/ownSize'
import type { WallSpec } from '../../../parts/wall/wall'
import { patternOf } from '../../../readers/words/pattern'
import { metresOfRounds } from '../../yarn/yarn'
import { draft } from '../draft'

/* Half a centimetre wide and half a centimetre tall a single crochet; a half double is 0.7 tall (craft 4; from memory). */
const bag = (wall: readonly WallSpec[]): Design => ({
  ...newDesign('Textures'), gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }, turnUp: 'plain',
  base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 60 } }, colour: 'main' }, wall: stacked(wall),
})
const sprigs = (size: object, swatch?: TextureSwatch): WallSpec =>
  ({ kind: 'sprigs', seamStitch: false, colour: 'main', size, ...(swatch ? { swatch } : {}) }) as WallSpec
// Craft 4: estimates of (sc, 2 hdc) over 3 were a third too low. By hand: 6 repeats over 9 cm, 10 rounds over 9.5 cm.
const SWATCH: TextureSwatch = { across: 6, countedIn: 'repeats', overCm: 9, rounds: 10, tallCm: 9.5 }
const last = (design: Design) => draft(design).parts.at(-1)!
const codes = (design: Design) => draft(design).findings.map(({ code }) => code)

describe('the gauge of a texture', () => {
  it('is estimated from its stitches, says so, and carries 15 to 20 % (craft 4; from memory)', () => {
    const { size } = last(bag([sprigs({ pin: { rounds: 10 } })]))
    // (0.5 + 2 · 0.7) / 3 = 0.6333 a round.
    expect(size.height.cm).toBeCloseTo(6.3333, 3)
    expect(size.height.plusMinusCm / size.height.cm).toBeGreaterThan(0.15)
    expect(size.height.plusMinusCm / size.height.cm).toBeLessThan(0.21)
    expect(codes(bag([sprigs({ pin: { rounds: 10 } })]))).toContain('texture-estimated')
    expect(codes(bag([{ kind: 'solid', stitch: 'sc', size: { pin: { rounds: 4 } }, colour: 'main' }]))).not.toContain('texture-estimated')
  })

  it('is what was counted on a swatch of it: 10 rounds are 9.5 cm, 20 repeats of 1.5 cm go 30 cm round', () => {
    const { size } = last(bag([sprigs({ pin: { rounds: 10 } }, SWATCH)]))
    expect(size.height.cm).toBeCloseTo(9.5, 9)
    expect(size.circumference.cm).toBeCloseTo(30, 9)
    // Half a round in ten, half a repeat in six; twice 6 % of what stitches of 0.7 by 0.5 cm are off in it, and in twenty on the swatch.
    const uneven = (stitchCm: number, cm: number) => 0.12 * Math.sqrt(stitchCm / cm + 1 / 20)
    expect(size.height.plusMinusCm / size.height.cm).toBeCloseTo(Math.hypot(1 / 20, uneven(0.7, 9.5)), 9)
    expect(size.circumference.plusMinusCm / size.circumference.cm).toBeCloseTo(Math.hypot(1 / 12, uneven(0.5, 30)), 9)
    expect(codes(bag([sprigs({ pin: { rounds: 10 } }, SWATCH)]))).not.toContain('texture-estimated')
  })

  it('finds as many rounds as a height takes in it: 19 cm are 20', () => {
    expect(last(bag([sprigs({ want: { heightCm: 19 } }, SWATCH)])).rounds).toHaveLength(20)
    expect(last(bag([sprigs({ want: { heightCm: 19 } })])).rounds).toHaveLength(30)
  })

  it('serves every part in the same texture, whichever it was entered with', () => {
    const { parts } = draft(bag([sprigs({ pin: { rounds: 4 } }), sprigs({ pin: { rounds: 10 } }, SWATCH)]))
    expect(parts.at(-2)!.size.height.cm).toBeCloseTo(3.8, 9)
  })

  it('may be counted in stitches: 18 over 9 cm are the same', () => {
    const { size } = last(bag([sprigs({ pin: { rounds: 10 } }, { ...SWATCH, across: 18, countedIn: 'stitches' })]))
    expect(size.circumference.cm).toBeCloseTo(30, 9)
  })

  it('is that of a repeat of one\'s own too', () => {
    const own = (swatch?: TextureSwatch) => ({
      ...bag([{ kind: 'own', repeat: 'nubs', size: { pin: { rounds: 8 } }, colour: 'main', ...(swatch ? { swatch } : {}) } as WallSpec]),
      repeats: [{ id: 'nubs', name: 'nubs', lines: ['sc in next, (sc, ch 1, sc) in next, sk next 2 sts', 'sc in next 2, sk next ch-sp, 2 '
      + 'sc in next'] }],
    })
    expect(last(own({ across: 5, countedIn: 'repeats', overCm: 10, rounds: 10, tallCm: 4 })).size.height.cm).toBeCloseTo(3.2, 9)
    expect(codes(own())).toContain('texture-estimated')
  })

  it('is refined by a stretch of wall under the tape, weighed with the swatch by how sure each is', () => {
    const design = bag([sprigs({ pin: { rounds: 20 } }, SWATCH), sprigs({ pin: { rounds: 10 } })])
    const measured = { ...design, measured: [{ part: design.wall[0]!.id, rounds: 20, stitches: 60, what: 'part-height' as const, cm: 20 }] }
    const { height } = draft(measured).parts.at(-1)!.size
    // 20 rounds were told 19 ± 0.95 and are 20 ± 0.3: nearly as the tape says, 10 above them.
    expect(height.cm).toBeGreaterThan(9.85)
    expect(height.cm).toBeLessThan(10)
  })

  it('tells the yarn: rounds wider by so much take as much more, their ends apart', () => {
    const worked = (swatch?: TextureSwatch) => metresOfRounds(draft(bag([sprigs({ pin: { rounds: 10 } }, swatch)])), 'main', 2, 11)
    // 9 cm over 6 repeats of three half-centimetre stitches is just as told; 10.8 is a fifth wider.
    expect(worked(SWATCH) / worked()).toBeCloseTo(1, 9)
    expect(worked({ ...SWATCH, overCm: 10.8 }) / worked()).toBeCloseTo(1.2, 9)
  })

  it('stands in the pattern\'s gauge', () => {
    const { facts } = patternOf(draft(bag([sprigs({ pin: { rounds: 10 } }, SWATCH)])), 'us')
    expect(facts.find(({ name }) => name === 'Gauge')!.value).toContain('6.5 repeats of sprigs and 10.5 rounds over 10 cm')
  })
})
