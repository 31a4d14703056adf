import { describe, expect, it } from 'vitest'
import type { Design } from '../design/design'
import { stacked } from '../design/partIds'
import { newDesign } from '../design/starter'
import { demoDesigns, randomDesigns } from '../../tests/pattern/spokenOf'
import { roundLines } from '../words/pattern'
import type { WallSpec } from '../wall/wall'
import { draft } from './draft'
import { countable } from './countCorrection'

const gauge: Design['gauge'] = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const circle: Design['base'] = {
  form: 'circle', stitch: 'sc', size: { pin: { increases: 6, rounds: 5 } }, increases: 6, scatter: 'stacked', colour: 'main',
} as never
const bag = (...wall: WallSpec[]): Design => ({
  ...newDesign('Bag'), gauge, base: circle, turnUp: 'plain', wall: stacked(wall), rounds: { style: 'joined', startingChainCounts: false },
})
const solid = (rounds: number): WallSpec => ({ band: 'solid', stitch: 'sc', size: { pin: { rounds } }, colour: 'main' })
const counts = (design: Design, ...found: { round: number, count: number, to?: number }[]) =>
  draft(design, undefined, found).rounds.map(({ worked }) => worked.edge.count)
const stopsOf = (design: Design, ...found: { round: number, count: number, to?: number }[]) =>
  draft(design, undefined, found).findings.filter(({ weight }) => weight === 'stop').map(({ code }) => code)

describe('living with a count', () => {
  // A floor of 6, 12, 18, 24, 30 and four rounds of wall. By hand: one too many stays one too many in every round above.
  it('carries one too many all the way up, from a round of the base', () => {
    expect(counts(bag(solid(4)), { round: 2, count: 13 })).toEqual([6, 13, 19, 25, 31, 31, 31, 31, 31])
  })

  it('keeps what was worked word for word, and rewrites what comes', () => {
    const words = (found: { round: number, count: number }[]) =>
      roundLines(draft(bag(solid(4)), undefined, found), 'us').map(line => line.words)
    const [planned, real] = [words([]), words([{ round: 3, count: 17 }])]
    expect(real.slice(0, 3)).toEqual(planned.slice(0, 3))
    expect(real[3]).not.toEqual(planned[3])
    expect(counts(bag(solid(4)), { round: 3, count: 17 })).toEqual([6, 12, 17, 23, 29, 29, 29, 29, 29])
  })

  it('widens the bag as the count says', () => {
    const before = draft(bag(solid(4))).sizes.flatWidth.cm
    const after = draft(bag(solid(4)), undefined, [{ round: 8, count: 33 }]).sizes.flatWidth.cm
    expect(after / before).toBeCloseTo(33 / 30, 2)
  })
})

describe('putting a count right in the next round', () => {
  it('leaves what it should have left, within a part and over its end', () => {
    expect(counts(bag(solid(4)), { round: 2, count: 13, to: 12 })).toEqual([6, 13, 18, 24, 30, 30, 30, 30, 30])
    expect(counts(bag(solid(4)), { round: 5, count: 28, to: 30 })).toEqual([6, 12, 18, 24, 28, 30, 30, 30, 30])
    expect(stopsOf(bag(solid(4)), { round: 5, count: 28, to: 30 })).toEqual([])
  })
})

describe('any count, anywhere', () => {
  it('never throws, leaves what was worked alone, and comes out in words or stops', () => {
    const designs = [...demoDesigns().map(({ design }) => design), ...randomDesigns(25)]
    let [came, stopped] = [0, 0]
    for (const [d, design] of designs.entries()) {
      const planned = draft(design)
      if (planned.sizes.stitches > 20_000 || planned.rounds.length < 2) continue
      for (const share of [0.3, 0.6, 0.95]) {
        const round = Math.max(1, Math.floor(planned.rounds.length * share))
        const { number } = countable(planned.rounds[round - 1]!.worked)
        for (const by of [-2, -1, 1, 2]) {
          if (number + by < 1) continue
          for (const to of [undefined, number]) {
            const real = draft(design, undefined, [{ round, count: number + by, ...(to ? { to } : {}) }])
            const where = `design ${d}, round ${round}, ${by}, ${to}`
            real.rounds.slice(0, round - 1).forEach(({ worked }, i) =>
              expect(worked.edge.count, where).toBe(planned.rounds[i]!.worked.edge.count))
            expect(() => roundLines(real, 'us'), where).not.toThrow()
            if (real.findings.some(({ weight }) => weight === 'stop')) stopped++
            else came++
          }
        }
      }
    }
    expect(came).toBeGreaterThan(100)
    expect(stopped).toBeGreaterThan(20)
  })
})
