import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { REPEATS, SEED } from '../../../tests/arbitraries/designs'
import { gaugeOf } from '../../things/gauge/gauge'
import type { WallSetting } from '../part/part'
import { foundation } from '../../things/round/edge'
import { LOOPS } from '../../things/round/step'
import { adjust, type AdjustSpec, nearestAccepted } from './adjust'
import { asksWords, divides, nearestCounts } from '../part/asks'
import type { SolidSpec } from '../band/solid'
import { taper, taperCounts, type TaperSpec } from './taper'
import { turnUp } from './turnUp'
import { comesOut, type WallSpec, workWall } from './wall'
import { colourAt, roundsForHeight } from '../texture/workTexture'

const gauge = gaugeOf({ hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 21, overCm: 10 } } })
const setting: WallSetting = {
  gauge, rounds: { style: 'turned', startingChainCounts: false }, index: 3, turns: 3, repeats: [], hook: { hookMm: 4, strands: 1 },
  accepts: () => true,
}
const edge = foundation('stitch', 78)
const band = (over: Partial<SolidSpec>, on = edge) =>
  workWall({ kind: 'solid', stitch: 'sc', size: { want: { heightCm: 14 } }, colour: 'main', ...over }, on, setting)

describe('a plain band', () => {
  it('finds the rounds for a height: by hand, 14 cm at 21 rounds in 10 cm are 29.4, so 29, 13.81 cm', () => {
    const { rounds, size, edge: top } = band({})
    expect(rounds).toHaveLength(29)
    expect(size.height.cm).toBeCloseTo(13.8095, 4)
    expect(size.height.plusMinusCm).toBeCloseTo((13.8095 * 0.5) / 21, 4)
    expect(top.count).toBe(78)
    expect(roundsForHeight(0.01, () => 0.5)).toBe(1)
  })

  it('keeps a pinned number of rounds whatever the gauge', () =>
    expect(band({ stitch: 'dc', size: { pin: { rounds: 7 } } }).rounds).toHaveLength(7))

  it('turns every round in turned work, so that sides alternate', () => {
    const { rounds } = band({ size: { pin: { rounds: 4 } } })
    expect(rounds.map(({ round }) => round.facing)).toEqual(['wrong', 'right', 'wrong', 'right'])
    expect(rounds.every(({ round }) => round.begin.turn)).toBe(true)
  })

  it('is stopped beyond reason', () => {
    const { findings, edge: left } = band({ size: { pin: { rounds: 1000 } } }, foundation('stitch', 900))
    expect(findings[0]).toMatchObject({ code: 'band-too-tall', weight: 'stop' })
    expect(left.count).toBe(900)
  })

  it('goes through its stripes over and over', () => {
    const striped = {
      colour: 'main', size: { pin: { rounds: 9 } },
      stripes: [
        { colour: 'main', rounds: 2 },
        { colour: 'moss', rounds: 1 },
      ],
    } as const
    expect(Array.from({ length: 7 }, (_, i) => colourAt(striped, i))).toEqual(['main', 'main', 'moss', 'main', 'main', 'moss', 'main'])
    expect(
      band(striped)
        .rounds.map(({ round }) => round.colour)
        .filter(colour => colour === 'moss'),
    ).toHaveLength(3)
  })
})

describe('the turn-up', () => {
  it('is one round in the back and third loops', () => {
    const { rounds, size } = turnUp('back-and-third-loop', 'sc', 'main', edge, setting)
    expect(rounds).toHaveLength(1)
    expect([...rounds[0]!.loops].every(loop => LOOPS[loop] === 'backAndThird')).toBe(true)
    expect(size.height).toEqual(gauge.sc.height)
  })

  it('is watched when it falls on a wrong-side round', () => {
    const codes = (turns: number) =>
      turnUp('back-and-third-loop', 'sc', 'main', edge, { ...setting, turns }).findings.map(({ code }) => code)
    expect([codes(3), codes(4)]).toEqual([['turn-up-inside'], []])
  })

  it('is nothing at all when plain', () => {
    const { rounds, edge: same, size } = turnUp('plain', 'sc', 'main', edge, setting)
    expect(rounds).toHaveLength(0)
    expect(same).toBe(edge)
    expect(size.height.cm).toBe(0)
  })
})

describe('what is asked', () => {
  it('is met or not, and has nearest counts', () => {
    expect([divides(64, { multiple: 3, plus: 1 }), divides(63, { multiple: 3, plus: 1 }), divides(1, { multiple: 3, plus: 1 })]).toEqual([
      true, false, false,
    ])
    expect(nearestCounts(95, { multiple: 4, plus: 0 })).toEqual({ below: 92, above: 96 })
    expect(nearestCounts(2, { multiple: 4, plus: 0 })).toEqual({ above: 4 })
    expect(
      [
        [1, 0], [2, 0], [3, 1], [6, -1],
      ].map(([multiple, plus]) => asksWords({ multiple: multiple!, plus: plus! })),
    ).toEqual(['any number', 'an even number', 'a multiple of 3 and 1 more', 'a multiple of 6 less 1'])
  })
})

describe('an adjusting round', () => {
  const spec: AdjustSpec = { kind: 'adjust', stitch: 'sc', to: { want: { divides: true } }, mirrored: false, colour: 'main' }
  const on = (count: number, over: Partial<AdjustSpec> = {}, accepts = (n: number) => n % 4 === 0) =>
    adjust.work({ ...spec, ...over }, foundation('stitch', count), { ...setting, accepts })

  it('goes to the nearest count that everything above takes, the larger of two', () => {
    expect([on(90).edge.count, on(91).edge.count, on(89).edge.count]).toEqual([92, 92, 88])
    expect(nearestAccepted(7, () => false)).toBeUndefined()
  })

  it('is no round at all when the count is right', () => {
    const { rounds, edge: same, findings } = on(92)
    expect([rounds.length, same.count, findings[0]!.code]).toEqual([0, 92, 'adjust-needless'])
  })

  it('goes to a pinned count, or so many more or fewer', () => {
    expect(on(90, { to: { pin: { stitches: 81 } } }).edge.count).toBe(81)
    expect(on(90, { to: { pin: { change: 6 } } }).edge.count).toBe(96)
  })

  it('says when one round cannot do it, or would show', () => {
    expect(on(40, { to: { pin: { stitches: 90 } } }).findings[0]).toMatchObject({ code: 'adjust-impossible', weight: 'stop' })
    expect(on(40, { to: { pin: { stitches: 50 } } }).findings[0]).toMatchObject({ code: 'adjust-steep', weight: 'watch' })
    expect(on(40, {}, () => false).findings[0]).toMatchObject({ code: 'adjust-impossible' })
  })
})

describe('a taper', () => {
  const spec: TaperSpec = { kind: 'taper', stitch: 'sc', size: { want: { heightCm: 10, aroundCm: 30 } }, mirrored: false, colour: 'main' }
  const on = (count: number, over: Partial<TaperSpec> = {}) => taper.work({ ...spec, ...over }, foundation('stitch', count), setting)

  it('draws 78 stitches in to 60 over 21 rounds, by hand: 30 cm of 0.5 cm stitches, 10 cm of rounds', () => {
    const { rounds, edge: top, size, arounds } = on(78)
    expect([rounds.length, top.count]).toEqual([21, 60])
    expect(size.height.cm).toBeCloseTo(10, 9)
    expect(arounds!.at(-1)).toBeCloseTo(30, 9)
  })

  it('is a straight cone: every round within half a stitch of the line from rim to rim', () => {
    // The frustum's circumference falls evenly with height (elementary geometry; any textbook of solid geometry).
    fc.assert(
      fc.property(
        fc.integer({ min: 6, max: 200 }),
        fc.integer({ min: 6, max: 200 }),
        fc.integer({ min: 1, max: 60 }),
        (from, to, rounds) => {
          const counts = taperCounts(from, to, rounds)
          expect(counts.at(-1)).toBe(to)
          counts.forEach((count, i) => expect(Math.abs(count - (from + ((to - from) * (i + 1)) / rounds))).toBeLessThanOrEqual(0.5 + 1e-9))
        },
      ),
      SEED,
    )
  })

  it('warns when it is steeper than fabric takes, and offers rounds enough', () => {
    const steep = on(80, { size: { pin: { rounds: 2, stitches: 50 } } })
    expect(steep.findings[0]).toMatchObject({ code: 'taper-steep', weight: 'caution' })
    const { value } = steep.findings[0]!.fix!.changes[0]! as { value: TaperSpec['size'] }
    expect(on(80, { size: value }).findings).toEqual([])
  })

  it('stops where a round would have to more than double or halve', () => {
    expect(on(80, { size: { pin: { rounds: 1, stitches: 30 } } }).findings[0]).toMatchObject({ code: 'taper-impossible', weight: 'stop' })
  })

  it('comes out at its count whatever it starts from, or stops', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 150 }),
        fc.integer({ min: 3, max: 150 }),
        fc.integer({ min: 1, max: 30 }),
        fc.boolean(),
        (from, stitches, rounds, mirrored) => {
          const result = on(from, { size: { pin: { rounds, stitches } }, mirrored })
          const stopped = result.findings.some(({ weight }) => weight === 'stop')
          expect(result.edge.count).toBe(stopped ? from : stitches)
        },
      ),
      { ...SEED, numRuns: 150 },
    )
  })
})

describe('a stack, without working it', () => {
  it('comes out at the counts that working it does, or sticks where working stops', () => {
    const parts: WallSpec[] = [
      { kind: 'groups', size: { pin: { rounds: 2 } }, colour: 'main' }, { kind: 'vees', size: { pin: { rounds: 2 } }, colour: 'main' },
      { kind: 'sprigs', seamStitch: true, size: { pin: { rounds: 1 } }, colour: 'main' },
      { kind: 'own', repeat: 'nubs', size: { pin: { rounds: 2 } }, colour: 'main' },
      { kind: 'solid', stitch: 'sc', size: { pin: { rounds: 1 } }, colour: 'main' },
      { kind: 'adjust', stitch: 'sc', to: { pin: { change: 3 } }, mirrored: false, colour: 'main' },
      { kind: 'taper', stitch: 'sc', size: { pin: { rounds: 12, stitches: 48 } }, mirrored: false, colour: 'main' },
    ]
    fc.assert(
      fc.property(fc.integer({ min: 12, max: 96 }), fc.array(fc.constantFrom(...parts), { maxLength: 4 }), (count, wall) => {
        let on = foundation('stitch', count)
        let stuckAt = -1
        for (const [i, spec] of wall.entries()) {
          const { edge: top, findings } = workWall(spec, on, { ...setting, repeats: REPEATS })
          if (findings.some(({ weight }) => weight === 'stop')) {
            stuckAt = i
            break
          }
          on = top
        }
        const told = comesOut(wall, { gauge: setting.gauge, repeats: REPEATS, hook: { hookMm: 4, strands: 1 } }, count)
        fc.pre(!(stuckAt >= 0 && ['taper', 'adjust'].includes(wall[stuckAt]!.kind)))
        // A taper to so many stitches ends what comes up from below: what stands above it is not looked at.
        const steadied = wall.findIndex(({ kind }) => kind === 'taper')
        if (steadied >= 0 && (stuckAt < 0 || stuckAt > steadied)) expect(told).toEqual({ count: 48, steadied: true })
        else expect(told).toEqual(stuckAt >= 0 ? { stuckAt } : { count: on.count, steadied: false })
      }),
      { ...SEED, numRuns: 300 },
    )
  })
})

describe('a taper that stands straight', () => {
  const at = (mirrored: boolean, from: number, to: number, rounds: number, every?: number) => {
    const spec: TaperSpec = {
      kind: 'taper', stitch: 'sc', size: { pin: { rounds, stitches: to } }, mirrored, colour: 'main', ...(every ? { every } : {}),
    }
    const joined = { ...setting, rounds: { style: 'joined', startingChainCounts: false } as const }
    const { rounds: worked } = taper.work(spec, foundation('stitch', from), joined)
    // How far round the bag each decrease lies, from 0 to 1, as the rounds are seen from the right side.
    return worked.map(({ edge }) => [...edge.from.keys()].filter(i => edge.from[i] !== edge.to[i]).map(i => (i + 0.5) / edge.count))
  }

  it('never has decreases one above the other at the middle of one face', () => {
    for (const mirrored of [false, true]) {
      for (const [from, to, rounds] of [[80, 60, 10], [96, 72, 12], [60, 40, 20], [120, 60, 15]] as const) {
        const ways = at(mirrored, from, to, rounds)
        for (const face of [0.25, 0.75]) {
          const there = ways.map(one => one.some(way => Math.abs(way - face) < 1.01 / to))
          expect(there.some((now, i) => now && there[i + 1]), `${from} to ${to} in ${rounds}, ${mirrored ? 'pairs' : 'turned'}`).toBe(false)
        }
      }
    }
  })

  it('takes its decreases in mirrored pairs about the start: as many as far on one side as on the other', () => {
    fc.assert(fc.property(fc.integer({ min: 24, max: 120 }), fc.integer({ min: 1, max: 8 }), (from, pairs) => {
      for (const ways of at(true, from, from - 2 * pairs, 2 * pairs + 3)) {
        expect(ways.length % 2).toBe(0)
        const mirror = ways.map(way => 1 - way).sort((a, b) => a - b)
        ways.forEach((way, i) => expect(Math.abs(way - mirror[i]!)).toBeLessThanOrEqual(1.01 / (from - 2 * pairs)))
      }
    }), { ...SEED, numRuns: 60 })
  })

  it('changes only in every so many rounds, where the maker says so: the third, sixth and ninth of ten', () => {
    expect(at(false, 60, 54, 10, 3).map(one => one.length)).toEqual([0, 0, 2, 0, 0, 2, 0, 0, 2, 0])
    expect(taperCounts(60, 54, 10, { every: 3 })).toEqual([60, 60, 58, 58, 58, 56, 56, 56, 54, 54])
  })
})
