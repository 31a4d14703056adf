import { stacked } from '../design/partIds'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyBase, anyWallPart, REPEATS, SEED } from '../../../tests/arbitraries/designs'
import { baseChoices, type BaseSpec, workBase } from '../../parts/base/base'
import type { Design, WallPart } from '../design/design'
import { newDesign } from '../design/starter'
import { draft } from '../draft/draft'
import { gaugeOf } from '../../things/gauge/gauge'
import { comesOut, demandOf, mainStitch, type WallSpec } from '../../parts/wall/wall'
import { bareWall } from '../../parts/wall/adjusted'
import { fit } from './fit'
import type { FitWish } from './wish'
import { collisionWords, fittingWords, searchWords } from './fitWords'
import { ADJUSTING_CM, UNEVEN_CM } from './plans'
import { LEAST_ROUNDS, metresWanted, partsOf, withRounds } from './yarnDemand'
import { roundsLeft } from './roundsLeft'

const gauge = { hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 21, overCm: 10 } } } as const
const setting = { gauge: gaugeOf(gauge), rounds: { style: 'joined', startingChainCounts: false }, index: 0, turns: 0 } as const
const size = { pin: { rounds: 2 } } as const
const band = (kind: 'pairs' | 'groups' | 'vees' | 'waves' | 'moss') => ({ kind: kind, size, colour: 'main' }) as const
const solid = { kind: 'solid', stitch: 'sc', size, colour: 'main' } as const
const oval: BaseSpec = {
  form: 'oval', stitch: 'sc', perEnd: 3, size: { want: { lengthCm: 26, widthCm: 9.5 } }, start: 'chain', placing: 'stacked',
  increaseAt: 'last', colour: 'main',
}
const bag = (over: Partial<Design>): Design => ({
  ...newDesign('Tote'), gauge, base: oval, turnUp: 'plain', wall: [], repeats: REPEATS, ...over,
})
const seen = { gauge: setting.gauge, repeats: REPEATS, hook: { hookMm: 4, strands: 1 } }
const run = (design: Design, wish: FitWish = { toleranceCm: 1.5, mostAdjusting: 1 }) => fit(design, setting.gauge, wish)

describe('the bases within reach', () => {
  it('have the counts and sizes that working them gives', () => {
    fc.assert(
      fc.property(anyBase as unknown as fc.Arbitrary<BaseSpec>, (spec) => {
        for (const { base, stitches, errorCm, off } of baseChoices(spec, setting, 0.8).slice(0, 12)) {
          const { edge, size: worked } = workBase(base, setting)
          expect(edge.count, JSON.stringify(base)).toBe(stitches)
          expect(off.every(({ cm }) => Math.abs(cm) <= 0.8 + 1e-6)).toBe(true)
          expect(errorCm).toBeGreaterThanOrEqual(0)
          if ('size' in spec && 'want' in spec.size && 'lengthCm' in spec.size.want) {
            expect(off[0]!.cm).toBeCloseTo(worked.floor!.length.cm - spec.size.want.lengthCm, 6)
            expect(off[1]!.cm).toBeCloseTo(worked.floor!.width.cm - spec.size.want.widthCm, 6)
          }
          if ('size' in spec && 'want' in spec.size && 'flatWidthCm' in spec.size.want)
            expect(off[0]!.cm).toBeCloseTo(worked.circumference.cm / 2 - spec.size.want.flatWidthCm, 6)
        }
      }),
      { ...SEED, numRuns: 150 },
    )
  })

  it('are all of them: none of the neighbours that also lie within reach is missing', () => {
    const found = baseChoices(oval, setting, 1)
    // By hand: widths within 1 cm of 9.5 at 2 · 10/21 a round are 9, 10 and 11 rounds; five lengths each at 0.5 cm a stitch, or four.
    expect(
      new Set(found.map(({ base }) => ('size' in base && 'pin' in base.size && 'rounds' in base.size.pin ? base.size.pin.rounds : 0))),
    ).toEqual(new Set([9, 10, 11]))
    expect(found.every(({ stitches }) => stitches % 2 === 0)).toBe(true)
    expect(found.length).toBeGreaterThanOrEqual(12)
  })
})

describe('the fit', () => {
  it('finds a base on which groups, then boxes over four, divide with nothing to adjust', () => {
    const design = bag({
      wall: stacked([solid, band('groups'), { kind: 'boxes', chains: 1, finish: false, size, colour: 'main' }]),
      mouth: { divides: 4 },
    })
    const { found } = run(design)
    const [best] = found
    expect(best!.adjusting).toEqual([])
    expect(best!.stitches % 4).toBe(0)
    expect(((best!.stitches * 3) / 4) % 4).toBe(0)
    expect(fittingWords(best!, design)).toMatch(/^\d+ stitches, .*, nothing to adjust$/)
  })

  it('offers to keep the base and adjust, in words', () => {
    const pinnedTube: BaseSpec = { form: 'tube', stitch: 'sc', size: { want: { flatWidthCm: 23.5 } }, colour: 'main' }
    const design = bag({ base: pinnedTube, wall: stacked([solid, band('vees')]) })
    const { found, weighed } = run(design, { toleranceCm: 0.2, mostAdjusting: 1 })
    expect(found.map(one => fittingWords(one, design))).toEqual(['94 stitches, as wanted, before Open V\'s a round of 1 decrease, to 93'])
    expect(weighed).toBeGreaterThan(1)
    expect(searchWords({ found, weighed })).toContain('the best shown')
  })

  it('says which asks collide when nothing fits', () => {
    const design = bag({
      base: { form: 'tube', stitch: 'sc', size: { want: { flatWidthCm: 10 } }, colour: 'main' },
      wall: stacked([band('groups'), band('waves')]), mouth: { divides: 60 },
    })
    const { found, collision } = run(design, { toleranceCm: 0.4, mostAdjusting: 0 })
    expect(found).toEqual([])
    expect(collisionWords(design, collision!)).toContain('Groups of three asks for a multiple of 4 and leaves 3 for each 4')
    expect(collisionWords(design, { at: 2, bases: 3 })).toContain('the mouth asks for a multiple of 60')
    expect(collisionWords(design, { at: 0, bases: 0 })).toContain('Allow more centimetres')
  })

  it('counts on through slots, and offers no base whose rim has no room for them', () => {
    const slots: WallSpec = {
      kind: 'slots', number: 2, width: { pin: { stitches: 20 } }, chains: { pin: { chains: 31 } }, into: 'chains', corners: 1, rounds: 2,
      stitch: 'sc', nudge: 0, colour: 'main',
    }
    const shells: WallSpec = { kind: 'shells', stitches: 4, colour: 'main' }
    const wide = run(
      bag({ base: { form: 'tube', stitch: 'sc', size: { want: { flatWidthCm: 20 } }, colour: 'main' }, wall: stacked([slots, shells]) }),
    )
    // 22 more chains than are skipped, less 4 at the corners: of the counts near 80, 78 come to 96, which six goes into.
    expect(wide.found[0]!.stitches).toBe(78)
    const narrow = bag({
      base: { form: 'tube', stitch: 'sc', size: { want: { flatWidthCm: 10 } }, colour: 'main' },
      wall: stacked([slots]),
    })
    const none = fit(narrow, setting.gauge, { toleranceCm: 0.5, mostAdjusting: 0 })
    expect(none.found).toEqual([])
    expect(collisionWords(narrow, none.collision!)).toContain('gets further than Slots')
  })

  it('puts in its own adjusting rounds afresh, and leaves those that the maker counted', () => {
    const counted: WallSpec = { kind: 'adjust', stitch: 'sc', to: { pin: { change: 2 } }, mirrored: false, counted: true, colour: 'main' }
    const old: WallSpec = { kind: 'adjust', stitch: 'sc', to: { pin: { stitches: 90 } }, mirrored: false, colour: 'main' }
    const [first, second, , fourth] = stacked([solid, counted, old, band('vees')])
    expect(bareWall(stacked([solid, counted, old, band('vees')]))).toEqual([first, second, fourth])
  })
})

/** A wall that may be tried: as it is, or with an adjusting round to a count before one of its parts (its length: at the mouth). */
interface Trial {
  readonly wall: readonly WallPart[]
  readonly at?: number
  readonly to: number
}

function trials(bare: readonly WallPart[], stitches: number, wish: FitWish): Trial[] {
  const plain: Trial = { wall: bare, to: 0 }
  if (wish.mostAdjusting === 0) return [plain]
  const counts = Array.from({ length: 2 * stitches }, (_, i) => i + 3)
  return [
    plain,
    ...[...bare, undefined].flatMap((_, at) =>
      counts.map((to): Trial => ({
        at, to,
        wall: stacked([
          ...bare.slice(0, at), { kind: 'adjust', stitch: 'sc', to: { pin: { stitches: to } }, mirrored: true, colour: 'main' },
          ...bare.slice(at),
        ]),
      })),
    ),
  ]
}

/** Cost of an adjusting round by the rule in the fit's prose; no end if it is out of reach: a sixth of the count, or one repeat. */
function slowCost(from: number, to: number, spec: WallSpec | undefined, design: Design): number {
  const texture = spec ? demandOf(spec, seen) : undefined
  const repeat = spec ? texture!.asks.multiple : design.mouth!.divides
  const change = Math.abs(to - from)
  const plain = from - change * (to > from ? 1 : 2)
  if (change === 0 || plain < 0 || change > Math.max(Math.floor(from / 6), repeat)) return Infinity
  return ADJUSTING_CM + (change * setting.gauge[spec ? mainStitch(spec, seen) : 'sc'].width.cm) / 2 + (plain % change === 0 ? 0 : UNEVEN_CM)
}

/** The first part of a wall that a count does not divide at; its length if only the mouth does not. */
function stuckIn(bare: readonly WallPart[], stitches: number, { mouth }: Design): number | undefined {
  const out = comesOut(bare, seen, stitches)
  return 'stuckAt' in out ? out.stuckAt : out.count % (mouth?.divides ?? 1) === 0 ? undefined : bare.length
}

/** A slow oracle: every base in reach, and with it every trial wall, drafted in full; the cheapest that comes out without a stop. */
function slowly(design: Design, wish: FitWish): number {
  const { yarn } = wish
  const wants = (wall: readonly WallPart[], base: BaseSpec) => metresWanted(draft({ ...design, base, wall }), yarn!.yarn)
  const bare = bareWall(design.wall)
  let best = Infinity
  for (const { base, stitches, errorCm } of baseChoices(design.base, setting, wish.toleranceCm)) {
    const stuck = stuckIn(bare, stitches, design)
    for (const { wall, at, to } of trials(bare, stitches, wish)) {
      // Where a count divides nobody adjusts it, though fewer stitches would save yarn: a smaller base does that.
      if (yarn && at !== stuck) continue
      const { parts, findings } = draft({ ...design, base, wall })
      if (findings.some(({ weight, code }) => weight === 'stop' || code === 'mouth-does-not-divide')) continue
      if (yarn && wants(yarn.part ? withRounds(wall, yarn.part, LEAST_ROUNDS) : wall, base) > yarn.metres + 1e-6) continue
      best = Math.min(best, errorCm + (at === undefined ? 0 : slowCost(parts[at + 1]!.edge.count, to, bare[at], design)))
    }
  }
  return best
}

describe('against brute force (law 7)', () => {
  const parts = fc.constantFrom<WallSpec>(
    solid,
    band('pairs'),
    band('groups'),
    band('vees'),
    band('waves'),
    { kind: 'sprigs', seamStitch: true, size, colour: 'main' },
    { kind: 'own', repeat: 'nubs', size, colour: 'main' },
    {
      kind: 'slots', number: 2, width: { pin: { stitches: 5 } }, chains: { pin: { chains: 9 } }, into: 'chains', corners: 1, rounds: 2,
      stitch: 'sc', nudge: 0, colour: 'main',
    },
  )
  const bases = fc.oneof(
    fc
      .integer({ min: 5, max: 9 })
      .map((flatWidthCm): BaseSpec => ({ form: 'tube', stitch: 'sc', size: { want: { flatWidthCm } }, colour: 'main' })),
    fc
      .tuple(fc.integer({ min: 6, max: 9 }), fc.integer({ min: 2, max: 4 }))
      .map(([lengthCm, widthCm]): BaseSpec => ({ ...oval, size: { want: { lengthCm, widthCm } } }) as BaseSpec),
    fc
      .tuple(fc.integer({ min: 4, max: 7 }), fc.integer({ min: 1, max: 2 }))
      .map(([lengthCm, widthCm]): BaseSpec => ({
        form: 'rectangle', stitch: 'sc', size: { want: { lengthCm, widthCm } }, rowEnds: 'one-each', corners: 'none', colour: 'main',
      })),
  )

  it('finds nothing worse than trying everything', () => {
    fc.assert(
      fc.property(
        bases,
        fc.array(parts, { minLength: 1, maxLength: 3 }),
        fc.constantFrom(1, 2, 3, 4),
        fc.constantFrom(0, 1),
        (base, wall, divides, mostAdjusting) => {
          const design = bag({ base, wall: stacked(wall), mouth: { divides } })
          const wish = { toleranceCm: 0.6, mostAdjusting }
          const { found } = run(design, wish)
          expect(found[0]?.costCm ?? Infinity).toBeCloseTo(slowly(design, wish), 9)
        },
      ),
      { ...SEED, numRuns: 12 },
    )
  })

  it('finds nothing worse than trying everything where a yarn is short, and of what is left takes all', () => {
    fc.assert(
      fc.property(
        bases,
        fc.array(parts, { minLength: 1, maxLength: 3 }),
        fc.constantFrom(1, 2, 4),
        fc.constantFrom(0, 1),
        fc.double({ min: 0.8, max: 1.2, noNaN: true }),
        fc.boolean(),
        (base, wall, divides, mostAdjusting, share, takesRest) => {
          const design = bag({ base, wall: stacked([...wall, solid]), mouth: { divides } })
          const part = takesRest ? { part: design.wall.at(-1)!.id } : {}
          const yarn = { yarn: 'main', metres: share * metresWanted(draft(design), 'main'), ...part }
          const wish = { toleranceCm: 0.6, mostAdjusting, yarn }
          const { found } = run(design, wish)
          expect(found[0]?.costCm ?? Infinity).toBeCloseTo(slowly(design, wish), 9)
          for (const fitting of found) {
            const whole = { ...design, base: fitting.base, wall: fitting.wall }
            const metres = metresWanted(draft(whole), 'main')
            expect(metres).toBeCloseTo(fitting.yarn!.metres, 9)
            expect(metres).toBeLessThanOrEqual(yarn.metres + 1e-6)
            if (fitting.yarn!.rounds === undefined) continue
            const one = withRounds(fitting.wall, yarn.part, fitting.yarn!.rounds + 1)
            expect(metresWanted(draft({ ...whole, wall: one }), 'main')).toBeGreaterThan(yarn.metres)
          }
        },
      ),
      { ...SEED, numRuns: 20 },
    )
  })

  it('only offers what comes out when it is drafted', () => {
    fc.assert(
      fc.property(
        anyBase as unknown as fc.Arbitrary<BaseSpec>,
        fc.array(anyWallPart as unknown as fc.Arbitrary<WallSpec>, { maxLength: 3 }),
        fc.integer({ min: 1, max: 6 }),
        (base, wall, divides) => {
          const design = bag({
            base, wall: stacked(wall.filter(spec => spec.kind !== 'taper')), mouth: { divides },
            yarns: [
              { id: 'main', name: 'a', colour: '#ffffff' },
              { id: 'moss', name: 'b', colour: '#00ff00' },
            ],
          })
          for (const { base: spec, wall: fitted, mouth } of run(design, { toleranceCm: 0.5, mostAdjusting: 2 }).found.slice(0, 2)) {
            const { parts, findings } = draft({ ...design, base: spec, wall: fitted })
            const stops = findings.filter(({ weight, code }) => weight === 'stop' && code !== 'adjust-impossible')
            expect(stops, JSON.stringify(fitted)).toEqual([])
            if (!findings.some(({ weight }) => weight === 'stop')) expect(parts.at(-1)!.edge.count).toBe(mouth)
          }
        },
      ),
      { ...SEED, numRuns: 60 },
    )
  })
})

describe('the rounds that a yarn is left for', () => {
  // Six rounds of one yarn, then fifty of the other: what the first rounds want says little of the later ones.
  const yarns = [...newDesign('x').yarns, { ...newDesign('x').yarns[0]!, id: 'other' }]
  const striped = (first: string, second: string): Design => bag({
    yarns,
    wall: stacked([{ ...solid, colour: first, stripes: [{ colour: first, rounds: 6 }, { colour: second, rounds: 50 }] } as WallSpec]),
  })

  it.each([striped('main', 'other'), striped('other', 'main'), bag({ wall: stacked([solid]) })])(
    'are the most with which it lasts: %#',
    (design) => {
      const part = design.wall[0]!.id
      const wants = (rounds: number) =>
        metresWanted(partsOf({ ...design, wall: withRounds(design.wall, part, rounds) }, setting.gauge), 'main')
      for (const rounds of [2, 4, 7, 12, 30, 57, 61, 80]) {
        for (const over of [0.01, 0.5]) {
          const metres = wants(rounds) + over * (wants(rounds + 1) - wants(rounds)) + 1e-9
          const left = roundsLeft(design, setting.gauge, { yarn: 'main', metres, part })!
          expect(wants(left), `${rounds} rounds`).toBeLessThanOrEqual(metres)
          expect(left === 600 || wants(left + 1) > metres, `${rounds} rounds`).toBe(true)
        }
      }
      expect(roundsLeft(design, setting.gauge, { yarn: 'main', metres: wants(2) / 2, part })).toBe(wants(2) > 0 ? undefined : 600)
    },
  )
})
