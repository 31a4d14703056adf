import fc from 'fast-check'
import { Path, Vector2 } from 'three'
import { describe, expect, it } from 'vitest'
import { anyLoops, SEED } from '../../../tests/arbitraries/designs'
import { gaugeOf } from '../../things/gauge/gauge'
import type { WallSetting } from '../part/part'
import { type Edge, foundation, placesOf } from '../../things/round/edge'
import { work } from '../../things/round/workRound'
import { kindAt } from '../../things/round/workedRound'
import { each } from '../../things/round/step'
import { closingOf, closingWays } from './closing'
import { ballThrough, riseOfLoop, rodThrough, squareSpread } from './diamond'
import { hang, hangLoaded } from './hang'
import { liningPieces } from './lining'
import { loops, type LoopsSpec } from './loops'
import { isFanRound } from './netNotes'
import { loopChains } from './loopsPlan'
import { loopsAsks, loopsGive } from './loopsSpec'
import { leastThroughCm } from '../contents/contents'
import { boxOpening, netOpening } from './openings'
import { exactly } from '../../things/measure/length'

const gauge = gaugeOf({
  hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 }, dc: { stitches: 20, rounds: 10, overCm: 10 } },
})
const setting: WallSetting = {
  gauge, rounds: { style: 'joined', startingChainCounts: false }, index: 3, turns: 0, repeats: [], hook: { hookMm: 4, strands: 1 },
  accepts: () => true,
}
const spec: LoopsSpec = {
  kind: 'loops', skip: 1, first: 3, hold: { pin: { chains: 7 } }, size: { pin: { rounds: 8 } }, ends: 'closed', colour: 'main',
}
const on = (count: number, over: Partial<LoopsSpec> = {}, edge: Edge = foundation('stitch', count)) =>
  loops.work({ ...spec, ...over }, edge, setting)
const loop = fc.double({ min: 0.5, max: 12, noNaN: true })
const share = fc.double({ min: 0.02, max: 0.98, noNaN: true })

describe('closing a round of loops (common practice, no source)', () => {
  it.each([
    [3, 1, 'hdc'], [4, 2, 'hdc'], [5, 2, 'dc'], [6, 3, 'dc'], [7, 3, 'tr'], [8, 4, 'tr'],
  ] as const)('loops of %i close with chain %i and %s', (chains, ch, kind) => {
    expect(closingOf(chains)).toEqual({ chains: ch, kind, loop: chains })
  })

  it('has a double for loops of seven as well, with a chain more', () =>
    expect(closingWays(7)[1]).toEqual({ chains: 4, kind: 'dc', loop: 7 }))

  it('or with a stitch of the maker\'s choice, as far as the loop is long enough: both are as long as the loop', () => {
    expect(closingOf(7, 'hdc')).toEqual({ chains: 5, kind: 'hdc', loop: 7 })
    expect(closingOf(5, 'tr')).toEqual({ chains: 1, kind: 'tr', loop: 5 })
    expect(closingOf(3, 'tr')).toEqual(closingOf(3))
  })

  it('is always as long as the loop, and never of fewer chains than none', () => {
    for (let chains = 2; chains <= 20; chains++)
      for (const way of closingWays(chains)) expect(way.chains + { hdc: 2, dc: 3, tr: 4, sc: 1 }[way.kind]).toBe(chains)
  })
})

describe('a net of loops (common practice, no source)', () => {
  it('48 stitches make 24 loops, which stay 24', () => {
    for (const ends of ['closed', 'spiral'] as const) {
      const { rounds } = on(48, { ends })
      expect(rounds.map(({ edge }) => placesOf(edge, 'space'))).toEqual(Array(8).fill(24))
    }
  })

  it('finished with 4 in each loop and 1 in each single, 24 loops make 120', () => {
    const { edge, rounds } = on(48, { finish: { inLoop: 4, inStitch: 1 } })
    expect([edge.count, rounds.length]).toEqual([120, 9])
    expect(loopsGive({ ...spec, finish: { inLoop: 4, inStitch: 1 } }, 48)).toBe(120)
  })

  it('grows by one chain a round, holds, and narrows', () => {
    expect(loopChains({ first: 3 }, { hold: 7 }, 7)).toEqual([3, 4, 5, 6, 7, 7, 7])
    expect(loopChains({ first: 3 }, { hold: 7, last: 5 }, 9)).toEqual([3, 4, 5, 6, 7, 7, 7, 6, 5])
  })

  it('starts each round at the top of the last loop, which counts as long as the others', () => {
    const { rounds } = on(48)
    const { edge } = rounds[2]!
    expect(edge.start).toBe(47)
    expect(edge.chains[47]).toBe(5)
    expect(kindAt(rounds[2]!, 47)).toBe('dc')
    // The first single of the next round stands in that loop.
    expect(rounds[3]!.edge.from[0]).toBe(47)
    expect(rounds[3]!.edge.from[2]).toBe(1)
  })

  it('asks for a whole number of loops, and of fans', () => {
    expect(on(49).findings[0]).toMatchObject({ code: 'does-not-divide', weight: 'stop' })
    const motif = { between: 3, stitches: 4, rows: 3, every: 2 }
    expect(loopsAsks({ ...spec, motif })).toEqual({ multiple: 8, plus: 0, least: 4 })
    expect(on(52, { motif }).findings[0]!.what).toContain('48 or 56')
  })

  it('works fans in every fourth loop, keeps its loops, and says to count before', () => {
    const { rounds, notes } = on(48, { motif: { between: 3, stitches: 4, rows: 3, every: 3 } })
    const fans = rounds.map((round, i) =>
      isFanRound({ ...spec, motif: { between: 3, stitches: 4, rows: 3, every: 3 } }, i, 8)
        ? Array.from(round.stitches).filter((_, made) => kindAt(round, made) === 'dc' && round.edge.kinds[made] === 0).length
        : 0,
    )
    expect(fans).toEqual([0, 0, 0, 24, 0, 0, 24, 0])
    expect(rounds.map(({ edge }) => placesOf(edge, 'space'))).toEqual(Array(8).fill(24))
    expect(notes![2]).toContain('there must be 24, a multiple of 4')
  })

  it('comes out whatever is asked of it, or stops and says why (laws 1 and 5)', () => {
    fc.assert(
      fc.property(
        anyLoops as unknown as fc.Arbitrary<LoopsSpec>,
        fc.integer({ min: 2, max: 150 }),
        fc.constantFrom('spiral', 'joined', 'turned'),
        (net, count, style) => {
          const below = work(
            { steps: [each('sc', count)], begin: { chains: 0, counts: false, turn: false }, join: 'slip', facing: 'right', colour: 'main' },
            foundation('stitch', count),
          )
          const result = loops.work(net, below.ok ? below.worked.edge : foundation('stitch', count), {
            ...setting,
            rounds: { style, startingChainCounts: true },
          })
          const stopped = result.findings.some(({ weight }) => weight === 'stop')
          if (stopped) expect(result.rounds).toHaveLength(0)
          else expect(result.edge.count).toBe(net.finish || !net.motif ? loopsGive(net, count) : result.edge.count)
          expect(Number.isFinite(result.size.height.cm) && Number.isFinite(result.size.circumference.cm)).toBe(true)
          const [a, b] = result.edge.sides
          expect(a >= 0 && b >= 0 && a < result.edge.count && b < result.edge.count).toBe(true)
        },
      ),
      { ...SEED, numRuns: 200 },
    )
  })

  it('can be solid again, a stitch in every place, from wherever it starts', () => {
    const { edge } = on(48)
    const solid = work(
      { steps: [each('sc', 48)], begin: { chains: 1, counts: false, turn: false }, join: 'slip', facing: 'right', colour: 'main' },
      edge,
    )
    expect(solid.ok && solid.worked.edge.count).toBe(48)
    expect(solid.ok && solid.worked.edge.start).toBe(0)
  })
})

describe('the diamond, by hand and against independent calculations', () => {
  it('a loop of 5 cm spread 3 cm rises 2 cm: the 3-4-5 triangle, halved', () => {
    expect(riseOfLoop(5, 3)).toBeCloseTo(2, 12)
    expect(riseOfLoop(2, squareSpread(2)) * 2).toBeCloseTo(squareSpread(2), 12)
    expect(riseOfLoop(3, 4)).toBe(0)
  })

  it('the rod is the largest circle within the rhombus, found by searching (three measures the distances)', () => {
    fc.assert(
      fc.property(loop, share, (loopCm, part) => {
        const spread = loopCm * part
        const rise = riseOfLoop(loopCm, spread)
        const corners = [new Vector2(spread / 2, 0), new Vector2(0, rise), new Vector2(-spread / 2, 0), new Vector2(0, -rise)]
        /** Distance from a spot to the nearest side, by points along each side. */
        const room = (x: number, y: number) =>
          Math.min(
            ...corners.map((from, i) => {
              const side = corners[(i + 1) % 4]!.clone().sub(from)
              const t = Math.max(0, Math.min(1, new Vector2(x, y).sub(from).dot(side) / side.lengthSq()))
              return from.clone().addScaledVector(side, t).distanceTo(new Vector2(x, y))
            }),
          )
        let best = 0
        for (let i = -12; i <= 12; i++)
          for (let j = -12; j <= 12; j++)
            if (Math.abs(i) + Math.abs(j) <= 12) best = Math.max(best, room((i / 24) * spread, (j / 12) * rise))
        expect(rodThrough(loopCm, spread)).toBeCloseTo(2 * best, 6)
      }),
      { ...SEED, numRuns: 40 },
    )
  })

  it('the ball has the rim of the diamond for its girth: no rhombus of the same rim holds a larger circle, nor any other shape', () => {
    fc.assert(
      fc.property(loop, (loopCm) => {
        // The rim drawn as polygons of more and more sides, measured by three: the circle is their limit (isoperimetric theorem).
        const rim = 2 * loopCm
        const circle = new Path().absarc(0, 0, ballThrough(loopCm) / 2, 0, 2 * Math.PI)
        expect(circle.getLength()).toBeCloseTo(rim, 1)
        for (let part = 0.05; part < 1; part += 0.05) expect(rodThrough(loopCm, part * loopCm)).toBeLessThan(ballThrough(loopCm))
      }),
      { ...SEED, numRuns: 20 },
    )
  })
})

describe('how a net hangs', () => {
  it('by hand: 24 loops of 2 cm below and above 24 cm stand 1 cm wide, 0.866 cm tall each', () => {
    const rows = hang([2, 2], 24, { belowCm: 24 })
    for (const { aroundCm, riseCm } of rows) {
      expect(aroundCm).toBeCloseTo(24, 9)
      expect(riseCm).toBeCloseTo(Math.sqrt(3) / 2, 9)
    }
  })

  it('goes evenly from edge to rim, and no wider than its loops reach', () => {
    fc.assert(
      fc.property(
        fc.array(loop, { minLength: 1, maxLength: 12 }),
        fc.integer({ min: 2, max: 60 }),
        fc.double({ min: 5, max: 120, noNaN: true }),
        fc.double({ min: 5, max: 120, noNaN: true }),
        (loopsCm, count, belowCm, aboveCm) => {
          hang(loopsCm, count, { belowCm, aboveCm }).forEach(({ aroundCm, riseCm }, i) => {
            expect(aroundCm).toBeLessThanOrEqual(Math.max(belowCm, aboveCm) + 1e-9)
            // Pythagoras back again: half the loop is the long side of half the spread and the rise.
            expect(Math.hypot(aroundCm / count / 2, riseCm)).toBeCloseTo(loopsCm[i]! / 2, 9)
          })
        },
      ),
      SEED,
    )
  })

  it('bellies out around what stands inside, and eases in above it to the rim', () => {
    const rows = hang(Array<number>(10).fill(4), 12, { belowCm: 20, aboveCm: 20, inside: { aroundCm: 40, heightCm: 6 } })
    expect(Math.max(...rows.map(({ aroundCm }) => aroundCm))).toBeCloseTo(40, 6)
    expect(rows[0]!.aroundCm).toBeLessThan(40)
    expect(rows.at(-1)!.aroundCm).toBeLessThan(25)
    const tops = rows.map(({ aroundCm }) => aroundCm)
    const widest = tops.indexOf(Math.max(...tops))
    expect(tops.slice(widest + 4).every((around, i, list) => i === 0 || around < list[i - 1]!)).toBe(true)
  })

  it('draws narrow and long above what it holds', () => {
    const [filled, above] = hangLoaded([4, 4], 10, { aroundCm: 35, heightCm: 0.5 })
    expect(filled!.aroundCm).toBe(35)
    expect(above!.aroundCm).toBe(20)
    expect(above!.riseCm).toBeCloseTo(Math.sqrt(3), 9)
  })

  it('finds the rounds nearest to a wanted height', () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 40, noNaN: true }), (heightCm) => {
        const tall = (rounds: number) => on(48, { size: { pin: { rounds } } }).size.height.cm
        const { rounds } = on(48, { size: { want: { heightCm } } })
        const miss = (n: number) => Math.abs(tall(n) - heightCm)
        for (let n = 1; n <= rounds.length + 4; n++) expect(miss(rounds.length)).toBeLessThanOrEqual(miss(n) + 1e-9)
      }),
      { ...SEED, numRuns: 30 },
    )
  })

  it('is wanted as wide as a square mesh: by hand, 24 loops for 34 cm flat are 2.83 cm across, 4 cm long, eight chains', () => {
    expect(on(48, { hold: { want: { flatWidthCm: 34 } }, size: { pin: { rounds: 12 } } }).net!.loopsCm.at(-1)).toBeCloseTo(4, 9)
  })

  it('says when its loops draw the edge in', () => {
    expect(on(120, { first: 2, hold: { pin: { chains: 2 } }, skip: 5 }).findings.map(({ code }) => code)).toContain('loops-tight')
  })

  it('is as unsure as the chain: a measured one makes it surer', () => {
    const measured = gaugeOf({
      hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } }, chain: { chains: 30, overCm: 15 },
    })
    expect(measured.ch).toMatchObject({ known: 'measured', width: { cm: 0.5 } })
    const sure = loops.work(spec, foundation('stitch', 48), { ...setting, gauge: measured })
    expect(sure.size.height.cm).toBeCloseTo(on(48).size.height.cm, 9)
    expect(sure.size.height.plusMinusCm).toBeLessThan(on(48).size.height.plusMinusCm)
    expect([on(48).advice!.length, sure.advice!.length]).toEqual([2, 1])
  })
})

describe('what passes a mesh', () => {
  it('by hand: loops of seven chains of 0.5 cm let a ball of 2.2 cm through', () => {
    expect(netOpening({ loops: 24, loopsCm: [1.5, 3.5] }, [24, 24]).ballCm).toBeCloseTo(7 / Math.PI, 9)
  })

  it('by hand: a box of one chain, 0.5 by 1 cm, lets a rod of 0.5 cm fall through', () => {
    expect(boxOpening(1, gauge)).toEqual({ ballCm: 3 / Math.PI, rodCm: 0.5 })
  })

  it('is measured against the smallest way round of what is carried', () => {
    expect(leastThroughCm({ kind: 'balls', count: 6, acrossCm: 7 })).toBe(7)
    expect(leastThroughCm({ kind: 'box', lengthCm: 24, widthCm: 9, heightCm: 30 })).toBeCloseTo(66 / Math.PI, 9)
    expect(leastThroughCm({ kind: 'cloth', lengthCm: 24, widthCm: 9, heightCm: 30 })).toBeUndefined()
  })
})

describe('a lining, by hand', () => {
  it('of a round bag: a circle, and a wall with a hem', () => {
    expect(liningPieces({ shape: 'disc', length: exactly(12), width: exactly(12) }, 39, 20, 1.5)).toEqual([
      { what: 'floor', cut: 'circle', lengthCm: 15, widthCm: 15, times: 1 },
      { what: 'wall', cut: 'rectangle', lengthCm: 42, widthCm: 25, times: 1 },
    ])
  })

  it('of a bag without a floor: two of one piece', () => {
    expect(liningPieces({ shape: 'none', length: exactly(20), width: exactly(0) }, 40, 20, 1)).toEqual([
      { what: 'front and back', cut: 'rectangle', lengthCm: 22, widthCm: 24, times: 2 },
    ])
  })
})

describe('closings round by round, and the loop that the hook stands in (craft 8; common practice, no source)', () => {
  it('go over to another stitch from the round that the maker names', () => {
    const { rounds } = on(48, { first: 6, hold: { pin: { chains: 6 } }, closes: 'hdc', closesLater: { from: 4, with: 'tr' } })
    expect(rounds.map(({ round: { closing } }) => closing?.kind)).toEqual(['hdc', 'hdc', 'hdc', 'tr', 'tr', 'tr', 'tr', 'tr'])
  })

  it('a solid round works that loop in two halves, or at once: the same stitches', () => {
    const top = (closedLoop: 'halves' | 'whole') => on(48, { finish: { inLoop: 4, inStitch: 1, closedLoop } }).rounds.at(-1)!
    const [halves, whole] = [top('halves'), top('whole')]
    expect([halves.edge.count, whole.edge.count]).toEqual([120, 120])
    const last = ({ round }: typeof halves) => round.steps.at(-1)!
    expect('landmark' in last(halves) && last(halves)).toMatchObject({ landmark: 'otherHalf' })
    expect(last(whole).do).toBe('repeat')
  })
})
