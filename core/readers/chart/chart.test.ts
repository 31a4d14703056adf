import { stacked } from '../../bag/design/partIds'
import type { WallSpec } from '../../parts/wall/wall'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyDesign, SEED } from '../../../tests/arbitraries/designs'
import type { Design } from '../../bag/design/design'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { STITCH_KINDS } from '../../things/stitch/dictionary'
import type { Chart } from './chart'
import { elevation } from './elevation'
import { frontOf } from './frontView'
import { sideLines } from './sideLines'
import { markPath, roundPaths } from './marks'
import { planOf } from './plan'
import { asSvg } from './svg'
import { unrolled } from './unrolled'

const pouch: Design = { ...newDesign('Seed-head pouch'), base: { ...newDesign('x').base, increases: 6, size: { pin: { rounds: 5 } } } }

const perRound = (chart: Chart) => chart.rounds.map(({ number, from, to }) => [number, to - from])

describe('law 1: the chart holds the stitches of the edges', () => {
  it('for any design', () => {
    fc.assert(
      fc.property(anyDesign, (design) => {
        const drafted = draft(design)
        const drawn = [...perRound(planOf(drafted)), ...perRound(unrolled(drafted))]
        expect(drawn).toEqual(drafted.rounds.map(({ number, worked }) => [number, worked.edge.count]))
      }),
      { ...SEED, numRuns: 60 },
    )
  })

  it('with a mark for each', () => {
    const plan = planOf(draft(pouch))
    const stems = plan.rounds.map(round => Object.values(roundPaths(plan, round)).join('').split('M').length - 1)
    // A single crochet is a stem and a bar: two strokes a stitch.
    expect(stems).toEqual([6, 12, 18, 24, 30].map(count => 2 * count))
  })
})

describe('the plan', () => {
  it('is to scale: the outermost heads lie just inside the floor\'s edge', () => {
    fc.assert(
      fc.property(anyDesign, fc.integer({ min: 1, max: 20 }), (design, rounds) => {
        const drafted = draft({ ...design, base: { ...pouch.base, placing: 'staggered', size: { pin: { rounds } } } } as Design)
        const plan = planOf(drafted)
        const radius = drafted.sizes.floor.length.cm / 2
        const farthest = Math.max(...plan.headX.map((x, i) => Math.hypot(x, plan.headY[i]!)))
        expect(farthest).toBeLessThanOrEqual(radius + 1e-4)
        expect(farthest).toBeGreaterThan(radius * (1 - 1 / drafted.parts[0]!.rounds.length))
        expect(plan.box.width).toBeCloseTo(2 * radius, 5)
      }),
      { ...SEED, numRuns: 30 },
    )
  })

  it('draws the soft polygon that stacked increases make: corners at the increases, as long an edge as the disc', () => {
    const plan = planOf(draft({ ...pouch, base: { ...pouch.base, size: { pin: { rounds: 20 } } } } as Design))
    const { from, to } = plan.rounds[19]!
    const out = Array.from({ length: to - from }, (_, i) => Math.hypot(plan.headX[from + i]!, plan.headY[from + i]!))
    const farthest = out.indexOf(Math.max(...out))
    const nearest = Math.min(...out.map((distance, i) => (distance === out[farthest] ? 99 : Math.abs(i - farthest))))
    expect(nearest).toBeGreaterThan(0)
    expect(plan.marks[from + farthest] === 1 || plan.marks[from + farthest + 1] === 1).toBe(true)
    expect(Math.max(...out) / Math.min(...out)).toBeGreaterThan(1.05)
    const edge = out.reduce((sum, _, i) => {
      const j = (i + 1) % out.length
      return sum + Math.hypot(plan.headX[from + i]! - plan.headX[from + j]!, plan.headY[from + i]! - plan.headY[from + j]!)
    }, 0)
    expect(edge / ((Math.PI * plan.rounds.length * 2 * 10) / 22)).toBeCloseTo(1, 1)
  })

  it('runs against the clock for right hands, and is mirrored for left ones', () => {
    const right = planOf(draft(pouch))
    const left = planOf(draft({ ...pouch, hands: 'left' }))
    expect(right.headX[0]!).toBeLessThan(0)
    right.headX.forEach((x, i) => {
      expect(left.headX[i]).toBeCloseTo(-x, 5)
      expect(left.headY[i]).toBeCloseTo(right.headY[i]!, 5)
    })
  })

  it('stands the two stitches of an increase on one foot', () => {
    const plan = planOf(draft(pouch))
    const [first, second] = [plan.rounds[1]!.from, plan.rounds[1]!.from + 1]
    const apart = (xs: Float32Array, ys: Float32Array) => Math.hypot(xs[first]! - xs[second]!, ys[first]! - ys[second]!)
    expect(apart(plan.footX, plan.footY)).toBeLessThan(apart(plan.headX, plan.headY) / 2)
    expect([plan.marks[first], plan.marks[second]]).toEqual([0, 1])
  })
})

describe('the wall unrolled', () => {
  it('is as tall and as wide as the wall', () => {
    const drafted = draft(pouch)
    const { box } = unrolled(drafted)
    expect(box.height).toBeCloseTo(drafted.sizes.height.cm, 5)
    expect(box.width).toBeCloseTo(drafted.sizes.mouth.cm, 5)
  })

  it('runs from right to left for right hands, back again where turned, and is mirrored for left hands', () => {
    const turned = draft({ ...pouch, rounds: { style: 'turned', startingChainCounts: false } })
    const wall = unrolled(turned)
    const order = wall.rounds.slice(0, 4).map(({ from }) => Math.sign(wall.headX[from + 3]! - wall.headX[from + 2]!))
    expect(order).toEqual(turned.rounds.slice(5, 9).map(({ worked }) => (worked.round.facing === 'right' ? -1 : 1)))
    const left = unrolled(draft({ ...pouch, hands: 'left' }))
    const right = unrolled(draft(pouch))
    expect([...left.headX].every((x, i) => Math.abs(x + right.headX[i]!) < 1e-4)).toBe(true)
  })

  it('keeps every foot near its head', () => {
    fc.assert(
      fc.property(anyDesign, (design) => {
        const drafted = draft(design)
        const wall = unrolled(drafted)
        // Never across the cut: half way round, and half a loop beyond, is as far as a foot can lie, in the wider of its round and the one
        // below.
        const widths = wall.rounds.map(({ roomCm, from, to }) => roomCm! * (to - from))
        wall.rounds.forEach(({ from, to }, r) => {
          const widest = Math.max(widths[r]!, widths[r - 1] ?? 0)
          for (let i = from; i < to; i++)
            expect(Math.abs(wall.headX[i]! - wall.footX[i]!)).toBeLessThanOrEqual(widest * (0.5 + 1 / (to - from)) + 0.01)
        })
      }),
      { ...SEED, numRuns: 20 },
    )
  })
})

describe('pictures', () => {
  it('draw every kind without a bad number', () => {
    for (const kind of STITCH_KINDS) expect(markPath(kind, 0, 0, 0.3, -1, 0.5)).toMatch(/^M[-\d.]/)
    fc.assert(
      fc.property(anyDesign, (design) => {
        expect(asSvg(draft(design))).not.toMatch(/NaN|Infinity|undefined/)
      }),
      { ...SEED, numRuns: 20 },
    )
  })

  it('hold names that could break them', () => {
    const svg = asSvg(draft({ ...pouch, name: '<script>"&' }))
    expect(svg).toContain('&lt;script&gt;&quot;&amp;')
    expect(svg).not.toContain('<script>')
  })

  it('stand the bag up: as wide as its edge is round, course on course', () => {
    const drafted = draft(pouch)
    const courses = elevation(drafted)
    expect(courses).toHaveLength(drafted.rounds.length - 5)
    expect(courses[0]!.outline.lengthCm * Math.PI).toBeCloseTo(drafted.sizes.mouth.cm, 9)
    courses.slice(1).forEach((course, i) => expect(course.bottomCm).toBeCloseTo(courses[i]!.bottomCm + courses[i]!.heightCm, 9))
    // Of 30 stitches the front shows 15: each a V.
    expect(frontOf(courses[0]!).threads.split('M').length - 1).toBe(15)
  })
})

describe('the front of a texture', () => {
  const gauge = { hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } } as const
  const base = { form: 'tube', stitch: 'sc', size: { pin: { stitches: 48 } }, colour: 'main' } as const
  const size = { pin: { rounds: 2 } } as const
  const front = (band: WallSpec, over: Partial<Design> = {}) =>
    frontOf(elevation(draft({ ...newDesign('Pouch'), gauge, base, turnUp: 'plain', wall: stacked([band]), ...over })).at(-1)!)

  it('shows the inside through boxes: twelve on the front of 48 stitches', () => {
    const { holes, threads } = front({ kind: 'boxes', chains: 1, finish: false, size, colour: 'main' })
    expect(holes.split('M').length - 1).toBe(12)
    expect(threads).not.toMatch(/NaN|undefined/)
  })

  it('has posts stand out where they are worked from the front, and from behind on the wrong side', () => {
    const rib = { kind: 'rib', stitch: 'dc', front: 1, back: 1, size, colour: 'main' } as const
    expect(front(rib).posts.split('M').length - 1).toBe(12)
    expect(front(rib, { rounds: { style: 'turned', startingChainCounts: false } }).posts.split('M').length - 1).toBe(12)
  })

  it('lies at the same place whichever hand, mirrored', () => {
    const xs = (path: string) => [...path.matchAll(/[ML](-?[\d.]+) /g)].map(([, x]) => Number(x)).sort((a, b) => a - b)
    const courses = elevation(
      draft({ ...newDesign('Pouch'), gauge, base, turnUp: 'plain', wall: stacked([{ kind: 'vees', size, colour: 'main' }]) }),
    )
    const [right, left] = [xs(frontOf(courses.at(-1)!).threads), xs(frontOf(courses.at(-1)!, true).threads)]
    expect(left.map(x => -x).reverse()).toEqual(right.map(x => (x === 0 ? -0 : x)))
  })
})

describe('the sides of the unrolled wall', () => {
  it('stand still in a spiral; by hand, 3 stitches in ten rounds move them 9 stitches of 0.5 cm in 30 rounds', () => {
    const gauge = { hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } } as const
    const design = {
      ...newDesign('Pouch'), gauge, base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 80 } }, colour: 'main' },
      turnUp: 'plain', wall: stacked([{ kind: 'solid', stitch: 'sc', size: { pin: { rounds: 30 } }, colour: 'main' }]),
    } as const
    const [, still] = sideLines(draft(design))
    expect(new Set(still.map(({ x }) => x)).size).toBe(1)
    const [, leaning] = sideLines(draft({ ...design, rounds: { ...design.rounds, leanPerTen: 3 } }))
    expect(leaning.at(-1)!.x - still.at(-1)!.x).toBeCloseTo(-9 * 0.5, 6)
    expect(leaning.at(-1)!.y).toBeCloseTo(-15, 9)
  })
})
