import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { REPEATS, SEED } from '../../../tests/arbitraries/designs'
import { gaugeOf } from '../../things/gauge/gauge'
import type { WallSetting } from '../part/part'
import { type Edge, foundation, placesOf } from '../../things/round/edge'
import { each } from '../../things/round/step'
import type { RoundStyle } from '../../things/round/style'
import { work } from '../../things/round/workRound'
import { anchorBelow, kindAt, type WorkedRound } from '../../things/round/workedRound'
import { divides } from '../part/asks'
import type { Bandlike } from '../texture/bandlike'
import type { Texture } from '../texture/texture'
import { solidTexture } from '../band/solid'
import { kindOf, wallKinds, type WallSpec } from './wall'
import { workTexture } from '../texture/workTexture'

const gauge = gaugeOf({
  hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 }, dc: { stitches: 20, rounds: 10, overCm: 10 } },
})
const setting = (style: RoundStyle = 'joined', startingChainCounts = false): WallSetting => ({
  gauge, rounds: { style, startingChainCounts }, index: 3, turns: 1, repeats: [], hook: { hookMm: 4, strands: 1 }, accepts: () => true,
})

/** A round of single crochet over as many, so that long stitches have something to reach. */
function plain(count: number): Edge {
  const result = work(
    { steps: [each('sc', count)], begin: { chains: 0, counts: false, turn: false }, join: 'slip', facing: 'right', colour: 'main' },
    foundation('stitch', count),
  )
  if (!result.ok) throw new Error(result.error.code)
  return result.worked.edge
}

const common = { colour: 'main', size: { pin: { rounds: 5 } } } as const
type BandSpec = Exclude<Extract<WallSpec, Bandlike>, { readonly kind: 'taper' | 'loops' }>
const textureOf = (spec: BandSpec, repeats: typeof REPEATS): Texture | undefined => kindOf(spec).texture!(spec, repeats)

const SPECS: BandSpec[] = [
  ...(['solid', 'ridges', 'hills'] as const).map(band => ({ kind: band, stitch: 'hdc' as const, ...common })),
  ...(['pairs', 'groups', 'vees', 'waves', 'moss'] as const).map(band => ({ kind: band, ...common })),
  { kind: 'rib', stitch: 'dc', front: 1, back: 1, ...common }, { kind: 'rib', stitch: 'hdc', front: 2, back: 3, ...common },
  ...[1, 2, 3].flatMap(chains => [true, false].map(finish => ({ kind: 'boxes' as const, chains, finish, ...common }))),
  { kind: 'sprigs', seamStitch: false, ...common }, { kind: 'sprigs', seamStitch: true, ...common },
  ...REPEATS.map(({ id }) => ({ kind: 'own' as const, repeat: id, ...common })),
]
const anySpec = fc.constantFrom(...SPECS)
const anyStyle = fc.constantFrom<RoundStyle>('spiral', 'joined', 'turned')

function worked(spec: BandSpec, count: number, style: RoundStyle = 'joined', startingChainCounts = false) {
  return workTexture(textureOf(spec, REPEATS)!, spec, plain(count), setting(style, startingChainCounts))
}

describe('every texture', () => {
  it('is tried here', () =>
    expect(new Set(SPECS.map(({ kind }) => kind))).toEqual(
      new Set(
        wallKinds()
          .filter(({ texture }) => texture)
          .map(({ kind }) => kind),
      ),
    ))

  it('comes out on what it asks, and gives what it says, in every style', () => {
    fc.assert(
      fc.property(
        anySpec,
        fc.integer({ min: 2, max: 30 }),
        anyStyle,
        fc.boolean(),
        fc.integer({ min: 1, max: 7 }),
        (spec, repeats, style, counts, rounds) => {
          const { asks, gives } = textureOf(spec, REPEATS)!
          const {
            edge, findings, rounds: made,
          } = worked({ ...spec, size: { pin: { rounds } } }, repeats * asks.multiple + asks.plus, style, counts)
          expect(findings, JSON.stringify([spec, repeats, style])).toEqual([])
          expect(made).toHaveLength(rounds + (textureOf(spec, REPEATS)!.finish ? 1 : 0))
          expect(edge.count).toBe(repeats * gives + asks.plus)
        },
      ),
      { ...SEED, numRuns: 300 },
    )
  })

  it('refuses what it does not ask, and says what would do', () => {
    fc.assert(
      fc.property(anySpec, fc.integer({ min: 2, max: 90 }), (spec, count) => {
        const { asks } = textureOf(spec, REPEATS)!
        fc.pre(!divides(count, asks))
        const { findings, rounds, edge } = worked(spec, count)
        expect(findings.map(({ code, weight }) => [code, weight])).toEqual([['does-not-divide', 'stop']])
        expect(rounds).toHaveLength(0)
        expect(edge.count).toBe(count)
      }),
      { ...SEED, numRuns: 150 },
    )
  })

  it('is rejected by work itself one stitch to either side', () => {
    fc.assert(
      fc.property(anySpec, fc.integer({ min: 3, max: 20 }), fc.constantFrom(-1, 1), (spec, repeats, off) => {
        const texture = textureOf(spec, REPEATS)!
        const { steps } = worked(spec, repeats * texture.asks.multiple + texture.asks.plus).rounds[0]!.round
        const result = work(
          { steps, begin: { chains: 0, counts: false, turn: false }, join: 'slip', facing: 'right', colour: 'main' },
          plain(repeats * texture.asks.multiple + texture.asks.plus + off),
        )
        expect(result.ok).toBe(false)
      }),
      { ...SEED, numRuns: 100 },
    )
  })

  it('keeps the same counts round upon round once it is set up', () => {
    for (const spec of SPECS.filter(one => !textureOf(one, REPEATS)!.finish)) {
      const { asks } = textureOf(spec, REPEATS)!
      const counts = worked(spec, 6 * asks.multiple + asks.plus)
        .rounds.slice(1)
        .map(({ edge }) => edge.count)
      expect(new Set(counts).size, spec.kind).toBe(1)
    }
  })
})

describe('common practice, no source', () => {
  it('48 stitches make twelve groups of three: 36', () => expect(worked({ kind: 'groups', ...common }, 48).edge.count).toBe(36))

  it('boxes on 48 are 24', () => {
    const { edge } = worked({ kind: 'boxes', chains: 1, finish: false, ...common }, 48)
    expect(placesOf(edge, 'space')).toBe(24)
    expect(placesOf(edge, 'stitch')).toBe(24)
  })

  it('boxes of two chains on 48 are 16, and closed off make 48 again', () => {
    const { rounds, edge } = worked({ kind: 'boxes', chains: 2, finish: true, ...common }, 48)
    expect(rounds.map(round => round.edge.count)).toEqual([32, 32, 32, 32, 32, 48])
    expect(edge.count).toBe(48)
  })

  it('V\'s on 48 are 16, and filled make 48 again', () => {
    const { edge } = worked({ kind: 'vees', ...common }, 48)
    expect(placesOf(edge, 'space')).toBe(16)
    expect(workTexture(solidTexture('sc'), common, edge, setting()).edge.count).toBe(48)
  })
})

/** What a thing made stands on, by its kind: `dc on sc`. */
const standing = (rounds: readonly WorkedRound[], i: number) =>
  Array.from(
    { length: rounds[i]!.edge.count },
    (_, made) => `${kindAt(rounds[i]!, made)} on ${kindAt(rounds[i - 1]!, rounds[i]!.edge.from[made]!)}`,
  )

describe('what stands on what', () => {
  it.each(['joined', 'turned'] as const)('fans stand on singles and singles on fans, in %s rounds', (style) => {
    const { rounds } = worked({ kind: 'waves', ...common }, 24, style)
    for (let i = 1; i < rounds.length; i++) expect(new Set(standing(rounds, i)), String(i)).toEqual(new Set(['dc on sc', 'sc on dc']))
  })

  it.each(['joined', 'turned'] as const)('singles of fans stand on the middle one of three, in %s rounds', (style) => {
    const { rounds } = worked({ kind: 'waves', ...common }, 24, style)
    for (let i = 1; i < rounds.length; i++) {
      const below = rounds[i - 1]!
      for (let made = 0; made < 24; made++) {
        if (kindAt(rounds[i]!, made) !== 'sc') continue
        const on = rounds[i]!.edge.from[made]!
        for (const beside of [on - 1, on + 1]) expect(below.edge.from[(beside + 24) % 24]).toBe(below.edge.from[on])
      }
    }
  })

  it.each(['joined', 'turned'] as const)('boxes stand on boxes, in %s rounds', (style) => {
    const { rounds } = worked({ kind: 'boxes', chains: 1, finish: false, ...common }, 24, style)
    for (let i = 1; i < rounds.length; i++)
      expect(standing(rounds, i).filter(one => one.startsWith('dc'))).toEqual(Array(12).fill('dc on dc'))
  })

  it.each(['joined', 'turned'] as const)('pairs stand between pairs, never within one, in %s rounds', (style) => {
    const { rounds } = worked({ kind: 'pairs', ...common }, 24, style)
    for (let i = 1; i < rounds.length; i++) {
      const { edge } = rounds[i]!
      const below = rounds[i - 1]!.edge
      for (let made = 0; made < edge.count; made++)
        expect([below.from[edge.from[made]!], below.to[edge.from[made]!]]).not.toEqual([
          below.from[edge.to[made]!],
          below.to[edge.to[made]!],
        ])
    }
  })

  it.each(['joined', 'turned'] as const)('the long stitch of a group reaches the middle of what was skipped, in %s rounds', (style) => {
    const { rounds } = worked({ kind: 'groups', ...common }, 24, style)
    const second = rounds[1]!
    const anchors = Array.from({ length: 18 }, (_, made) => anchorBelow(second, made)).filter(place => place >= 0)
    // Groups stand on every fourth stitch, so what they skip has its middle two further on.
    expect(anchors.sort((a, b) => a - b)).toEqual(style === 'joined' ? [2, 6, 10, 14, 18, 22] : anchors)
    expect(anchors.every(place => place % 4 === 2)).toBe(true)
    expect(rounds[2]!.edge.count).toBe(18)
  })

  it.each(['joined', 'turned'] as const)('long stitches stand over short ones, in %s rounds', (style) => {
    const { rounds } = worked({ kind: 'moss', ...common }, 24, style)
    for (let i = 2; i < rounds.length; i++) expect(new Set(standing(rounds, i))).toEqual(new Set(['dc on sc', 'sc on dc']))
  })

  it('ribs stand in columns, seen from the right side, in turned rounds too', () => {
    const { rounds } = worked({ kind: 'rib', stitch: 'dc', front: 2, back: 3, size: { pin: { rounds: 6 } }, colour: 'main' }, 20, 'turned')
    /** Whether each post stands out on the right side. */
    const out = (round: WorkedRound, made: number) => (round.loops[made] === 5) === (round.round.facing === 'right')
    for (let i = 1; i < rounds.length; i++) {
      const { edge } = rounds[i]!
      for (let made = 0; made < edge.count; made++)
        expect(out(rounds[i]!, made), `${i}:${made}`).toBe(out(rounds[i - 1]!, edge.from[made]!))
    }
  })
})

describe('height and width, by hand', () => {
  it('a band of doubles 10 cm tall is ten rounds of 1 cm', () => {
    const { rounds, size } = worked({ kind: 'solid', stitch: 'dc', size: { want: { heightCm: 10 } }, colour: 'main' }, 40)
    expect(rounds).toHaveLength(10)
    expect(size.height.cm).toBeCloseTo(10, 9)
    expect(size.circumference.cm).toBeCloseTo(20, 9)
  })

  it('waves rise as a column of them does, a single and a double by turns: (0.5 + 1) / 2 = 0.75 cm a round, 3 in four', () => {
    const { size } = worked({ kind: 'waves', size: { pin: { rounds: 4 } }, colour: 'main' }, 40)
    expect(size.height.cm).toBeCloseTo(3, 9)
  })

  it('groups lie as wide as the four stitches that each stands on', () => {
    const { size, edge } = worked({ kind: 'groups', ...common }, 48)
    expect(edge.count).toBe(36)
    expect(size.circumference.cm).toBeCloseTo(24, 9)
  })

  it('finds the rounds nearest to a height, against adding them up one by one', () => {
    fc.assert(
      fc.property(anySpec, fc.double({ min: 0.2, max: 60, noNaN: true }), (spec, heightCm) => {
        const { asks } = textureOf(spec, REPEATS)!
        const tall = (rounds: number) => worked({ ...spec, size: { pin: { rounds } } }, 3 * asks.multiple + asks.plus).size.height.cm
        const found = worked({ ...spec, size: { want: { heightCm } } }, 3 * asks.multiple + asks.plus)
        const miss = (rounds: number) => Math.abs(tall(rounds) - heightCm)
        const n = found.rounds.length - (textureOf(spec, REPEATS)!.finish ? 1 : 0)
        expect(miss(n)).toBeLessThanOrEqual(miss(n + 1) + 1e-9)
        if (n > 1) expect(miss(n)).toBeLessThanOrEqual(miss(n - 1) + 1e-9)
      }),
      { ...SEED, numRuns: 80 },
    )
  })
})
