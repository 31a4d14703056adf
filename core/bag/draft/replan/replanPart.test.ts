import { describe, expect, it } from 'vitest'
import type { Design } from '../../design/design'
import { stacked } from '../../design/partIds'
import { newDesign } from '../../design/starter'
import { demoDesigns, randomDesigns } from '../../../../tests/pattern/spokenOf'
import { roundLines } from '../../../readers/words/pattern'
import type { WallSpec } from '../../../parts/wall/wall'
import { draft } from '../draft'
import { countable } from './countCorrection'

const gauge: Design['gauge'] = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const circle: Design['base'] = {
  form: 'circle', stitch: 'sc', size: { pin: { increases: 6, rounds: 5 } }, increases: 6, scatter: 'stacked', colour: 'main',
} as never
const bag = (...wall: WallSpec[]): Design => ({
  ...newDesign('Bag'), gauge, base: circle, turnUp: 'plain', wall: stacked(wall), rounds: { style: 'joined', startingChainCounts: false },
})
const solid = (rounds: number): WallSpec => ({ kind: 'solid', stitch: 'sc', size: { pin: { rounds } }, colour: 'main' })
const counts = (design: Design, ...found: { round: number, count: number, to?: number }[]) =>
  draft(design, { found }).rounds.map(({ worked }) => worked.edge.count)
const stopsOf = (design: Design, ...found: { round: number, count: number, to?: number }[]) =>
  draft(design, { found }).findings.filter(({ weight }) => weight === 'stop').map(({ code }) => code)

describe('living with a count', () => {
  // A floor of 6, 12, 18, 24, 30 and four rounds of wall. By hand: one too many stays one too many in every round above.
  it('carries one too many all the way up, from a round of the base', () => {
    expect(counts(bag(solid(4)), { round: 2, count: 13 })).toEqual([6, 13, 19, 25, 31, 31, 31, 31, 31])
  })

  it('keeps what was worked word for word, and rewrites what comes', () => {
    const words = (found: { round: number, count: number }[]) =>
      roundLines(draft(bag(solid(4)), { found }), 'us').map(line => line.words)
    const [planned, real] = [words([]), words([{ round: 3, count: 17 }])]
    expect(real.slice(0, 3)).toEqual(planned.slice(0, 3))
    expect(real[3]).not.toEqual(planned[3])
    expect(counts(bag(solid(4)), { round: 3, count: 17 })).toEqual([6, 12, 17, 23, 29, 29, 29, 29, 29])
  })

  it('widens the bag as the count says', () => {
    const before = draft(bag(solid(4))).sizes.flatWidth.cm
    const after = draft(bag(solid(4)), { found: [{ round: 8, count: 33 }] }).sizes.flatWidth.cm
    expect(after / before).toBeCloseTo(33 / 30, 2)
  })

  it('widens each round of a narrowing wall by its own count, not by the last one\'s', () => {
    const taper = { kind: 'taper', stitch: 'sc', size: { want: { heightCm: 8, aroundCm: 8 } }, mirrored: false, colour: 'main' } as WallSpec
    const [planned, real] = [{}, { found: [{ round: 8, count: 33, to: 26 }] }]
      .map(options => draft(bag(solid(1), taper), options).parts.at(-1)!)
    // Whatever a round has of its stitches, each is as wide as it was.
    const widths = (part: typeof planned) => part!.rounds.map(({ edge }, i) => part!.arounds![i]! / edge.count)
    expect(real!.rounds.map(({ edge }) => edge.count)).not.toEqual(planned!.rounds.map(({ edge }) => edge.count))
    for (const [i, cm] of widths(real).entries()) expect(cm, `round ${i}`).toBeCloseTo(widths(planned)[i]!, 9)
  })
})

describe('putting a count right in the next round', () => {
  it('leaves what it should have left, within a part and over its end', () => {
    expect(counts(bag(solid(4)), { round: 2, count: 13, to: 12 })).toEqual([6, 13, 18, 24, 30, 30, 30, 30, 30])
    expect(counts(bag(solid(4)), { round: 5, count: 28, to: 30 })).toEqual([6, 12, 18, 24, 28, 30, 30, 30, 30])
    expect(stopsOf(bag(solid(4)), { round: 5, count: 28, to: 30 })).toEqual([])
  })
})

/** An oval floor by hand (handbook 5): sides of 18, ends that grow by 3 each round; 8 rounds leave 2 x 18 + 2 x 3 x 8 = 84. */
const oval: Design['base'] = {
  form: 'oval', stitch: 'sc', size: { pin: { sideStitches: 18, rounds: 8 } }, perEnd: 3, start: 'chain', placing: 'stacked',
  increaseAt: 'last', colour: 'main',
} as never
const tote = (turnUp: Design['turnUp'], ...wall: WallSpec[]): Design => ({ ...bag(...wall), base: oval, turnUp })
const LOOPS_OF = (design: Design, round: number, ...found: { round: number, count: number, to?: number }[]) =>
  [...new Set(draft(design, { found }).rounds[round - 1]!.worked.loops)]
const sidesAt = (design: Design, ...found: { round: number, count: number, to?: number }[]) =>
  draft(design, { found }).parts[0]!.edge.sides

describe('a count put right where it would show', () => {
  it.each(['back-loop', 'back-and-third-loop', 'post'] as const)('keeps the turn-up a turn-up: %s', (turnUp) => {
    const design = tote(turnUp, solid(3))
    for (const count of [82, 83, 85, 86]) {
      expect(counts(design, { round: 8, count, to: 84 }).slice(7)).toEqual([count, 84, 84, 84, 84])
      expect(LOOPS_OF(design, 9, { round: 8, count, to: 84 })).toEqual(LOOPS_OF(design, 9))
    }
  })

  it('leaves an oval\'s sides plain: what is put right is put right in its ends', () => {
    for (const count of [58, 59, 61, 62]) {
      const { worked } = draft(tote('plain', solid(3)), { found: [{ round: 4, count, to: 60 }] }).rounds[4]!
      expect(worked.edge.count).toBe(66)
      // By hand: round 5 begins with the near end's last group of 5 on 4, then the first side of 18, and the second from 5 + 18 + 15 on.
      const twice = [...worked.edge.from].filter((from, i) => from === worked.edge.from[i - 1] || worked.edge.to[i] !== from)
      const onSides = twice.filter(from => (from > 5 && from < 21) || (from > 36 && from < 51))
      expect(onSides, `${count}`).toEqual([])
    }
  })
})

describe('a floor counted otherwise', () => {
  it('folds in the middle of its ends, as a fresh floor does, lived with and put right', () => {
    const design = tote('plain', solid(3))
    const [near, far] = sidesAt(design)
    for (const count of [82, 83, 85, 86]) {
      const lived = sidesAt(design, { round: 8, count })
      expect(Math.abs(lived[0]! - (near! * count) / 84)).toBeLessThanOrEqual(1)
      expect(Math.abs(lived[1]! - (far! * count) / 84)).toBeLessThanOrEqual(1)
      expect(sidesAt(design, { round: 8, count, to: 84 })).toEqual([near, far])
    }
  })

  it('goes on increasing by as many a round, and is drawn in numbers', () => {
    // 2 x 18 + 6 = 42 after round 1; one lost there stays one lost, and no increase is lost with it.
    const design = tote('plain', solid(3))
    expect(counts(design, { round: 1, count: 41 }).slice(0, 8)).toEqual([41, 47, 53, 59, 65, 71, 77, 83])
    const { layOut, rounds } = draft(design, { found: [{ round: 1, count: 41 }] }).parts[0]!
    for (const [i, { edge }] of rounds.entries())
      for (let station = 0; station < edge.count; station++) {
        const { x, y } = layOut!(i, station)
        expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true)
      }
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
            const real = draft(design, { found: [{ round, count: number + by, ...(to ? { to } : {}) }] })
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
