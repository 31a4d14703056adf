import { stacked } from '../../bag/design/partIds'
import type { WallSpec } from '../../parts/wall/wall'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SEED } from '../../../tests/arbitraries/designs'
import type { Design } from '../../bag/design/design'
import { newDesign } from '../../bag/design/starter'
import { casingsOf } from '../../bag/draft/casing'
import { draft } from '../../bag/draft/draft'
import { cordsFront, pullOf } from './cords'
import { elevation } from './elevation'
import { frontOf } from './frontView'
import { gather } from './gather'
import { loopNumbers } from './loopNumbers'
import { roundPaths } from './marks'
import { asSvg } from './svg'
import { unrolled } from './unrolled'
import { roundStartsOf } from './roundStarts'

const gauge = {
  hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 }, dc: { stitches: 20, rounds: 10, overCm: 10 } },
} as const
const tube = { form: 'tube', stitch: 'sc', size: { pin: { stitches: 48 } }, colour: 'main' } as const
const bag = (wall: readonly WallSpec[], over: Partial<Design> = {}): Design => ({
  ...newDesign('Pouch'), gauge, base: tube, turnUp: 'plain', wall: stacked(wall), ...over,
})
const net = {
  kind: 'loops', skip: 1, first: 4, hold: { pin: { chains: 6 } }, size: { pin: { rounds: 5 } }, ends: 'closed', colour: 'main',
} as const
const plain = { kind: 'solid', stitch: 'sc', size: { pin: { rounds: 20 } }, colour: 'main' } as const
const casing = {
  kind: 'eyelets', eyelets: 'boxes', between: 4, chains: 2, evenOut: false, colour: 'main',
  cords: { number: 2, kind: 'chain', size: { want: { tailCm: 10 } }, opening: false, colour: 'main' },
} as const

describe('a net in the chart', () => {
  const drafted = draft(bag([net]))
  const chart = unrolled(drafted)

  it('starts half a loop earlier every round: by hand, 24 loops move it by 1/48 of the way', () => {
    const ways = roundStartsOf(drafted.parts.at(-1)!.rounds)
    ways.forEach(({ start }, i) => expect(start).toBeCloseTo(-i / 48, 6))
  })

  it('has every single stand upright over the middle of the loop it is caught in', () => {
    const { rounds } = drafted.parts.at(-1)!
    const ways = roundStartsOf(rounds)
    for (let i = 1; i < rounds.length; i++) {
      for (let made = 0; made < 48; made += 2) {
        const apart = ways[i]!.way[made]! - ways[i - 1]!.way[rounds[i]!.edge.from[made]!]!
        expect(Math.abs(apart - Math.round(apart))).toBeLessThan(1e-6)
      }
    }
  })

  it('carries its chains, and draws the stitch that closes each round heavy', () => {
    const nets = chart.rounds.filter(({ loopChains }) => loopChains !== undefined)
    expect(nets.map(({ loopChains }) => loopChains)).toEqual([4, 5, 6, 6, 6])
    for (const round of nets) {
      const { plain: loops, shaped } = roundPaths(chart, round)
      expect(shaped).toMatch(/^M/)
      expect(loops + shaped).not.toMatch(/NaN|undefined/)
      // 23 loops of two arms and one of one: 47 arms.
      expect(loops.split('Q').length - 1).toBe(47)
    }
  })

  it('has its chains in every loop, in the picture that is saved too', () => {
    // Five rounds of 24 loops.
    expect(loopNumbers(chart)).toHaveLength(5 * 24)
    expect(new Set(loopNumbers(chart).map(({ chains }) => chains))).toEqual(new Set([4, 5, 6]))
    expect(asSvg(drafted).match(/fill-opacity="0.7">6</g)).toHaveLength(3 * 24)
    const huge = unrolled(draft(bag([{ ...net, size: { pin: { rounds: 90 } } }])))
    expect(loopNumbers(huge)).toHaveLength(90)
  })

  it('shows its front loops alone, with nothing behind them', () => {
    const course = elevation(drafted).at(-1)!
    const front = frontOf(course)
    expect(front.threads + front.holes).toBe('')
    expect(front.net.split('Q').length - 1).toBeGreaterThanOrEqual(22)
    expect(front.net.split('Q').length - 1).toBeLessThanOrEqual(26)
  })

  it('meets the round below where it is as wide as that', () => {
    const courses = elevation(draft(bag([net, plain])))
    courses.slice(1).forEach(({ under }, i) => expect(under).toEqual(courses[i]!.outline))
  })
})

describe('a mouth drawn together, in the drawing', () => {
  const drafted = draft(bag([plain, casing, { ...plain, size: { pin: { rounds: 3 } } }]))
  const [made] = casingsOf(drafted.parts, drafted.gauge)
  const courses = elevation(drafted)
  const heightCm = 10.5 + 0.5

  it('is narrowest at the eyelets, untouched far below, and as it was when nothing pulls', () => {
    const open = gather(courses, pullOf(made!, heightCm, 0))
    open.forEach(({ outline }, i) => expect(outline.lengthCm).toBeCloseTo(courses[i]!.outline.lengthCm, 9))
    const tight = gather(courses, pullOf(made!, heightCm, 1))
    const widths = tight.map(({ outline }) => outline.lengthCm)
    const at = tight.findIndex(({ bottomCm, heightCm: tall }) => bottomCm + tall > heightCm)
    expect(Math.min(...widths)).toBeCloseTo(widths[at]!, 1)
    expect(widths[0]).toBeCloseTo(courses[0]!.outline.lengthCm, 9)
  })

  it('narrows without a jump: each course no further in than the next one nearer to the eyelets', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (share) => {
        const widths = gather(courses, pullOf(made!, heightCm, share))
          .filter(({ bottomCm, heightCm: tall }) => bottomCm + tall / 2 < heightCm)
          .map(({ outline }) => outline.lengthCm)
        widths.slice(1).forEach((width, i) => expect(width).toBeLessThanOrEqual(widths[i]! + 1e-9))
      }),
      { ...SEED, numRuns: 30 },
    )
  })

  it('has both cords at opposite sides, their ends longer the tighter it is, and over half the front posts', () => {
    const place = { heightCm, outline: courses.at(-1)!.outline, shape: courses.at(-1)!.shape, side: -1, turn: 0 } as const
    const [first, second] = cordsFront(made!, place, 0, 1)
    expect(Math.sign(first!.knot.x)).not.toBe(Math.sign(second!.knot.x))
    // 24 eyelets: twelve posts in front, six of them over.
    expect(first!.over.split('M').length - 1).toBe(6)
    const [tight] = cordsFront(made!, place, 1, 1)
    expect(tight!.knot.y).toBeGreaterThanOrEqual(first!.knot.y)
  })

  it('shows cords as far as they are threaded', () => {
    const place = { heightCm, outline: courses.at(-1)!.outline, shape: courses.at(-1)!.shape, side: 1, turn: 0 } as const
    expect(cordsFront(made!, place, 0, 0).map(({ over, ends }) => over + ends)).toEqual(['', ''])
    const [first, second] = cordsFront(made!, place, 0, 0.5)
    expect([first!.ends !== '', second!.ends]).toEqual([true, ''])
  })
})
