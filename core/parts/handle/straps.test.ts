import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyFitted, SEED } from '../../../tests/arbitraries/designs'
import { said } from '../field/placedField'
import { gaugeOf } from '../../things/gauge/gauge'
import type { WallSetting } from '../part/part'
import { type Edge, foundation, withSides } from '../../things/round/edge'
import { workWall, type WallSpec } from '../wall/wall'
import { dropCm } from './drop'
import { slots } from './slots'
import { strapLength } from './strapLength'
import { leastRows, stripAlong, stripFromRim } from './strip'

const gauge = gaugeOf({ hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } })
const length = (cm: number) => ({ cm, plusMinusCm: 0 })
const setting: WallSetting = {
  gauge, rounds: { style: 'joined', startingChainCounts: false }, index: 20, turns: 21, repeats: [], hook: { hookMm: 4, strands: 1 },
  accepts: () => true, tallCm: 25,
  floor: { shape: 'stadium', length: length(30), width: length(12) },
}
const placed = { stitch: 'sc', nudge: 0, colour: 'main' } as const
const fitted = (spec: WallSpec, count = 120, edge: Edge = foundation('stitch', count)) =>
  workWall(spec, edge, { ...setting, belowCm: count / 2 })
const told = (spec: WallSpec, count = 120) =>
  fitted(spec, count)
    .findings.map(({ what }) => what)
    .join(' ')
const codes = (spec: WallSpec, count = 120) => fitted(spec, count).findings.map(({ code }) => code)

const grown = { kind: 'grown-strap', foot: 7, wide: 7, length: { pin: { count: 60 } }, join: 'sewn', ...placed } as const
const knot = {
  kind: 'knot-straps', foot: 9, wide: 7, width: { pin: { stitches: 12 } }, short: { pin: { count: 36 } }, long: { pin: { count: 90 } },
  join: 'slip', ...placed,
} as const
const sewn = {
  kind: 'sewn-straps', number: 2, worked: 'along', wide: 6, length: { want: { dropCm: 24 } }, inCm: 5, overlapCm: 4, lines: 2,
  reinforced: 'none', ...placed,
} as const

describe('a strap grown from the rim', () => {
  it('of seven stitches a foot on 120 leaves 53 between the feet on each side (craft 10; common practice, no source)', () => {
    expect(told(grown)).toContain('53 stitches lie between them')
    expect(fitted(grown).pieces![0]!.finish.join(' ')).toContain('7 marked stitches')
  })

  it('draws in from its foot, runs at its width, and opens out again: by hand', () => {
    const counts = (foot: number, wide: number, rows: number) =>
      stripFromRim('sc', foot, wide, rows, 'main', gauge).rows.map(({ edge }) => edge.count)
    expect(counts(11, 7, 9)).toEqual([9, 7, 7, 7, 7, 7, 7, 9, 11])
    expect(counts(10, 7, 7)).toEqual([8, 7, 7, 7, 7, 8, 10])
    expect(counts(7, 7, 3)).toEqual([7, 7, 7])
    expect(leastRows(10, 7)).toBe(5)
  })

  it('comes back to its foot whatever the two widths are, a stitch at either end at a time', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 30 }), fc.nat(20), fc.nat(30), (wide, more, plain) => {
        const foot = wide + more
        const rows = stripFromRim('sc', foot, wide, leastRows(foot, wide) + plain, 'main', gauge).rows
        const counts = [foot, ...rows.map(({ edge }) => edge.count)]
        expect(Math.min(...counts)).toBe(wide)
        expect(counts.at(-1)).toBe(foot)
        for (let i = 1; i < counts.length; i++) expect(Math.abs(counts[i]! - counts[i - 1]!)).toBeLessThanOrEqual(2)
      }),
      SEED,
    )
  })

  it('is as many rows as its drop takes: 28 cm over a gap of 26.5 is 124 rows of half a centimetre, by hand', () => {
    const result = fitted({ ...grown, length: { want: { dropCm: 28 } } })
    expect(result.pieces![0]!.rows).toHaveLength(124)
    expect(dropCm(result.handles![0]!.lengthCm, result.handles![0]!.gapCm)).toBeCloseTo(28, 0)
  })

  it('says that a foot too wide does not fit, and that a strap is no wider than its foot', () => {
    expect(fitted({ ...grown, foot: 12 }, 20).findings[0]).toMatchObject({ code: 'straps-too-wide', weight: 'stop' })
    expect(codes({ ...grown, wide: 9 })).toContain('strap-wider-than-foot')
  })
})

describe('knot straps', () => {
  it('go around both ends alike: 120 less twice 12 and four feet of 9 leaves 30 on each face', () => {
    expect(told(knot)).toContain('30 stitches lie free on each face')
    expect(fitted(knot).handles!.map(({ name, lengthCm, gapCm }) => [name, lengthCm, gapCm])).toEqual([
      ['Short strap', 18, 0],
      ['Long strap', 45, 0],
    ])
  })

  it('want the long one longer, and room for both', () => {
    expect(codes({ ...knot, long: { pin: { count: 40 } } })).toContain('knot-too-alike')
    expect(fitted(knot, 50).findings[0]).toMatchObject({ code: 'straps-too-wide', weight: 'stop' })
  })
})

describe('a strap whose whole length is given', () => {
  it('takes what lies on the bag from it: 60 cm less twice 4 leave 52 free, by hand 104 chains of half a centimetre', () => {
    const [piece] = fitted({ ...sewn, length: { want: { totalCm: 60 } } }).pieces!
    expect(piece!.lengthCm).toBeCloseTo(60, 9)
    expect(fitted({ ...sewn, length: { want: { totalCm: 60 } } }).handles![0]!.lengthCm).toBeCloseTo(52, 9)
  })

  it('of one under the bag is all of it: twice 25 cm up, 30 under, 3 for the seam, and 67 free of 150', () => {
    const under = {
      kind: 'under-strap', worked: 'along', wide: 6, lines: 2, length: { want: { totalCm: 150 } }, ...placed,
    } as const
    expect(fitted(under).pieces![0]!.lengthCm).toBeCloseTo(150, 1)
    expect(fitted(under).handles![0]!.lengthCm).toBeCloseTo(67, 1)
  })
})

describe('straps sewn on', () => {
  it('stand in from the sides, and are long enough for drop and both ends: by hand', () => {
    const result = fitted(sewn)
    // 120 stitches of half a centimetre: 60 a face, 10 in from each side; feet of 3 cm are 6 stitches; 28 between.
    expect(told(sewn)).toContain('Feet of 6 stitches, 10 in from the sides, 28 stitches between them')
    // Moved on by four: what was ten and ten is six and fourteen.
    expect(told({ ...sewn, nudge: 4 })).toContain('6 in from one side and 14 from the other')
    const free = Math.round(Math.sqrt(4 * 24 * 24 + 14 * 14) / 0.5)
    expect(result.pieces![0]!.rows[0]!.edge.count).toBe(free + 16)
    expect(result.pieces![0]!.times).toBe(2)
    expect(result.handles![0]).toMatchObject({ gapCm: 14, lengthCm: free / 2, strands: 6, widthCm: 3 })
  })

  it('that would meet in the middle are refused, with what fits', () => {
    const {
      findings: [stop],
    } = fitted({ ...sewn, inCm: 14 })
    expect(stop).toMatchObject({ code: 'straps-too-wide', weight: 'stop' })
    const inCm = stop!.fix!.changes[0]!.value as number
    expect(codes({ ...sewn, inCm })).not.toContain('straps-too-wide')
  })

  it('fit right at the sides of an odd rim, and say so where they are too wide for any face', () => {
    expect(codes({ ...sewn, inCm: 0 }, 65)).not.toContain('straps-too-wide')
    const {
      findings: [stop],
    } = fitted({ ...sewn, wide: 30 }, 40)
    expect(stop).toMatchObject({ code: 'straps-too-wide', weight: 'stop' })
    expect(stop!.fix).toBeUndefined()
  })

  it('one alone is on the front, whichever way the last round went', () => {
    for (const style of ['joined', 'turned'] as const) {
      for (const turns of [1, 2]) {
        const { handles } = workWall({ ...sewn, number: 1 }, foundation('stitch', 120), {
          ...setting, turns, rounds: { style, startingChainCounts: false },
        })
        const middle = (handles![0]!.feet[0] + handles![0]!.feet[1]) / 2
        expect(middle - Math.floor(middle), `${style} ${turns}`).toBeCloseTo(0.25, 1)
      }
    }
  })

  it('go into the bumps of their chain if asked to, and say what makes them stronger', () => {
    const result = fitted({ ...sewn, worked: 'bumps', reinforced: 'tape' })
    expect(result.pieces![0]!.rows[0]!.round.steps[0]).toMatchObject({ loop: 'bump', landmark: 'chains' })
    expect(result.pieces![0]!.finish.join(' ')).toContain('woven tape')
  })

  it('a strip over 40 chains in 6 rows is 20 cm by 3: by hand', () => {
    expect(stripAlong('sc', 40, 6, false, 'main', gauge)).toMatchObject({
      lengthCm: 20, widthCm: 3, start: { kind: 'foundation-chain', chains: 41, firstInto: 2 },
    })
  })
})

describe('a strap under the bag', () => {
  it('runs along the longer way of a floor that is deeper than long', () => {
    const strap = { kind: 'under-strap', worked: 'along', wide: 8, length: { pin: { count: 120 } }, lines: 2, ...placed } as const
    const deep = workWall(strap, foundation('stitch', 120), {
      ...setting,
      floor: { shape: 'rectangle', length: length(12), width: length(30) },
    })
    expect(deep.pieces![0]!.lengthCm).toBe(30 + 2 * 25 + 60 + 3)
  })

  it('is as long as floor, both sides, what is free and its seam: by hand, 30 and 50 and the free part and 3', () => {
    const result = fitted({ kind: 'under-strap', worked: 'along', wide: 8, length: { pin: { count: 120 } }, lines: 2, ...placed })
    expect(result.pieces![0]!.lengthCm).toBe(30 + 2 * 25 + 60 + 3)
    expect(result.handles![0]).toMatchObject({ lengthCm: 60 })
  })
})

describe('what is placed on the rim', () => {
  it('leaves the edge as it was, whatever it is, and its feet stand opposite each other', () => {
    fc.assert(
      fc.property(anyFitted, fc.integer({ min: 6, max: 160 }), fc.nat(200), (spec, count, side) => {
        const edge = withSides(foundation('stitch', count), [side % count, (side + Math.floor(count / 2)) % count])
        const result = fitted(spec as WallSpec, count, edge)
        expect({ ...result.edge, sides: edge.sides }).toEqual(edge)
        expect(result.rounds).toEqual([])
        for (const { feet, lengthCm, gapCm, widthCm, strands } of result.handles ?? []) {
          for (const value of [...feet, lengthCm, gapCm, widthCm]) expect(Number.isFinite(value)).toBe(true)
          expect(strands).toBeGreaterThan(0)
        }
        for (const { lengthCm, widthCm } of result.pieces ?? []) expect(lengthCm > 0 && widthCm > 0).toBe(true)
        if (result.pieces?.length) expect(result.pieces.some(({ finish }) => finish.length > 0)).toBe(true)
      }),
      { ...SEED, numRuns: 300 },
    )
  })

  it('does not stand on handles that are worked in the round', () => {
    const { edge } = slots.work(
      {
        kind: 'slots', number: 2, width: { pin: { stitches: 16 } }, chains: { pin: { chains: 32 } }, into: 'chains', corners: 1,
        rounds: 3, ...placed,
      },
      foundation('stitch', 64),
      setting,
    )
    for (const spec of [
      grown, sewn, { kind: 'tab', stitch: 'sc', wide: 7, lengthCm: 8, buttonCm: 2, colour: 'main' },
      { kind: 'cross-body', cord: 'chain', length: { want: { dropCm: 60 } }, nudge: 0, colour: 'main' },
    ] as WallSpec[]) {
      expect(fitted(spec, 92, edge).findings).toMatchObject([{ code: 'on-handles', weight: 'stop' }])
    }
    expect(
      fitted({ kind: 'zip', stitch: 'sc', facingCm: 3, colour: 'main' }, 92, edge).findings.some(({ weight }) => weight === 'stop'),
    ).toBe(false)
  })
})

describe('closures', () => {
  const button = { kind: 'button-loop', buttonCm: 2.5, colour: 'main' } as const

  it('a loop for a button of 2.5 cm is 12 chains of half a centimetre: twice the button and 0.6 cm, by hand', () => {
    const result = fitted(button)
    expect(result.pieces![0]!.start.chains).toBe(12)
    expect(told(button)).toContain('sts 90–91')
    expect(told(button)).toContain('below sts 30–31')
  })

  it('a tab\'s hole is as wide as its button, with two stitches at each side, and every row keeps its count', () => {
    const [piece] = fitted({ kind: 'tab', stitch: 'sc', wide: 7, lengthCm: 8, buttonCm: 2.5, colour: 'main' }).pieces!
    expect(piece!.rows.map(({ edge }) => edge.count)).toEqual([...Array<number>(12).fill(9), 5, 9, 9, 9])
    expect(piece!.rows[12]!.round.steps).toEqual([
      { do: 'stitch', kind: 'sc', times: 2 }, { do: 'chain', chains: 5 }, { do: 'skip', places: 5 },
      { do: 'stitch', kind: 'sc', times: 2 },
    ])
  })

  it('a zip\'s facings are as long as the mouth lies wide, less what turns down at its ends', () => {
    const [piece] = fitted({ kind: 'zip', stitch: 'sc', facingCm: 3, colour: 'main' }).pieces!
    expect(piece).toMatchObject({ times: 2, lengthCm: 28, widthCm: 3 })
  })

  it('a zip that the maker has is told how it goes on: longer, sewn over; shorter by more than 2 cm, the mouth stays open', () => {
    const zip = (zipCm: number) => ({ kind: 'zip', stitch: 'sc', facingCm: 3, zipCm, colour: 'main' }) as const
    expect(fitted(zip(40)).pieces![0]!.advice.join(' ')).toContain('is {12 cm} longer')
    expect(codes(zip(40))).not.toContain('zip-short')
    expect(codes(zip(20))).toContain('zip-short')
    expect(fitted(zip(28)).pieces![0]!.advice.join(' ')).toContain('goes from end to end')
    expect(fitted(zip(28)).notions![0]).toBe('your zip of {28 cm}')
  })
})

describe('bought handles', () => {
  it('stand with their ends as far apart as they are, on stitches of their own', () => {
    const result = fitted({
      kind: 'bought-handles', number: 2, holds: 'rings', lengthCm: 40, apartCm: 12, foot: 3, nudge: 0, colour: 'main',
    })
    expect(result.handles![0]).toMatchObject({ lengthCm: 40, gapCm: 12, bought: true })
    expect(
      told({ kind: 'bought-handles', number: 2, holds: 'rings', lengthCm: 40, apartCm: 12, foot: 3, nudge: 0, colour: 'main' }),
    ).toContain('sts 16–18 and sts 43–45 on the front')
  })
})

describe('straps of every sort (craft 10)', () => {
  const ribbed = { kind: 'rib', stitch: 'hdc', front: 1, back: 1, size: { pin: { rounds: 4 } }, colour: 'main' } as const
  const boxes = { kind: 'boxes', chains: 1, finish: false, size: { pin: { rounds: 2 } }, colour: 'main' } as const
  const edged = { along: 'all', rounds: 1, corner: 2 } as const

  it('in a texture are as wide as its rows take, and its last band goes on until they are long enough', () => {
    // Ribs over two and boxes over two and one more go together on no count.
    expect(codes({ ...sewn, worked: 'bands', wide: 6, bands: [ribbed, boxes] } as WallSpec)).toEqual(['bands-disagree'])
    const [alone] = fitted({ ...sewn, worked: 'bands', wide: 7, bands: [boxes], length: { want: { totalCm: 40 } } } as WallSpec).pieces!
    expect(alone!.rows[0]!.edge.count).toBe(7)
    expect(alone!.lengthCm).toBeCloseTo(40, 0)
    expect(alone!.along).toBe(false)
  })

  it('are counted by what their length runs in: rows where those run across, in one stitch or in bands, and chains along', () => {
    const pinned = strapLength('Strap').ways[2]
    for (const [worked, wide, unit] of [['along', 6, 'chains'], ['across', 6, 'rows'], ['bands', 7, 'rows']] as const) {
      const spec = { ...sewn, worked, wide, ...(worked === 'bands' ? { bands: [boxes] } : {}), length: { want: { totalCm: 40 } } }
      const part = fitted(spec as WallSpec)
      expect(said(pinned.name, spec, { gauge }), worked).toBe(unit)
      const pin = pinned.from(spec, { gauge, part })
      const again = fitted({ ...spec, length: { pin } } as WallSpec)
      expect(Math.abs(again.pieces![0]!.lengthCm - part.pieces![0]!.lengthCm), worked).toBeLessThan(0.51)
    }
  })

  it('edged all round are wider and longer by a round at either side, and the edging is a piece of its own', () => {
    const spec = { ...sewn, worked: 'across', edged, length: { want: { totalCm: 60 } } } as WallSpec
    const [strap, edging] = fitted(spec).pieces!
    // 59 cm of rows and a round of half a centimetre at either end; six across and 118 rows: 2 · (6 + 118) and a stitch more a corner.
    expect(strap!.rows).toHaveLength(118)
    expect(edging!.rows[0]!.edge.count).toBe(2 * (6 + 118) + 4)
    expect(edging!.times).toBe(2)
    expect(fitted(spec).handles![0]!.widthCm).toBeCloseTo(4, 9)
    expect(fitted(spec).handles![0]!.lengthCm).toBeCloseTo(52, 9)
  })

  it('are sewn on as the maker likes', () => {
    const seams = (['back', 'whip', 'slip'] as const).map(sewnOn => fitted({ ...sewn, sewn: sewnOn } as WallSpec).pieces![0]!.seam)
    expect(seams).toEqual(['backStitch', 'whipSeam', 'slipSeam'])
  })

  it('touch where they are sewn in from no side at all: on 120 no stitch lies between them, on 121 one', () => {
    const between = (count: number) => {
      const [front, back] = fitted({ ...sewn, inCm: 0 }, count).handles!
      const [a, b] = [front!, back!].map(({ feet }) => feet)
      const inner = 6 / count
      return Math.round(((b![0] - inner - (a![1] + inner) + 2) % 1) * count)
    }
    expect(between(120)).toBe(0)
    expect(between(121)).toBeLessThanOrEqual(1)
  })

  it('grow three side by side from front to back, each opposite its own foot', () => {
    const three = fitted({ ...grown, over: 'faces', number: 3 } as WallSpec)
    expect(three.pieces!.map(({ id }) => id)).toEqual(['strap-1', 'strap-2', 'strap-3'])
    // On 120 a third of a face is 20 stitches: middles at 10, 30 and 50 of the front, at 110, 90 and 70 of the round.
    const middles = three.handles!.map(({ feet }) => feet.map(way => Math.round(way * 120)))
    for (const [i, [front, back]] of middles.entries()) {
      expect(Math.abs(front! - [10, 30, 50][i]!)).toBeLessThanOrEqual(1)
      expect(Math.abs(back! - [110, 90, 70][i]!)).toBeLessThanOrEqual(1)
    }
    expect(fitted({ ...grown, over: 'faces', number: 8, foot: 9 } as WallSpec, 120).findings[0]!.code).toBe('straps-too-wide')
  })

  it('take their feet and their width in centimetres: 3 cm are six stitches of half a centimetre', () => {
    const [piece] = fitted({ ...grown, footCm: 3, wideCm: 2 } as WallSpec).pieces!
    expect(piece!.rows[0]!.on.count).toBe(6)
    expect(Math.min(...piece!.rows.map(({ edge }) => edge.count))).toBe(4)
    // Rows side by side run along the strap: their height counts.
    expect(fitted({ ...sewn, wideCm: 4 } as WallSpec).pieces![0]!.rows).toHaveLength(8)
  })

  it('go on from the rim without cutting, or grow from the other side', () => {
    const [on] = fitted({ ...grown, goesOn: true } as WallSpec).pieces!
    expect(on!.lead).toContain('Do not cut the yarn')
    expect(on!.goesOn).toBe(true)
    const leads = (['near', 'far'] as const).map(from => fitted({ ...grown, from } as WallSpec).pieces![0]!.lead)
    expect(leads[0]).not.toBe(leads[1])
  })
})

describe('a tab (craft 10; common practice, no source)', () => {
  const tab = { kind: 'tab', buttonCm: 2, lengthCm: 8, wide: 9, stitch: 'sc', colour: 'main' } as const

  it('has its buttonhole in any row, the last one too', () => {
    const rows = (holeRow: number) => fitted({ ...tab, holeRow } as WallSpec).pieces![0]!.rows
    const holed = (holeRow: number) => rows(holeRow).findIndex(({ edge }) => [...edge.chains].some(chains => chains > 0)) + 1
    expect([3, 9, 16].map(holed)).toEqual([3, 9, 16])
    expect(rows(16).at(-1)!.edge.count).toBe(6)
  })

  it('may chain more than it skips, and stays as wide', () => {
    const { rows } = fitted({ ...tab, holeMore: 2 } as WallSpec).pieces![0]!
    expect(Math.max(...rows.flatMap(({ edge }) => [...edge.chains]))).toBe(6)
    expect(rows.at(-1)!.edge.count).toBe(9)
  })

  it('worked on its own begins with a chain, is longer by what lies on the bag, and is sewn on', () => {
    const [own] = fitted({ ...tab, made: 'separate', onBagCm: 2 } as WallSpec).pieces!
    expect(own!.start).toMatchObject({ kind: 'foundation-chain', chains: 10 })
    expect(own!.rows).toHaveLength(20)
    expect(own!.finish[0]).toContain('inside the back')
  })
})
