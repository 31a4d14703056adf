import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyDesign, SEED } from '../../tests/arbitraries/designs'
import type { Design } from '../design/design'
import { newDesign } from '../design/starter'
import { draft } from './draft'

const swatch = { hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 21, overCm: 10 } } } as const
const pouch = { ...newDesign('Seed-head pouch'), gauge: swatch } satisfies Design

describe('the draft of a pouch, by hand', () => {
  const { sizes, parts, rounds } = draft(pouch)

  it('folds base, turn-up and wall', () => {
    expect(parts.map(({ id, firstRound, rounds: own }) => [id, firstRound, own.length])).toEqual([['base', 1, 13], ['turnUp', 14, 1], ['wall.0', 15, 29]])
    expect(rounds.map(({ number }) => number)).toEqual(Array.from({ length: 43 }, (_, i) => i + 1))
  })

  it('measures it', () => {
    // Floor 13 * 2 * 10/21; flat width 78 * 0.5 / 2; height 30 rounds of 10/21; volume pi r^2 H with 2 pi r = 39.
    expect(sizes.floor.length.cm).toBeCloseTo(12.381, 3)
    expect(sizes.flatWidth.cm).toBe(19.5)
    expect(sizes.flatWidth.plusMinusCm).toBeCloseTo(0.4875, 9)
    expect(sizes.height.cm).toBeCloseTo(14.2857, 4)
    expect(sizes.height.plusMinusCm).toBeCloseTo(14.2857 / 42, 4)
    expect(sizes.litres).toBeCloseTo((Math.PI * (39 / (2 * Math.PI)) ** 2 * (300 / 21)) / 1000, 9)
    // 6 * (1 + 2 + ... + 13) = 546 in the floor, 30 rounds of 78 above.
    expect(sizes.stitches).toBe(546 + 30 * 78)
  })
})

describe('every draft', () => {
  it('has a round\'s stitches on the edge that the round below left', () => {
    fc.assert(fc.property(anyDesign, (design) => {
      const { rounds } = draft(design)
      rounds.forEach(({ worked }, i) => {
        // A pick-up round, a second disc and the mouth of a folded bag stand on a foundation of their own.
        if (i > 0 && worked.on.from[0] !== -1) expect(worked.on.count).toBe(rounds[i - 1]!.worked.edge.count)
        expect(worked.edge.from.length).toBe(worked.edge.count)
        expect(Math.max(...worked.edge.to)).toBeLessThan(worked.on.count)
      })
    }), { ...SEED, numRuns: 40 })
  })

  it('is the same for the same design (law 4)', () => {
    fc.assert(fc.property(anyDesign, (design) => {
      const copy = JSON.parse(JSON.stringify(design)) as Design
      expect(JSON.stringify(draft(copy))).toBe(JSON.stringify(draft(design)))
    }), { ...SEED, numRuns: 20 })
  })

  it('comes out, or stops with the part and what to change (law 5)', () => {
    fc.assert(fc.property(anyDesign, (design) => {
      const { findings, rounds, sizes } = draft(design)
      for (const stop of findings.filter(({ weight }) => weight === 'stop')) expect(stop.part).toBeTruthy()
      if (!findings.some(({ weight }) => weight === 'stop')) expect(rounds.length).toBeGreaterThan(0)
      for (const value of [sizes.floor.length.cm, sizes.floor.width.cm, sizes.flatWidth.cm, sizes.height.cm, sizes.litres]) expect(Number.isFinite(value)).toBe(true)
    }), { ...SEED, numRuns: 100 })
  })

  it('has both sides and its start, whatever the design', () => {
    fc.assert(fc.property(anyDesign, (design) => {
      for (const { edge } of draft(design).parts) {
        const [a, b] = edge.sides
        expect(a >= 0 && b >= 0 && a <= edge.count && b <= edge.count && (edge.count < 2 || a !== b)).toBe(true)
      }
    }), { ...SEED, numRuns: 60 })
  })

  it('has the same counts in every style of round', () => {
    fc.assert(fc.property(anyDesign, (design) => {
      const countsIn = (style: Design['rounds']['style'], startingChainCounts: boolean) =>
        draft({ ...design, rounds: { style, startingChainCounts } }).rounds.map(({ worked }) => worked.edge.count).join()
      const spiral = countsIn('spiral', false)
      for (const style of ['joined', 'turned'] as const) for (const counts of [true, false]) expect(countsIn(style, counts)).toBe(spiral)
    }), { ...SEED, numRuns: 30 })
  })
})

describe('stops and notes', () => {
  it('leaves nothing above a part that cannot be worked', () => {
    const { parts, findings } = draft({ ...pouch, gauge: { ...swatch, measured: { sc: { stitches: 180, rounds: 180, overCm: 10 } } }, base: { ...pouch.base, size: { want: { diameterCm: 150 } } } })
    expect(parts.map(({ id }) => id)).toEqual(['base'])
    expect(findings[0]).toMatchObject({ weight: 'stop', part: 'base' })
  })

  it('says how well sizes are known', () => {
    const codes = (design: Design) => draft(design).findings.map(({ code }) => code)
    expect(codes({ ...pouch, gauge: { ...swatch, assumed: true } })).toContain('gauge-assumed')
    expect(codes({ ...pouch, wall: [{ ...pouch.wall[0]!, stitch: 'dc' }] })).toContain('gauge-estimated')
    expect(codes({ ...pouch, gauge: { ...swatch, worked: 'turned' } })).toContain('gauge-other-way')
    expect(codes({ ...pouch, gauge: { ...swatch, worked: 'unturned' } })).toEqual(['base-flat'])
  })

  it('learns from a measured base, says what changes above, and forgets it with another base', () => {
    const pinned = { ...pouch, base: { ...pouch.base, increases: 6, size: { pin: { rounds: 13 } } } } satisfies Design
    const measured: Design = { ...pinned, measuredBase: { lengthCm: 13.6, rounds: 13, stitches: 78 } }
    const { gauge, parts, findings } = draft(measured)
    // By hand: swatch 0.47619 ± 0.01134 cm, base 13.6 / 26 = 0.52308 ± 0.01154 cm: they weigh nearly the same, 0.4992.
    expect(gauge.sc.height.cm).toBeCloseTo(0.4992, 3)
    // 14 cm of wall at 0.4992 are 28.04 rounds.
    expect(parts.at(-1)!.rounds).toHaveLength(28)
    expect(findings.find(({ code }) => code === 'gauge-refined')!.what).toContain('Wall takes 28 rounds instead of 29')
    const other = draft({ ...measured, base: { ...pinned.base, size: { pin: { rounds: 14 } } } })
    expect(other.gauge).toEqual(draft(pinned).gauge)
    expect(other.findings.map(({ code }) => code)).toContain('measured-unused')
  })

  it('points a fix at the part\'s place in the design', () => {
    const finding = draft({ ...pouch, base: { ...pouch.base, increases: 8 } }).findings.find(({ fix }) => fix)!
    expect(finding.fix!.changes).toEqual([{ path: ['base', 'increases'], value: 6 }])
  })
})
