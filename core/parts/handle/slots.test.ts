import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anySlots, SEED } from '../../../tests/arbitraries/designs'
import { gaugeOf } from '../../things/gauge/gauge'
import { rim } from '../mouth/rim'
import type { WallSetting } from '../part/part'
import { type Edge, foundation, withSides } from '../../things/round/edge'
import { lengthOf, liesOver, runAt } from '../../things/round/freeRuns'
import { each } from '../../things/round/step'
import { ROUND_STYLES } from '../../things/round/style'
import { stepsWords } from '../../readers/words/stepWords'
import { type Placing, within } from './placing'
import { met } from './slotRounds'
import { workSlots } from './slots'
import { slotsOn, type SlotsSpec } from './slotSpec'
import { slotsGive } from './slotDemand'

const gauge = gaugeOf({ hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } })
const setting: WallSetting = {
  gauge, rounds: { style: 'joined', startingChainCounts: false }, index: 20, turns: 21, repeats: [], hook: { hookMm: 4, strands: 1 },
  accepts: () => true,
}
const handles: SlotsSpec = {
  kind: 'slots', number: 2, width: { pin: { stitches: 16 } }, chains: { pin: { chains: 32 } }, into: 'chains', corners: 1, rounds: 3,
  stitch: 'sc', nudge: 0, colour: 'main',
}
const on = (count: number, over: Partial<SlotsSpec> = {}, edge: Edge = foundation('stitch', count), at: WallSetting = setting) =>
  workSlots({ ...handles, ...over } as SlotsSpec, edge, at)
const codes = ({ findings }: ReturnType<typeof workSlots>) => findings.map(({ code }) => code)

/** The stitches that a round's steps leave plain, chain and skip, in order. */
function runs({ rounds: [first] }: ReturnType<typeof workSlots>): string {
  return first!.round.steps
    .map(step =>
      step.do === 'stitch' ? step.times : step.do === 'chain' ? `ch ${step.chains}` : step.do === 'skip' ? `skip ${step.places}` : '?',
    )
    .join(', ')
}

describe('slots on 64 stitches (craft 10; common practice, no source)', () => {
  const result = on(64)

  it('are worked 8, slot 16, 16, slot 16, 8', () => expect(runs(result)).toBe('8, ch 32, skip 16, 16, ch 32, skip 16, 8'))

  it('with chains of 32 come to 96, and 92 once the four corners are drawn together', () => {
    expect(result.rounds.map(({ edge }) => edge.count)).toEqual([34, 96, 92, 92])
    expect(result.findings.find(({ code }) => code === 'rim-counts')!.what).toContain('from 64 stitches to 96, then 92, then 92')
  })

  it('say their runs, and in words how each chain is worked', () => {
    expect(result.findings.find(({ code }) => code === 'slot-runs')!.what).toContain('8, slot 16, 16, slot 16, 8')
    const words = (into: SlotsSpec['into']) =>
      stepsWords(on(64, { into }).rounds[1]!.round.steps, { terms: 'us', on: on(64).rounds[1]!.on, start: { kind: 'ring', chains: 0 } })
    expect(words('chains')).toBe(
      'sc in next 8 sts, sc in each of the 32 chs, sc in next 16 sts, sc in each of the 32 chs, sc in ' + 'next 8 sts',
    )
    expect(words('bumps')).toContain('sc in back bump of each of the 32 chs')
    expect(words('over')).toContain('32 sc in the ch-loop over the slot')
  })

  it('draw body and handle together at both ends of both', () => {
    const { round } = result.rounds[2]!
    expect(round.steps.filter(({ do: what }) => what === 'together')).toHaveLength(4)
    expect(round.steps.map(step => (step.do === 'stitch' ? step.times : 'tog'))).toEqual([7, 'tog', 30, 'tog', 14, 'tog', 30, 'tog', 7])
  })

  it('leave a rim that lies as wide as what the handles bridge', () => {
    // Each corner takes one from body and handle and gives one back to the body.
    expect(liesOver(result.edge)).toBe(64)
    expect(result.handles!.map(({ lengthCm, gapCm, widthCm, name }) => [name, lengthCm, gapCm, widthCm])).toEqual([
      ['Handle, front', 16, 8, 1.5],
      ['Handle, back', 16, 8, 1.5],
    ])
  })
})

describe('a chain over a slot', () => {
  it('as long as the slot is a hand hole: the rim keeps its count, and nothing hangs', () => {
    const { edge, handles: none } = on(64, { chains: { want: { hole: true } }, corners: 0 })
    expect(edge.count).toBe(64)
    expect(none).toEqual([])
  })

  it('for a drop of 12 cm over 8 cm is 51 chains: by hand, sqrt(4·144 + 64) = 25.3 cm of half a centimetre each', () => {
    expect(slotsOn({ ...handles, chains: { want: { dropCm: 12 } } }, foundation('stitch', 64), setting, false).chains).toBe(51)
  })

  it('shorter than its slot is refused, and a rim too small for two as well', () => {
    expect(codes(on(64, { chains: { pin: { chains: 12 } } }))).toEqual(['slot-chain-short'])
    const small = on(30)
    expect(small.findings[0]).toMatchObject({ code: 'slots-too-wide', weight: 'stop' })
    expect(small.findings[0]!.what).toContain('at most 13 leave 2 between')
    expect(on(30, { width: { pin: { stitches: 13 } } }).rounds).toHaveLength(4)
  })

  it('without corners drawn together is told to flop, with what mends it', () => {
    const { findings } = on(64, { corners: 0, rounds: 1 })
    expect(findings.find(({ code }) => code === 'handles-flop')!.fix!.changes).toEqual([
      { path: ['corners'], value: 1 },
      { path: ['rounds'], value: 2 },
    ])
  })
})

describe('where slots lie', () => {
  it('follows the sides: a bag that folds at 4 has its slots 8 on from there', () => {
    expect(runs(on(64, {}, withSides(foundation('stitch', 64), [4, 36])))).toBe('12, ch 32, skip 16, 16, ch 32, skip 16, 4')
  })

  it('follows sides that the maker marked anew', () => {
    expect(runs(on(64, { sideAt: 4 }))).toBe('12, ch 32, skip 16, 16, ch 32, skip 16, 4')
  })

  it('with a start inside a slot goes on by slip stitches to the side beyond it', () => {
    const result = on(64, {}, withSides(foundation('stitch', 64), [16, 48]))
    // The second slot ends at 8, and the side is 8 on from there.
    expect(result.rounds[0]!.round.begin.along).toBe(16)
    expect(runs(result)).toBe('8, ch 32, skip 16, 16, ch 32, skip 16, 8')
    expect(result.rounds.map(({ edge }) => edge.count)).toEqual([34, 96, 92, 92])
  })

  it('tells the odd stitch, and half a stitch off the sides', () => {
    expect(codes(on(65))).toContain('odd-stitch')
    expect(codes(on(64, { width: { pin: { stitches: 15 } } }))).toContain('off-sides')
    expect(codes(on(64))).not.toContain('odd-stitch')
    expect(codes(on(64, { nudge: 2 }))).toContain('off-centre')
  })
})

/** Every place of the free runs of an edge, run by run. */
const freeOf = (edge: Edge) => (edge.free ?? []).map(run => lengthOf(run, edge.count))

describe('slots of any kind', () => {
  const anyRim = fc.record({
    count: fc.integer({ min: 8, max: 160 }), side: fc.nat(300), start: fc.nat(300), style: fc.constantFrom(...ROUND_STYLES),
    turns: fc.nat(3), counts: fc.boolean(),
  })

  it(
    'add up: what is skipped, chained and drawn together is what the rim comes to, whatever its count, its sides, its start and '
    + 'its style',
    () => {
      fc.assert(
        fc.property(anySlots, anyRim, (spec, { count, side, start, style, turns, counts }) => {
          const edge = {
            ...withSides(foundation('stitch', count), [side % count, (side + Math.floor(count / 2)) % count]),
            start: start % count,
          }
          const at: WallSetting = { ...setting, turns, rounds: { style, startingChainCounts: counts } }
          const any = spec as unknown as SlotsSpec
          const result = workSlots(any, edge, at)
          if (result.findings.some(({ weight }) => weight === 'stop')) {
            expect(result.edge).toBe(edge)
            return
          }
          const turn = result.rounds[0]!.round.begin.turn
          const {
            placing: { places, gaps },
            chains,
          } = slotsOn(any, edge, at, turn)
          expect(gaps[0] + gaps[1] + 2 * places).toBe(count)
          expect(result.rounds[0]!.edge.count).toBe(count - any.number * (places - 1))
          const drawn = any.cornersFrom === 'chains' && any.into !== 'over' && any.corners > 0 && chains >= 4 ? 2 * any.number : 0
          expect(result.rounds[1]!.edge.count).toBe(count + any.number * (chains - places) - drawn)
          result.rounds.slice(2).forEach(({ edge: above, on: below }) => expect([0, 2 * any.number]).toContain(below.count - above.count))
          // The handles lie where they should in every round: alike, and never more than what was chained.
          for (const { edge: above } of result.rounds.slice(1)) {
            const free = freeOf(above)
            expect(free).toHaveLength(any.number)
            for (const length of free) expect(length > 0 && length <= chains && chains - length <= 2 * any.corners).toBe(true)
            expect(Math.abs(free[0]! - free.at(-1)!)).toBeLessThanOrEqual(any.corners)
          }
        }),
        { ...SEED, numRuns: 300 },
      )
    },
  )

  it('leave what is foretold without working them', () => {
    fc.assert(
      fc.property(anySlots, fc.integer({ min: 8, max: 160 }), (spec, count) => {
        const any = spec as unknown as SlotsSpec
        const edge = foundation('stitch', count)
        const result = workSlots(any, edge, setting)
        expect(slotsGive(any, edge, gauge)).toBe(result.findings.some(({ weight }) => weight === 'stop') ? undefined : result.edge.count)
      }),
      { ...SEED, numRuns: 300 },
    )
  })

  it('skip the very stitches that lie opposite each other about the sides', () => {
    fc.assert(
      fc.property(anyRim, fc.integer({ min: 1, max: 30 }), ({ count, side, start, style, turns }, stitches) => {
        fc.pre(2 * stitches + 8 <= count && count % 4 === 0 && stitches % 2 === (count / 2) % 2)
        const s0 = side % count
        const edge = { ...withSides(foundation('stitch', count), [s0, (s0 + count / 2) % count]), start: start % count }
        const {
          rounds: [first],
        } = on(count, { width: { pin: { stitches } }, chains: { want: { hole: true } }, corners: 0 }, edge, {
          ...setting, turns, rounds: { style, startingChainCounts: false },
        })
        const used = new Set(Array.from(first!.edge.from).filter((_, i) => first!.edge.kinds[i] === 0))
        const skipped = Array.from({ length: count }, (_, place) => place).filter(place => !used.has(place))
        expect(skipped).toHaveLength(2 * stitches)
        for (const place of skipped) expect(skipped).toContain(within(2 * s0 - 1 - place, count))
      }),
      { ...SEED, numRuns: 150 },
    )
  })

  it('keep their handles through what is worked above: a firm rim knows which of its stitches hang free', () => {
    const below = on(64)
    const above = rim.work({ kind: 'rim', rim: 'slip', colour: 'main' }, below.edge, setting)
    expect(freeOf(above.edge)).toEqual(freeOf(below.edge))
    expect(Array.from(runAt(above.edge)).join('')).toBe(Array.from(runAt(below.edge)).join(''))
    expect(above.rounds[0]!.round.steps).toEqual([each('slst', 92)])
  })
})

describe('corners drawn in the very round that works the chains (craft 10; common practice, no source)', () => {
  const result = on(64, { cornersFrom: 'chains', corners: 2 })

  it('take one of each chain and one of the body at every corner: 96 less 4, then less 4 again', () => {
    expect(result.rounds.map(({ edge }) => edge.count)).toEqual([34, 92, 88, 88])
    expect(slotsGive({ ...handles, cornersFrom: 'chains', corners: 2 } as SlotsSpec, foundation('stitch', 64), gauge)).toBe(88)
  })

  it('are said with the chain they take', () => {
    const { round, on: below } = result.rounds[1]!
    const words = stepsWords(round.steps, { terms: 'us', on: below, start: { kind: 'ring', chains: 0 } })
    expect(words).toBe(
      'sc in next 7 sts, sc2tog over next st and first ch of the handle, sc in each of the 30 chs, sc2tog over last ch of the handle and '
      + 'next st, sc in next 14 sts, sc2tog over next st and first ch of the handle, sc in each of the 30 chs, sc2tog over last ch of the '
      + 'handle and next st, sc in next 7 sts',
    )
  })

  it('leave what was drawn together to the body, and the handle two chains shorter', () => {
    const { edge } = result.rounds[1]!
    expect(edge.free!.map(run => lengthOf(run, edge.count))).toEqual([30, 30])
    expect(liesOver(edge)).toBe(edge.count - 60 + 2 * 16)
  })

  it('let straps touch: on an even rim two stitches lie between at each side, on an odd one two and three', () => {
    const even = on(64, { width: { pin: { stitches: 30 } }, cornersFrom: 'chains' })
    expect(codes(even)).not.toContain('slots-too-wide')
    expect(runs(even)).toBe('1, ch 32, skip 30, 2, ch 32, skip 30, 1')
    expect(even.rounds[1]!.round.steps.map(step => step.do)).toEqual(
      ['together', 'stitch', 'together', 'together', 'stitch', 'together'],
    )
    const odd = on(65, { width: { pin: { stitches: 30 } }, cornersFrom: 'chains' })
    expect(odd.findings.filter(({ weight }) => weight === 'stop')).toEqual([])
    const between = odd.rounds[0]!.round.steps.flatMap(step => step.do === 'stitch' ? step.times : [])
    expect(between.reduce((sum, times) => sum + times, 0)).toBe(5)
    expect(codes(on(64, { width: { pin: { stitches: 31 } } }))).toContain('slots-too-wide')
  })

  it('are on the face that the maker picks', () => {
    const [front, back] = (['front', 'back'] as const).map(face => on(64, { number: 1, face }).handles!)
    expect([front!.map(({ name }) => name), back!.length]).toEqual([['Handle'], 1])
    expect(Math.abs(front![0]!.feet[0] - back![0]!.feet[0])).toBeCloseTo(0.5, 9)
  })
})

describe('corners right at the join', () => {
  // Two slots two stitches wide, the narrow gap at the side where the rounds start: 24 - 4 + 12 = 32, and four fewer twice.
  it('are drawn together beside it, as many in every round, where rounds turn', () => {
    const spec = {
      kind: 'slots', number: 2, width: { pin: { stitches: 2 } }, chains: { pin: { chains: 6 } }, into: 'chains', stitch: 'sc', rounds: 3,
      corners: 2, nudge: -4, colour: 'main',
    } as unknown as SlotsSpec
    const turned: WallSetting = { ...setting, turns: 1, rounds: { style: 'turned', startingChainCounts: false } }
    const { rounds } = workSlots(spec, withSides(foundation('stitch', 24), [0, 12]), turned)
    expect(rounds.map(({ edge }) => edge.count)).toEqual([22, 32, 28, 24])
  })

  // Two slots four stitches wide on 16, their chains 6: 8 stitches and 2 chains are left, 8 + 12 = 20, and four fewer at once.
  it('are as many where they are drawn in the round that works the chains and it begins at a handle', () => {
    const begins = {
      number: 2, width: { pin: { stitches: 4 } }, chains: { pin: { chains: 6 } }, corners: 1, cornersFrom: 'chains', rounds: 2,
    }
    const turned: WallSetting = { ...setting, turns: 1, rounds: { style: 'turned', startingChainCounts: false } }
    for (const nudge of [-3, -2, -1, 0, 1, 2, 3]) {
      const spec = { kind: 'slots', into: 'chains', stitch: 'sc', colour: 'main', nudge, ...begins } as unknown as SlotsSpec
      const { rounds, findings } = workSlots(spec, withSides(foundation('stitch', 16), [0, 8]), turned)
      expect(findings.filter(({ weight }) => weight === 'stop')).toEqual([])
      expect(rounds.map(({ edge }) => edge.count)).toEqual([10, 16, 16])
    }
  })
})

describe('the start of a round beside slots', () => {
  const edge = { count: 60, start: 0 } as Edge
  const along = (gap: number, first: number) => {
    const placing = { places: 30 - gap, gaps: [gap, gap] } as unknown as Placing
    return met(placing, [first, first + 30], edge, false)
  }

  it('stays a stitch beside a slot where just two lie between, and two where more do', () => {
    expect(along(2, 1)).toEqual({ along: 0, before: [1, 31] })
    expect(along(3, 2)).toEqual({ along: 0, before: [2, 32] })
    // At the foot of the slot corners are drawn together: the start moves to the middle of the side beyond it.
    expect(along(3, 1)).toEqual({ along: 29, before: [2, 32] })
    expect(along(2, 0)).toEqual({ along: 29, before: [1, 31] })
  })
})
