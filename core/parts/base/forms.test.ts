import fc from 'fast-check'
import type { Vector2 } from 'three'
import { Path } from 'three'
import { describe, expect, it } from 'vitest'
import { anyBase, SEED } from '../../../tests/arbitraries/designs'
import { gaugeOf, type Gauge, type StitchSize, type Swatch } from '../../things/gauge/gauge'
import { exactly } from '../../things/measure/length'
import { type Floor, outlineOf, perimeterCm, standing } from '../part/floor'
import type { Setting } from '../part/part'
import type { Rounds } from '../../things/round/style'
import { baseForms, beginBase, type BaseSpec, workBase } from './base'
import { holeMultiples, type BoughtSpec } from './bought'
import { evidenceOf } from './measuredBase'
import { flatnessFinding, gaugeIncreases } from './flatness'
import { countsForOval, ovalFloor } from './ovalSizes'
import type { OvalSpec } from './ovalSpec'
import { countsForRectangle } from './rectangle'
import { rectangleEdge } from './rectangleRounds'
import type { RectangleSpec } from './rectangleFields'
import { compareSchools, withIncreases } from './increaseSchools'
import { neighbours, pinned, wanted } from './sizing'

function setting(
  measured: Swatch['measured'] = { sc: { stitches: 20, rounds: 21, overCm: 10 } },
  rounds: Rounds = { style: 'joined', startingChainCounts: false },
): Setting {
  return { gauge: gaugeOf({ hookMm: 3.5, strands: 1, measured }), rounds, index: 0, turns: 0 }
}

const oval: OvalSpec = {
  form: 'oval', stitch: 'sc', perEnd: 3, size: { pin: { sideStitches: 10, rounds: 3 } }, start: 'chain', placing: 'stacked',
  increaseAt: 'last', colour: 'main',
}
const rectangle: RectangleSpec = {
  form: 'rectangle', stitch: 'sc', size: { pin: { stitches: 50, rows: 8 } }, rowEnds: 'one-each', corners: 'none', colour: 'main',
}
const anyStyle = fc.record({
  style: fc.constantFrom('spiral', 'joined', 'turned'),
  startingChainCounts: fc.boolean(),
}) as fc.Arbitrary<Rounds>
const bases = anyBase as unknown as fc.Arbitrary<BaseSpec>

describe('an oval (common practice, no source)', () => {
  const counts = (spec: OvalSpec, at = setting()) => workBase(spec, at).rounds.map(({ edge }) => edge.count)

  it('of side 10 with 3 per end: 26 32 38', () => expect(counts(oval)).toEqual([26, 32, 38]))

  const big: OvalSpec = { ...oval, stitch: 'dc', perEnd: 6, size: { pin: { sideStitches: 24, rounds: 4 } } }
  const measured = setting({ dc: { stitches: 24, rounds: 8, overCm: 16.5, tallCm: 9.5 } }, { style: 'joined', startingChainCounts: true })

  it('in dc, side 24, 6 per end: chain 29, then 60 72 84 96', () => {
    expect(workBase(big, measured).start).toMatchObject({ kind: 'foundation-chain', chains: 29 })
    expect(counts(big, measured)).toEqual([60, 72, 84, 96])
  })

  it('which measures 26 by 9.5 cm', () => {
    const { floor } = workBase(big, measured).size
    expect(floor!.length.cm).toBeCloseTo(26, 6)
    expect(floor!.width.cm).toBeCloseTo(9.5, 6)
  })

  it('keeps 2S + 2er stitches in every style, and its side stitches plain', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 2, max: 8 }),
        fc.integer({ min: 1, max: 12 }),
        anyStyle,
        fc.constantFrom('stacked', 'staggered'),
        fc.constantFrom('first', 'last'),
        (sideStitches, perEnd, rounds, style, placing, increaseAt) => {
          const worked = workBase(
            { ...oval, perEnd, placing, increaseAt, size: { pin: { sideStitches, rounds } } } as OvalSpec,
            setting(undefined, style),
          )
          expect(worked.rounds.map(({ edge }) => edge.count)).toEqual(
            Array.from({ length: rounds }, (_, i) => 2 * sideStitches + 2 * perEnd * (i + 1)),
          )
          // The markers bound two sides of S stitches each, in every round.
          worked.markers!.forEach((marks, r) => {
            const n = worked.rounds[r]!.edge.count
            const spans = marks.map((mark, i) => ((marks[(i + 1) % marks.length]! - mark + n) % n) + 1)
            if (marks.length === 4 && sideStitches > 1) expect(spans.filter(span => span === sideStitches).length).toBeGreaterThanOrEqual(2)
          })
        },
      ),
      { ...SEED, numRuns: 60 },
    )
  })

  it('puts markers on the first and last stitch of both sides', () => {
    expect(workBase(oval, setting()).markers).toEqual([
      [1, 10, 14, 23], [2, 11, 18, 27], [3, 12, 22, 31],
    ])
  })

  it('folds at the middles of its ends', () => {
    const { edge } = workBase({ ...oval, perEnd: 4, size: { pin: { sideStitches: 10, rounds: 2 } } }, setting())
    // 36 stitches: side one is 2..11, the far end 12..19 with its middle before 16; the other fold is half the round away.
    expect([...edge.sides].sort((a, b) => a - b)).toEqual([16, 34])
  })

  it('chooses the counts nearest to a wanted floor, against trying them all', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 50, noNaN: true }),
        fc.double({ min: 2, max: 30, noNaN: true }),
        fc.integer({ min: 2, max: 8 }),
        fc.constantFrom(0.3, 0.5, 0.9, 2),
        fc.constantFrom(0.25, 0.48, 1.1),
        (lengthCm, widthCm, perEnd, w, h) => {
          const stitch = { width: exactly(w), height: exactly(h), known: 'measured' as const }
          const miss = (counts: { sideStitches: number, rounds: number }) => {
            const floor = ovalFloor(counts, perEnd, stitch)
            return (floor.length.cm - lengthCm) ** 2 + (floor.width.cm - widthCm) ** 2
          }
          let best = Infinity
          for (let rounds = 1; rounds <= 80; rounds++)
            for (let sideStitches = 1; sideStitches <= 180; sideStitches++) best = Math.min(best, miss({ sideStitches, rounds }))
          expect(miss(countsForOval({ lengthCm, widthCm }, perEnd, () => stitch))).toBeCloseTo(best, 9)
        },
      ),
      { ...SEED, numRuns: 40 },
    )
  })
})

describe('a rectangle (common practice, no source)', () => {
  const at = setting({ sc: { stitches: 50, rounds: 8, overCm: 26, tallCm: 4 } })

  it('of 50 sc by 8 rows, no corner stitches: 116 in the round, 26 by 4 cm, 30 cm wide lying flat', () => {
    const { edge, size } = workBase(rectangle, at)
    expect(edge.count).toBe(116)
    expect(size.floor!.length.cm).toBeCloseTo(26, 9)
    expect(size.floor!.width.cm).toBeCloseTo(4, 9)
    expect(Math.round(size.circumference.cm / 2)).toBe(30)
  })

  it('with one extra at each corner: 120', () => expect(workBase({ ...rectangle, corners: 'one-extra' }, at).edge.count).toBe(120))

  it('picks up row ends by gauge: by hand, 8 rows of 1 cm beside stitches of 0.5 cm are 16 a side', () => {
    const square = setting({ sc: { stitches: 20, rounds: 10, overCm: 10 } })
    expect(workBase({ ...rectangle, rowEnds: 'by-gauge' }, square).edge.count).toBe(50 + 16 + 50 + 16)
  })

  it('has as many stitches round it as its counts say, however few its rows', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 30 }),
        fc.integer({ min: 1, max: 8 }),
        fc.constantFrom('one-each', 'by-gauge'),
        fc.constantFrom('none', 'one-extra'),
        fc.constantFrom('sc', 'hdc', 'dc'),
        (stitches, rows, rowEnds, corners, stitch) => {
          const spec = { ...rectangle, size: { pin: { stitches, rows } }, rowEnds, corners, stitch } as RectangleSpec
          for (const one of [
            at, setting({ sc: { stitches: 30, rounds: 10, overCm: 10 } }), setting({ sc: { stitches: 10, rounds: 40, overCm: 10 } }),
          ]) {
            const { edge, findings } = workBase(spec, one)
            expect(findings).toEqual([])
            expect(edge.count).toBe(rectangleEdge(spec, { stitches, rows }, one.gauge))
          }
        },
      ),
      { ...SEED, numRuns: 80 },
    )
  })

  it('folds at the middles of its short sides', () => expect(workBase(rectangle, at).edge.sides).toEqual([54, 112]))

  it('folds at the middles of its rows where those are the short sides: 10 stitches by 20 rows at 5 and 35', () => {
    expect(
      workBase({ ...rectangle, rowEnds: 'one-each', corners: 'none', size: { pin: { stitches: 10, rows: 20 } } } as BaseSpec, at).edge
        .sides,
    ).toEqual([5, 35])
  })

  it('is the nearest to a wanted one, against trying all', () => {
    fc.assert(
      fc.property(fc.double({ min: 3, max: 40, noNaN: true }), fc.double({ min: 1, max: 25, noNaN: true }), (lengthCm, widthCm) => {
        const stitch = at.gauge.sc
        const miss = (stitches: number, rows: number) =>
          Math.abs(stitches * stitch.width.cm - lengthCm) + Math.abs(rows * stitch.height.cm - widthCm)
        let best = Infinity
        for (let s = 2; s < 120; s++) for (let r = 1; r < 70; r++) best = Math.min(best, miss(s, r))
        const found = countsForRectangle({ lengthCm, widthCm }, { stitch: 'sc' }, at.gauge)
        expect(miss(found.stitches, found.rows)).toBeCloseTo(best, 9)
      }),
      { ...SEED, numRuns: 40 },
    )
  })
})

describe('the other forms, by hand', () => {
  it('a boat of side 27 with 3 per end lies 15 cm wide: 60 stitches of 0.5 cm', () => {
    const { edge, size } = workBase(
      { form: 'boat', stitch: 'sc', perEnd: 3, size: { want: { flatWidthCm: 15 } }, colour: 'main' },
      setting(),
    )
    expect(edge.count).toBe(60)
    expect(size.floor).toMatchObject({ shape: 'none', length: { cm: 15 } })
  })

  it('a tube 15 cm wide is a ring of 60 chains', () => {
    const { edge, start } = workBase({ form: 'tube', stitch: 'sc', size: { want: { flatWidthCm: 15 } }, colour: 'main' }, setting())
    expect([edge.count, start!.chains]).toEqual([60, 60])
  })

  it('a double disc is two discs and a round through both', () => {
    const { rounds, edge } = workBase(
      {
        form: 'double-disc', stitch: 'sc', increases: 6, size: { pin: { rounds: 3 } }, start: 'ring', placing: 'stacked',
        increaseAt: 'last', colour: 'main',
      },
      setting(),
    )
    expect(rounds.map(({ edge: { count } }) => count)).toEqual([6, 12, 18, 6, 12, 18, 18])
    expect(edge.sides).toEqual([0, 9])
  })

  it('a bought floor of 60 holes, 2 in each, 8 doubled: 136', () => {
    const spec: BoughtSpec = {
      form: 'bought', shape: 'oblong', stitch: 'sc', holes: 60, perHole: 2, doubledHoles: 8, lengthCm: 28, widthCm: 12, colour: 'main',
    }
    expect(workBase(spec, setting()).edge.count).toBe(136)
    expect(holeMultiples(spec).filter(n => n === 4)).toHaveLength(8)
    expect(holeMultiples({ ...spec, shape: 'round' }).every(n => n === 2)).toBe(true)
    expect(workBase({ ...spec, perHole: 1 }, setting()).findings.map(({ code }) => code)).toEqual(['bought-tight'])
  })

  it('a folded piece of 5 repeats of 6 and 1, 50 rows, has a mouth of 62', () => {
    const { edge, size, rounds } = workBase(
      { form: 'folded', stitch: 'sc', pattern: 'plain', fold: 'below', seam: 'whip', repeat: 6, edgeStitches: 1,
        size: { pin: { repeats: 5, rows: 50 } }, colour: 'main' },
      setting(),
    )
    expect([edge.count, rounds.length]).toEqual([62, 50])
    expect(size.height.cm).toBeCloseTo((25 * 10) / 21, 9)
  })
})

describe('every form', () => {
  it('leaves an edge with both sides and a start, in every style (laws 1 and 5)', () => {
    fc.assert(
      fc.property(bases, anyStyle, (spec, style) => {
        const { edge, rounds, findings } = workBase(spec, setting(undefined, style))
        const stacked = spec.form === 'motifs' || spec.form === 'banded' || (spec.form === 'folded' && spec.pattern === 'bands')
        if (stacked && findings.some(({ weight }) => weight === 'stop')) return
        expect(findings.filter(({ weight }) => weight === 'stop')).toEqual([])
        expect(rounds.length).toBeGreaterThan(0)
        const [a, b] = edge.sides
        expect(a >= 0 && b >= 0 && a < edge.count && b < edge.count && a !== b, JSON.stringify([spec.form, edge.sides, edge.count])).toBe(
          true,
        )
      }),
      { ...SEED, numRuns: 200 },
    )
  })

  it('stays as it is when pinned, and near when wanted again', () => {
    fc.assert(
      fc.property(bases, (spec) => {
        const at = setting()
        const worked = workBase(spec, at)
        const fast = workBase(pinned(spec, at, worked), at)
        expect(fast.rounds.map(({ edge }) => edge.count)).toEqual(worked.rounds.map(({ edge }) => edge.count))
        if (worked.findings.some(({ weight }) => weight === 'stop')) return
        expect(workBase(wanted(spec, at, worked), at).rounds.length).toBeGreaterThan(0)
      }),
      { ...SEED, numRuns: 80 },
    )
  })

  it('keeps its pinned counts in any gauge', () => {
    fc.assert(
      fc.property(bases, (spec) => {
        const at = setting()
        const fast = pinned(spec, at, workBase(spec, at))
        if (fast.form === 'rectangle' || fast.form === 'motifs' || fast.form === 'banded') return
        expect(workBase(fast, setting({ sc: { stitches: 13, rounds: 15, overCm: 10 } })).edge.count).toBe(workBase(fast, at).edge.count)
      }),
      { ...SEED, numRuns: 60 },
    )
  })

  it('starts from any other', () => {
    for (const { form } of baseForms()) {
      const spec = beginBase(form, { stitch: 'sc', colour: 'main', lengthCm: 12, widthCm: 12, heightCm: 14 })
      expect(spec.form).toBe(form)
      expect(workBase(spec, setting()).findings.filter(({ weight }) => weight === 'stop')).toEqual([])
    }
  })

  it('has neighbours one count away on either side', () => {
    const around = neighbours({ ...oval, size: { want: { lengthCm: 26, widthCm: 9.5 } } }, setting())
    const here = around.find(one => one.here)!
    expect(around).toHaveLength(5)
    const lengths = around.map(({ worked }) => worked.size.floor!.length.cm)
    expect(lengths).toEqual([...lengths].sort((a, b) => a - b))
    expect(here.worked.size.floor!.length.cm).toBeCloseTo(26, 0)
  })
})

describe('outlines, against an independent geometry library (three)', () => {
  /** A stadium as a path of lines and arcs, cut into many points. */
  function points(length: number, width: number): Vector2[] {
    const [half, r] = [(length - width) / 2, width / 2]
    const path = new Path()
    path
      .moveTo(-half, -r)
      .lineTo(half, -r)
      .absarc(half, 0, r, -Math.PI / 2, Math.PI / 2, false)
      .lineTo(-half, r)
      .absarc(-half, 0, r, Math.PI / 2, 1.5 * Math.PI, false)
    return path.getPoints(400)
  }
  const around = (list: Vector2[]) => list.reduce((sum, p, i) => sum + p.distanceTo(list[(i + 1) % list.length]!), 0)
  const area = (list: Vector2[]) => Math.abs(list.reduce((sum, p, i) => sum + p.cross(list[(i + 1) % list.length]!), 0)) / 2

  it('a stadium\'s perimeter and area, over random sizes', () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 30, noNaN: true }), fc.double({ min: 0.1, max: 40, noNaN: true }), (width, more) => {
        const length = width + more
        const floor: Floor = { shape: 'stadium', length: exactly(length), width: exactly(width) }
        expect(perimeterCm(floor) / around(points(length, width))).toBeCloseTo(1, 4)
        const areaCm2 = outlineOf({ shape: 'stadium' }).areaCm2({ lengthCm: length, widthCm: width })
        expect(areaCm2 / area(points(length, width))).toBeCloseTo(1, 4)
      }),
      { ...SEED, numRuns: 50 },
    )
  })

  it('a wall as long as its floor\'s edge stands just on it', () => {
    for (const shape of ['disc', 'stadium', 'rectangle', 'none'] as const) {
      const floor: Floor = { shape, length: exactly(24), width: exactly(shape === 'disc' ? 24 : shape === 'none' ? 0 : 9) }
      expect(standing(floor, perimeterCm(floor)).lengthCm).toBeCloseTo(24, 9)
    }
  })
})

describe('the schools compared', () => {
  const { gauge } = setting()
  it('for a disc and for an oval\'s two ends', () => {
    const disc = compareSchools(
      { ...beginBase('circle', { stitch: 'sc', colour: 'main', lengthCm: 12, widthCm: 12, heightCm: 10 }) },
      gauge,
    )
    expect(disc.map(({ increases }) => increases)).toEqual([6, 8, 10, 12, 16])
    expect(disc.find(({ flattest }) => flattest)!.increases).toBe(6)
    expect(compareSchools(oval, gauge).find(({ inUse }) => inUse)!.increases).toBe(6)
    expect(withIncreases(oval, 8)).toMatchObject({ perEnd: 4 })
    expect(compareSchools(rectangle, gauge)).toEqual([])
  })
})

describe('what a measured base says of the gauge', () => {
  it('gives back the gauge that the base was worked in, for every form that says anything', () => {
    fc.assert(
      fc.property(bases, (spec) => {
        const at = setting()
        const worked = workBase(spec, at)
        const fast = pinned(spec, at, worked)
        const { floor, circumference } = worked.size
        const evidence = evidenceOf(
          fast,
          { lengthCm: floor?.length.cm ?? circumference.cm / 2, ...(floor ? { widthCm: floor.width.cm } : {}) },
          at,
        )
        const own: Gauge['sc'] = at.gauge[spec.stitch]
        if (spec.form === 'oval' && spec.start === 'foundation-sc') return
        if (evidence?.width) expect(evidence.width.cm).toBeCloseTo(own.width.cm, 6)
        if (evidence?.height && !('increases' in spec) && spec.form !== 'oval') expect(evidence.height.cm).toBeCloseTo(own.height.cm, 6)
      }),
      { ...SEED, numRuns: 80 },
    )
  })

  it('says nothing while the counts would move with it', () => {
    expect(evidenceOf({ ...oval, size: { want: { lengthCm: 20, widthCm: 8 } } }, { lengthCm: 20, widthCm: 8 }, setting())).toBeUndefined()
    expect(evidenceOf(oval, { lengthCm: 8, widthCm: 9 }, setting())).toBeUndefined()
  })
})

describe('increases that follow the gauge (handbook 5: f = n·w / 2πh, flat within 7 %)', () => {
  const stitch = (heightInWidths: number) =>
    ({ width: { cm: 0.5, plusMinusCm: 0.01 }, height: { cm: 0.5 * heightInWidths, plusMinusCm: 0.01 } }) as StitchSize

  it('are the larger where neither number about them lies flat and the larger is asked for: 6 at 1.09, not 5 at 0.91', () => {
    // 2π · 0.875 = 5.498: five make 0.909 of the edge, six 1.091.
    expect(gaugeIncreases(stitch(0.875), 1)).toBe(5)
    expect(gaugeIncreases(stitch(0.875), 1, 'more')).toBe(6)
    // 2π · 0.8 = 5.03: five lie flat, and stay.
    expect(gaugeIncreases(stitch(0.8), 1, 'more')).toBe(5)
    // 2π · 0.7 = 4.40: four are 0.909, five 1.137.
    expect(gaugeIncreases(stitch(0.7), 1, 'more')).toBe(5)
    // Of two ends together: 5.03 lies between 4 and 6; 4 would cup.
    expect(gaugeIncreases(stitch(0.8), 2, 'more')).toBe(6)
  })

  it('are no warning where no other number does better', () => {
    expect(flatnessFinding(6, 'sc', stitch(0.875), 5).weight).toBe('note')
    expect(flatnessFinding(5, 'hdc', stitch(0.7), 5)).toMatchObject({ code: 'base-ripple', weight: 'note' })
    expect(flatnessFinding(5, 'sc', stitch(0.875), 5))
      .toMatchObject({ code: 'base-dish', weight: 'watch', fix: { label: 'Use 6 increases a round' } })
  })
})
