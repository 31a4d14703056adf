import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SEED } from '../../../tests/arbitraries/designs'
import type { Swatch } from '../../things/gauge/gauge'
import { gaugeOf } from '../../things/gauge/gauge'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { fromNothing, type Setting } from '../part/part'
import { patternOf } from '../../readers/words/pattern'
import { workBase } from './base'
import { reachCm, roundsReaching, stitchOfRound } from './inStitches'
import type { OvalSpec } from './ovalSpec'
import type { RectangleSpec } from './rectangleFields'

/* Half a centimetre wide every stitch; a single crochet as tall as wide, a double 1 cm tall, a half double 0.7. */
const SWATCH: Swatch = {
  hookMm: 4, strands: 1,
  measured: {
    sc: { stitches: 20, rounds: 20, overCm: 10 }, hdc: { stitches: 20, rounds: 10, overCm: 10, tallCm: 7 },
    dc: { stitches: 20, rounds: 10, overCm: 10 },
  },
}
const setting: Setting = fromNothing(gaugeOf(SWATCH), { style: 'joined', startingChainCounts: false })

const oval: OvalSpec = {
  form: 'oval', stitch: 'sc', size: { pin: { sideStitches: 10, rounds: 5 } }, perEnd: 3, start: 'chain', placing: 'stacked',
  increaseAt: 'last', colour: 'main', firstStitches: [{ stitch: 'dc', rounds: 3, grows: 6 }],
}
const rectangle: RectangleSpec = {
  form: 'rectangle', stitch: 'sc', size: { pin: { stitches: 10, rows: 4 } }, rowEnds: 'by-gauge', corners: 'none', colour: 'main',
  firstStitches: [{ stitch: 'dc', rounds: 2 }],
}

function wordsOf(base: OvalSpec | RectangleSpec): string {
  const design = { ...newDesign('Mixed'), gauge: SWATCH, rounds: setting.rounds, base, wall: [] }
  return patternOf(draft(design), 'us').sections.map(section => JSON.stringify(section)).join('\n')
}

describe('an oval begun in doubles and gone on with in singles', () => {
  const { rounds, size, edge } = workBase(oval, setting)

  it('grows by what each stitch takes: by hand, 20 and 12, two times 12 more, then 6 more and 6 more', () => {
    expect(rounds.map(worked => worked.edge.count)).toEqual([32, 44, 56, 62, 68])
    expect(rounds.map(worked => worked.edge.kinds.every(kind => kind === worked.edge.kinds[0]))).toEqual(Array(5).fill(true))
    expect(new Set(rounds.map(worked => worked.stitches[0])).size).toBe(2)
  })

  it('is as wide as its rounds reach, and longer by its side: 2 (3 + 1) cm, and 5 more', () => {
    // 48 stitches of both ends are 24 cm of edge; a disc 8 cm across needs 25.1: it stands 7.64 cm across, by its edge.
    expect(size.floor!.width.cm).toBeCloseTo(24 / Math.PI, 9)
    expect(size.floor!.length.cm).toBeCloseTo(5 + 24 / Math.PI, 9)
    expect(size.circumference.cm).toBe(34)
    expect(edge.count).toBe(68)
  })

  it('grows by gauge in each stitch where nothing is said: half of 13 in doubles, half of 6 in singles', () => {
    const byGauge = workBase({ ...oval, perEnd: 'by-gauge', firstStitches: [{ stitch: 'dc', rounds: 2 }] }, setting)
    // 2π in half centimetres is 12.6 for a double, 6.3 for a single: 13 and 6, half of them 7 (6.5) and 3.
    expect(byGauge.rounds.map(worked => worked.edge.count)).toEqual([34, 48, 54, 60, 66])
  })

  it('is drawn with rounds as tall as they are', () => {
    const { layOut } = workBase({ ...oval, firstStitches: [{ stitch: 'dc', rounds: 3, grows: 7 }] }, setting)
    const out = [0, 1, 2, 3, 4].map(r => layOut!(r, 5).y)
    const steps = out.map((y, r) => y - (out[r - 1] ?? 0))
    expect(steps[3]! / steps[1]!).toBeCloseTo(0.5, 9)
    expect(steps[0]).toBeCloseTo(steps[2]!, 9)
  })
})

describe('a rectangle with rows of doubles', () => {
  const { rounds, size } = workBase(rectangle, setting)

  it('takes two stitches into a tall row end and one into a short one: by hand, 2 (10 + 6)', () => {
    expect(size.floor!.width.cm).toBe(3)
    expect(rounds.at(-1)!.edge.count).toBe(32)
    expect(size.circumference.cm).toBe(16)
  })

  it('says so in the order that the round meets them: short ones first on the way down, tall ones on the way up', () => {
    expect(wordsOf(rectangle)).toContain('sc in next 2 row ends, 2 sc in each of next 2 row ends, sc in next 10 chs along the underside of '
      + 'the ch, 2 sc in each of next 2 row ends, sc in next 2 row ends; join')
  })

  it('may have an extra stitch at each corner all the same', () => {
    expect(workBase({ ...rectangle, corners: 'one-extra' }, setting).edge.count).toBe(36)
  })

  it('wanted 3.4 cm wide is of two doubles and three singles, and 1.4 cm of one double', () => {
    const wide = (widthCm: number) =>
      workBase({ ...rectangle, size: { want: { lengthCm: 5, widthCm } } }, setting).rounds.map(({ stitches }) => stitches[0])
    expect(wide(3.4)).toHaveLength(6)
    expect(wide(1.4)).toHaveLength(2)
  })
})

describe('rounds in other stitches', () => {
  const first = fc.array(fc.record({ stitch: fc.constantFrom('sc', 'hdc', 'dc'), rounds: fc.integer({ min: 1, max: 4 }) }), {
    minLength: 1, maxLength: 4,
  })

  it('are found for a width as by trying them all', () => {
    fc.assert(
      fc.property(first, fc.double({ min: 0.5, max: 30, noNaN: true }), (firstStitches, cm) => {
        const base = { stitch: 'sc', firstStitches } as const
        const miss = (rounds: number) => Math.abs(reachCm(base, rounds, setting.gauge) - cm)
        const best = Math.min(...Array.from({ length: 80 }, (_, i) => miss(i + 1)))
        expect(miss(roundsReaching(cm, base, setting.gauge))).toBeCloseTo(best, 9)
      }),
      { ...SEED, numRuns: 100 },
    )
  })

  it('reach as far as they are tall, one after the other', () => {
    const base = { stitch: 'sc', firstStitches: [{ stitch: 'dc', rounds: 2 }, { stitch: 'hdc', rounds: 1 }] } as const
    expect([1, 2, 3, 4].map(r => stitchOfRound(base, r))).toEqual(['dc', 'dc', 'hdc', 'sc'])
    expect(reachCm(base, 5, setting.gauge)).toBeCloseTo(1 + 1 + 0.7 + 0.5 + 0.5, 9)
  })
})
