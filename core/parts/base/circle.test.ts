import fc from 'fast-check'
import type { BufferGeometry, Float32BufferAttribute } from 'three'
import { ConeGeometry, EllipseCurve, Vector3 } from 'three'
import { describe, expect, it } from 'vitest'
import { SEED } from '../../../tests/arbitraries/designs'
import { gaugeOf, type StitchSize } from '../../things/gauge/gauge'
import { withUncertainty } from '../../things/measure/length'
import type { Setting } from '../part/part'
import { circle, type CircleSpec, roundsForDiameter } from './circle'
import { discSize } from './discFields'
import { dishDepthCm, flatIncreases, flatness, flatnessFinding } from './flatness'

const gauge = gaugeOf({ hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 21, overCm: 10 } } })
const setting: Setting = { gauge, rounds: { style: 'joined', startingChainCounts: true }, index: 0, turns: 0 }
const spec: CircleSpec = {
  form: 'circle', stitch: 'sc', increases: 8, size: { pin: { rounds: 8 } }, start: 'ring', placing: 'stacked', increaseAt: 'last',
  colour: 'main',
}

const counts = (over: Partial<CircleSpec>) => circle.work({ ...spec, ...over }, setting).rounds.map(({ edge }) => edge.count)

function stitchOf(width: number, height: number): StitchSize {
  return { width: withUncertainty(width, 0.02), height: withUncertainty(height, 0.02), known: 'measured' }
}

describe('counts of a disc (common practice, no source)', () => {
  it('sc, 8 a round', () => expect(counts({})).toEqual([8, 16, 24, 32, 40, 48, 56, 64]))
  it('sc, 6 a round', () => expect(counts({ increases: 6, size: { pin: { rounds: 6 } } })).toEqual([6, 12, 18, 24, 30, 36]))
  it('dc, 12 a round', () => expect(counts({ stitch: 'dc', increases: 12, size: { pin: { rounds: 4 } } })).toEqual([12, 24, 36, 48]))

  it('stay the same for every start, placing and end of the group', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('ring', 'chain-ring', 'chain'),
        fc.constantFrom('stacked', 'staggered'),
        fc.constantFrom('first', 'last'),
        fc.integer({ min: 3, max: 20 }),
        (start, placing, increaseAt, increases) => {
          expect(counts({ start, placing, increaseAt, increases } as Partial<CircleSpec>)).toEqual(
            [1, 2, 3, 4, 5, 6, 7, 8].map(r => r * increases),
          )
        },
      ),
      SEED,
    )
  })

  it('puts increases over each other when stacked, and between each other when staggered', () => {
    const doubledAt = (placing: CircleSpec['placing'], round: number) => {
      const { edge } = circle.work({ ...spec, placing }, setting).rounds[round - 1]!
      return [...edge.from].findIndex((from, i) => i > 0 && from === edge.from[i - 1]) / edge.count
    }
    expect(Math.abs(doubledAt('stacked', 8) - doubledAt('stacked', 7))).toBeLessThan(0.02)
    expect(Math.abs(doubledAt('staggered', 8) - doubledAt('staggered', 7))).toBeGreaterThan(0.04)
  })
})

describe('a wanted diameter of 12 cm, 20 stitches and 21 rounds over 10 cm', () => {
  // By hand: h = 10/21 = 0.47619 cm, w = 0.5 cm; six a round: 6 * 0.5 = 3.0 cm of edge against 2 pi h = 2.992: flat.
  // 12 / (2 * 0.47619) = 12.6 rounds, so 13: 2 * 13 * 0.47619 = 12.381 cm; half a round in 21 is 2.381 %: 0.295 cm.
  // 13 * 6 = 78 stitches; flat width 78 * 0.5 / 2 = 19.5 cm; half a stitch in 20 is 2.5 %: 0.4875 cm.
  const result = circle.work({ ...spec, increases: 6, size: { want: { diameterCm: 12 } } }, setting)

  it('takes 13 rounds and 78 stitches', () => {
    expect(result.rounds).toHaveLength(13)
    expect(result.edge.count).toBe(78)
  })

  it('comes to 12.38 ± 0.29 cm, 39 cm around', () => {
    expect(result.size.floor!.length.cm).toBeCloseTo(12.38095, 4)
    expect(result.size.floor!.length.plusMinusCm).toBeCloseTo(0.29478, 4)
    expect(result.size.circumference.cm).toBe(39)
    expect(result.size.circumference.plusMinusCm / 2).toBeCloseTo(0.4875, 6)
  })

  it('folds at its start and half way round', () => expect(result.edge.sides).toEqual([0, 39]))

  it('is the nearest that whole rounds can come, against trying them all', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.integer({ min: 3, max: 20 }),
        fc.double({ min: 0.2, max: 2, noNaN: true }),
        fc.double({ min: 0.2, max: 2, noNaN: true }),
        (want, increases, width, height) => {
          const stitch = stitchOf(width, height)
          const miss = (rounds: number) => Math.abs(discSize(rounds, increases, stitch).floor.length.cm - want)
          const best = Math.min(...Array.from({ length: 400 }, (_, i) => miss(i + 1)))
          expect(miss(roundsForDiameter(want, increases, stitch))).toBeCloseTo(best, 9)
        },
      ),
      SEED,
    )
  })
})

describe('a wanted flat width', () => {
  // By hand: 20 cm lying flat is 40 cm of edge, 80 stitches of 0.5 cm; at 6 a round 13.3 rounds, so 13: 78 stitches, 19.5 cm.
  it('of 20 cm takes 13 rounds', () => {
    expect(circle.work({ ...spec, increases: 6, size: { want: { flatWidthCm: 20 } } }, setting).edge.count).toBe(78)
  })
})

describe('flatness', () => {
  // Handbook 5: f = n w / (2 pi h); bands from memory.
  it('judges by the ratio', () => {
    const { sc } = gauge
    expect(flatness(6, sc).ratio).toBeCloseTo(3 / ((2 * Math.PI * 10) / 21), 12)
    expect([4, 5, 6, 7, 8].map(n => flatness(n, sc).judgement)).toEqual(['dish', 'dish', 'flat', 'ripple', 'ruffle'])
    expect(flatIncreases(sc)).toBe(6)
    expect(flatIncreases(gauge.dc)).toBe(12)
  })

  it('warns only where even the ratio that speaks least for it ruffles, and notes what is usual', () => {
    const stitch = (width: number, height: number, share: number) => ({
      known: 'measured' as const, width: { cm: width, plusMinusCm: width * share }, height: { cm: height, plusMinusCm: height * share },
    })
    // Craft 5: 8 a round in square stitches is 8 / 2π = 1.273 of what a flat disc needs, and normal practice.
    expect(flatnessFinding(8, 'sc', stitch(0.5, 0.5, 0.02), 5)).toMatchObject({ code: 'base-ripple', weight: 'note' })
    expect(flatnessFinding(8, 'sc', stitch(0.5, 0.5, 0.02), 5).what).toContain('8 a round is a usual number for {sc}')
    expect(flatnessFinding(7, 'sc', stitch(0.6, 0.5, 0.01), 5)).toMatchObject({ code: 'base-ruffle', weight: 'caution' })
    // 7 · 0.6 / π = 1.337, less a tenth of it 1.20: it may, and is only watched.
    expect(flatnessFinding(7, 'sc', stitch(0.6, 0.5, 0.07), 5)).toMatchObject({ code: 'base-ruffle', weight: 'watch' })
    expect(flatnessFinding(7, 'sc', stitch(0.6, 0.5, 0.07), 5).what).toContain('may ruffle')
    // 5 in square stitches is 0.796: it cups; known no better than to a sixth it may lie flat.
    expect(flatnessFinding(5, 'sc', stitch(0.5, 0.5, 0.02), 5)).toMatchObject({ code: 'base-dish', weight: 'caution' })
    expect(flatnessFinding(5, 'sc', stitch(0.5, 0.5, 0.12), 5)).toMatchObject({ code: 'base-dish', weight: 'watch' })
  })

  it('offers the number that lies flat', () => {
    const finding = flatnessFinding(9, 'sc', gauge.sc, 5)
    expect(finding).toMatchObject({ code: 'base-ruffle', weight: 'caution', fix: { changes: [{ path: ['increases'], value: 6 }] } })
    expect(flatnessFinding(6, 'sc', gauge.sc, 5)).not.toHaveProperty('fix')
  })
})

/** The area of a mesh of triangles, added up one by one. */
function areaOf(geometry: BufferGeometry): number {
  const flat = geometry.index ? geometry.toNonIndexed() : geometry
  const corners = flat.getAttribute('position') as Float32BufferAttribute
  let sum = 0
  for (let i = 0; i < corners.count; i += 3) {
    const [a, b, c] = [0, 1, 2].map(j => new Vector3().fromBufferAttribute(corners, i + j)) as [Vector3, Vector3, Vector3]
    sum += b.sub(a).cross(c.sub(a)).length() / 2
  }
  return sum
}

describe('disc and cone, against an independent geometry library (three)', () => {
  it('a flat disc\'s edge is the circle its rounds reach', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.double({ min: 0.2, max: 3, noNaN: true }), (rounds, height) => {
        // A stitch just wide enough that 7 increases lie flat.
        const stitch = stitchOf((2 * Math.PI * height) / 7, height)
        const { floor, circumference } = discSize(rounds, 7, stitch)
        const ring = new EllipseCurve(0, 0, rounds * height, rounds * height)
        ring.arcLengthDivisions = 2000
        expect(circumference.cm / ring.getLength()).toBeCloseTo(1, 4)
        expect(floor.length.cm / (2 * rounds * height)).toBeCloseTo(1, 9)
      }),
      { ...SEED, numRuns: 40 },
    )
  })

  it('a dish is the cone with the worked radius as slant and the worked edge as rim: its area and slant agree', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 0.98, noNaN: true }), fc.double({ min: 1, max: 40, noNaN: true }), (ratio, slant) => {
        const rim = slant * ratio
        const depth = dishDepthCm(slant, ratio)
        expect(new Vector3(rim, depth, 0).length()).toBeCloseTo(slant, 6)
        // The lateral surface of a cone is pi * rim * slant (CRC Standard Mathematical Tables), added up here from triangles.
        const area = areaOf(new ConeGeometry(rim, depth, 720, 1, true))
        expect(area / (Math.PI * rim * slant)).toBeCloseTo(1, 3)
      }),
      { ...SEED, numRuns: 40 },
    )
    expect(dishDepthCm(10, 1.2)).toBe(0)
  })

  it('an under-increased base is as wide as its rim', () => {
    const size = discSize(10, 5, stitchOf(0.5, 0.5))
    expect(size.floor.length.cm).toBeCloseTo(size.circumference.cm / Math.PI, 12)
    expect(size.floor.length.cm).toBeLessThan(10)
  })
})

describe('a base beyond reason', () => {
  it('is stopped, with what to change', () => {
    const { findings, rounds } = circle.work(
      { ...spec, size: { want: { diameterCm: 150 } } },
      {
        ...setting,
        gauge: gaugeOf({ hookMm: 0.6, strands: 1, measured: { sc: { stitches: 100, rounds: 100, overCm: 5 } } }),
      },
    )
    expect(rounds).toHaveLength(0)
    expect(findings[0]).toMatchObject({ code: 'base-too-big', weight: 'stop' })
    expect(findings[0]!.what).toContain('smaller base')
  })
})
