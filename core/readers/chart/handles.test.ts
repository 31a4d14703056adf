import { stacked } from '../../bag/design/partIds'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyDesign, anyFitted, anySlots, SEED } from '../../../tests/arbitraries/designs'
import type { Design } from '../../bag/design/design'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { hangingsOf } from '../../bag/draft/handles'
import type { SlotsSpec } from '../../parts/handle/slotSpec'
import type { WallSpec } from '../../parts/wall/wall'
import { closureFronts } from './closures'
import { elevation } from './elevation'
import { silhouette } from './silhouette'
import { gripFronts, handleFronts, HANDLES_AS } from './handles'
import { pieceChart } from './pieces'
import { asSvg } from './svg'
import { unrolled } from './unrolled'

const gauge: Design['gauge'] = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const plain: WallSpec = { kind: 'solid', stitch: 'sc', size: { pin: { rounds: 20 } }, colour: 'main' }
const slots: SlotsSpec = {
  kind: 'slots', number: 2, width: { pin: { stitches: 16 } }, chains: { pin: { chains: 40 } }, into: 'chains', corners: 1, rounds: 3,
  stitch: 'sc', nudge: 0, colour: 'main',
}
/** A tube of 64 stitches, 16 cm wide lying flat and 10 cm tall below what is put on it. */
const bag = (top: WallSpec, over: Partial<Design> = {}): Design => ({
  ...newDesign('Tube'), gauge, base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 64 } }, colour: 'main' }, turnUp: 'plain',
  wall: stacked([plain, top]), ...over,
})

/** Every number of a path. */
const figures = (path: string) => [...path.matchAll(/-?\d+(?:\.\d+)?/g)].map(([text]) => Number(text))
/** The last one is deeper than it is long: its rows make its long sides. */
const SHAPES = ['circle', 'oval', 'rectangle', 'deep'] as const
const BASES: Record<(typeof SHAPES)[number], Design['base']> = {
  circle: {
    form: 'circle', stitch: 'sc', increases: 6, size: { pin: { rounds: 10 } }, start: 'ring', placing: 'stacked', increaseAt: 'last',
    colour: 'main',
  },
  oval: {
    form: 'oval', stitch: 'sc', perEnd: 3, size: { pin: { sideStitches: 16, rounds: 7 } }, start: 'chain', placing: 'stacked',
    increaseAt: 'last', colour: 'main',
  },
  rectangle: {
    form: 'rectangle', stitch: 'sc', size: { pin: { stitches: 24, rows: 12 } }, rowEnds: 'one-each', corners: 'none', colour: 'main',
  },
  deep: {
    form: 'rectangle', stitch: 'sc', size: { pin: { stitches: 12, rows: 24 } }, rowEnds: 'one-each', corners: 'none', colour: 'main',
  },
}

describe('a handle on the front', () => {
  it('held up stands as far above its feet as it drops: by hand, 20 cm over 8 rise 9.2 cm above 11', () => {
    const [front] = handleFronts(draft(bag(slots)), 'held').filter(({ behind }) => !behind)
    const ys = figures(front!.path).filter((_, i) => i % 2 === 1)
    // Its own half width lies above the lower edge; the curve at the hand keeps within its control point.
    expect(Math.min(...ys)).toBeCloseTo(-(11 + Math.sqrt(100 - 16) + 0.75), 2)
  })

  it('lying flat is an arc as long as the strap: walked in a thousand steps', () => {
    const strap: WallSpec = {
      kind: 'sewn-straps', number: 1, worked: 'along', wide: 2, length: { pin: { count: 70 } }, inCm: 3, overlapCm: 0, lines: 1,
      reinforced: 'none', stitch: 'sc', nudge: 0, colour: 'main',
    }
    const [flat] = handleFronts(draft(bag(strap)), 'flat')
    const [, x0, y0, radius, , , large, sweep, x1, y1] = /L(\S+) (\S+)A(\S+) (\S+) (\S+) (\d) (\d) (\S+) ([^L]+)L/
      .exec(flat!.path)!
      .map(Number) as [number, number, number, number, number, number, number, number, number, number]
    // The middle of the circle lies above or below the middle of the chord; the arc goes round it from foot to foot.
    const half = Math.abs(x1 - x0) / 2
    const below = Math.sqrt(radius * radius - half * half) * (large === 1 ? -1 : 1)
    const middle = { x: (x0 + x1) / 2, y: y0 + below }
    const [from, to] = [Math.atan2(y0 - middle.y, x0 - middle.x), Math.atan2(y1 - middle.y, x1 - middle.x)]
    const turn = sweep === 1 ? (to - from + 2 * Math.PI) % (2 * Math.PI) : -((from - to + 2 * Math.PI) % (2 * Math.PI))
    let walked = 0
    for (let i = 0; i < 1000; i++) {
      const at = (share: number) =>
        [middle.x + radius * Math.cos(from + turn * share), middle.y + radius * Math.sin(from + turn * share)] as const
      const [[ax, ay], [bx, by]] = [at(i / 1000), at((i + 1) / 1000)]
      walked += Math.hypot(bx - ax, by - ay)
    }
    expect(walked).toBeCloseTo(35, 1)
  })

  it('is drawn in half its width where it is folded over a side, and as it lies on the bag', () => {
    const under = draft(
      bag({
        kind: 'under-strap', worked: 'along', wide: 6, length: { pin: { count: 120 } }, lines: 2, stitch: 'sc', nudge: 0, colour: 'main',
      }),
    )
    const [strap] = handleFronts(under, 'held')
    expect(strap!.widthCm).toBeCloseTo(1.5, 9)
    // From the floor, up one side.
    expect(figures(strap!.path).slice(0, 2)[1]).toBeCloseTo(0, 6)
  })

  it('is longer with the load in, by what it stretches', () => {
    const rise = (as: 'held' | 'loaded') =>
      -Math.min(...figures(handleFronts(draft(bag(slots)), as)[0]!.path).filter((_, i) => i % 2 === 1))
    const { dropCm, loadedDropCm } = hangingsOf(draft(bag(slots)).design, draft(bag(slots)).parts)[0]!
    expect(rise('loaded') - rise('held')).toBeCloseTo(loadedDropCm - dropCm, 2)
  })

  it.each(SHAPES)('lies in the middle of the face of a bag on a %s, as long as its nudge is nothing', (shape) => {
    const drafted = draft(bag({ ...slots, width: { want: { widthCm: 6 } } }, { base: BASES[shape] }))
    const [grip] = gripFronts(drafted)
    expect(grip!.leftX + grip!.rightX).toBeCloseTo(0, 0)
    expect(grip!.rightX).toBeGreaterThan(grip!.leftX)
    expect(grip!.grip.before + grip!.grip.after + grip!.grip.stitches).toBeGreaterThanOrEqual(Math.floor(grip!.grip.count / 2))
  })

  it.each(['right', 'left'] as const)('moves the way that its grip says, for %s hands and in turned rounds', (hands) => {
    for (const style of ['joined', 'turned'] as const) {
      for (const rounds of [20, 21]) {
        const at = (nudge: number) =>
          gripFronts(
            draft(
              bag(
                { ...slots, nudge },
                {
                  hands, rounds: { style, startingChainCounts: false },
                  wall: stacked([
                    { ...plain, size: { pin: { rounds } } },
                    { ...slots, nudge },
                  ]),
                },
              ),
            ),
          )[0]!
        const [still, moved] = [at(0), at(3)]
        const by = (moved.leftX + moved.rightX - still.leftX - still.rightX) / 2
        expect(by, `${style} ${rounds}`).toBeCloseTo(3 * still.stitchCm, 1)
        expect(Math.abs(by)).toBeGreaterThan(1)
      }
    }
  })

  it('stays with the sides as the seam leans: the drawing has it in the middle, the round elsewhere', () => {
    const [straight, leaning] = [undefined, 2].map(leanPerTen =>
      draft(bag(slots, { rounds: { style: 'joined', startingChainCounts: false, ...(leanPerTen ? { leanPerTen } : {}) } })),
    )
    const [one, other] = [gripFronts(straight!)[0]!, gripFronts(leaning!)[0]!]
    expect(other.leftX + other.rightX).toBeCloseTo(one.leftX + one.rightX, 0)
    // Two tens of rounds, two stitches each: the slots come four stitches later in the round.
    const first = (drafted: ReturnType<typeof draft>) => drafted.parts.at(-1)!.rounds[0]!.round.steps[0]
    expect(first(straight!)).toMatchObject({ times: 8 })
    expect(first(leaning!)).toMatchObject({ times: 12 })
  })

  it('is in the middle where the maker marked the sides anew, in slots and in straps', () => {
    const sewn: WallSpec = {
      kind: 'sewn-straps', number: 2, worked: 'along', wide: 4, length: { pin: { count: 60 } }, inCm: 3, overlapCm: 2, lines: 1,
      reinforced: 'none', stitch: 'sc', nudge: 0, sideAt: 4, colour: 'main',
    }
    for (const top of [{ ...slots, sideAt: 4 }, sewn]) {
      const drafted = draft(
        bag(top, { wall: stacked([plain, top, ...(top === sewn ? [] : [{ kind: 'rim', rim: 'slip', colour: 'main' } as const])]) }),
      )
      const [grip] = gripFronts(drafted)
      expect(grip!.leftX + grip!.rightX).toBeCloseTo(0, 0)
      // What is worked above has its sides there too.
      expect(drafted.parts.at(-1)!.edge.sides).not.toEqual(
        draft(bag({ ...top, sideAt: undefined } as unknown as WallSpec)).parts.at(-1)!.edge.sides,
      )
    }
  })

  it('stands over the middle of a net as well, whose rounds start ever further on', () => {
    for (const rounds of [6, 9]) {
      const net: WallSpec = {
        kind: 'loops', skip: 1, first: 3, hold: { pin: { chains: 5 } }, size: { pin: { rounds } }, ends: 'closed',
        finish: { inLoop: 2, inStitch: 0 }, colour: 'main',
      }
      const drafted = draft(bag(slots, { wall: stacked([net, plain, { ...slots, width: { pin: { stitches: 8 } } }]) }))
      const [grip] = gripFronts(drafted)
      expect(Math.abs(grip!.leftX + grip!.rightX)).toBeLessThan(1.5)
    }
  })

  it('leaves the fabric open where it arches away, and a hand hole closed above', () => {
    const stretches = (top: SlotsSpec) =>
      elevation(draft(bag(top)))
        .slice(-4)
        .map(course => silhouette([course]).match(/M/g)!.length)
    expect(stretches(slots)).toEqual([2, 2, 2, 2])
    expect(stretches({ ...slots, chains: { want: { hole: true } }, corners: 0 })).toEqual([1, 1, 1, 1])
  })

  it('is drawn in numbers, however it is shown and whatever it is', () => {
    fc.assert(
      fc.property(
        fc.oneof(anySlots, anyFitted),
        fc.constantFrom(...SHAPES),
        fc.constantFrom('spiral', 'joined', 'turned'),
        (top, shape, style) => {
          const drafted = draft(
            bag(top as WallSpec, { base: BASES[shape], rounds: { style: style as 'joined', startingChainCounts: false } }),
          )
          for (const as of HANDLES_AS) {
            for (const { path, widthCm } of handleFronts(drafted, as)) {
              expect(path).not.toContain('NaN')
              expect(widthCm).toBeGreaterThan(0)
            }
          }
          for (const { path } of closureFronts(drafted)) expect(path).not.toContain('NaN')
          expect(handleFronts(drafted, 'held')).toHaveLength(hangingsOf(drafted.design, drafted.parts).length)
        },
      ),
      { ...SEED, numRuns: 150 },
    )
  })
})

describe('pieces in the chart', () => {
  it('hold every stitch that their rows have, as numbers, within their box (law 1)', () => {
    fc.assert(
      fc.property(anyDesign, (design) => {
        const drafted = draft(design)
        for (const piece of drafted.parts.flatMap(({ pieces }) => pieces)) {
          const chart = pieceChart(piece, design.hands === 'left')
          expect(chart.headX).toHaveLength(piece.rows.reduce((sum, { edge }) => sum + edge.count, 0))
          for (let i = 0; i < chart.headX.length; i++) {
            expect(Math.abs(chart.headX[i]!)).toBeLessThanOrEqual(chart.box.width / 2 + 1e-4)
            expect(chart.headY[i]!).toBeGreaterThanOrEqual(chart.box.top - 1e-4)
          }
        }
      }),
      { ...SEED, numRuns: 60 },
    )
  })

  it('are in the picture, each by its name and to scale', () => {
    const svg = asSvg(
      draft(
        bag({
          kind: 'grown-strap', foot: 7, wide: 7, length: { pin: { count: 60 } }, join: 'sewn', stitch: 'sc', nudge: 0, colour: 'main',
        }),
      ),
    )
    expect(svg).toContain('<title>Strap</title>')
    // Sixty rows of half a centimetre are longer than the bag is wide round: 30 cm against 32, and a margin at both ends.
    expect(svg).toContain('width="34.00cm"')
    expect(svg).not.toContain('NaN')
  })
})

describe('a handle in the unrolled wall', () => {
  it('has its stitches side by side over what they bridge', () => {
    const chart = unrolled(draft(bag(slots)))
    const round = chart.rounds.at(-3)!
    const xs = Array.from(chart.headX.slice(round.from, round.to))
    for (let i = 1; i < xs.length; i++) expect(xs[i]!).toBeLessThan(xs[i - 1]!)
    // 112 stitches on a rim that lies 64 wide: the handle's take 16/40 of a stitch each.
    expect(xs[0]! - xs[1]!).toBeCloseTo(0.5, 2)
    expect(xs[20]! - xs[21]!).toBeCloseTo(0.2, 2)
  })
})
