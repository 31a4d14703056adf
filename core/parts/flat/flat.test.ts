import { describe, expect, it } from 'vitest'
import { gaugeOf } from '../../things/gauge/gauge'
import { fromNothing } from '../part/part'
import { foundation } from '../../things/round/edge'
import type { Rounds } from '../../things/round/style'
import { kindAt } from '../../things/round/workedRound'
import { acrossShare, asksOfBands, countNear, workFlat } from './flat'
import { beginBand, FLAT_KINDS, type FlatBand } from './kinds'
import { edgingOf } from './edging'
import { rowEndWords } from './seams'

/* Half a centimetre wide and half a centimetre tall a single crochet; dc twice as tall (craft 4; from memory). */
const gauge = gaugeOf({ hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } })
const rounds: Rounds = { style: 'joined', startingChainCounts: false }
const REPEATS = [{ id: 'own-1', name: 'steps', lines: ['sc in next, *ch 1, sk next st, sc in next; rep from * around',
  'sc in next, *ch 1, sk next ch-sp, sc in next; rep from * around'] }]
const setting = fromNothing(gauge, rounds, REPEATS)
const keeps = { stitch: 'sc', size: { pin: { rounds: 6 } }, yarn: { colour: 'main' }, repeats: REPEATS, aroundCm: 40 } as const
const band = (name: string, more: object = {}): FlatBand => ({ ...beginBand(name, keeps), size: { pin: { rounds: 6 } }, ...more })

function piece(bands: readonly FlatBand[], wanted: number, until?: Parameters<typeof workFlat>[4]) {
  const found = asksOfBands(bands, REPEATS)
  if ('trouble' in found) throw new Error(found.trouble)
  const wide = countNear(wanted, found.asks)
  return { wide, ...workFlat(bands, foundation('chain', wide, false), setting, { below: 0 }, until) }
}

describe('bands to and fro', () => {
  it.each(FLAT_KINDS.map(({ kind: name }) => name))('%s comes out row upon row on every count that it asks for', (name) => {
    for (const wanted of [9, 14, 23, 30]) {
      const { rows, findings } = piece([band(name)], wanted)
      expect(findings.filter(({ weight }) => weight === 'stop')).toEqual([])
      expect(rows.length).toBeGreaterThanOrEqual(6)
      expect(rows.every(({ round }, i) => round.join === 'open' && round.begin.turn === (i > 0))).toBe(true)
      expect(rows.map(({ round: { facing } }) => facing === 'right')).toEqual(rows.map((_, i) => i % 2 === 0))
    }
  })

  it('keeps its count where it is told to: six rows of boxes on 15 are seven boxes between eight doubles', () => {
    const { wide, rows, edge } = piece([band('boxes', { chains: 1, finish: false })], 15)
    expect(wide).toBe(15)
    expect(edge.count).toBe(15)
    expect([...rows[3]!.stitches].filter((_, i) => kindAt(rows[3]!, i) === 'dc')).toHaveLength(8)
  })

  it('ends loops on whole ones: 25 stitches with three passed are six loops, closed off to 25 again', () => {
    const bare = piece([band('loop-rows', { chains: 5, skip: 3, finish: false })], 25)
    expect(bare.wide).toBe(25)
    expect(bare.rows).toHaveLength(7)
    expect([...bare.edge.chains].filter(chains => chains > 0)).toEqual([5, 5, 5, 5, 5, 5])
    const closed = piece([band('loop-rows', { chains: 5, skip: 3, finish: true })], 25)
    expect(closed.edge.count).toBe(25)
    // Five chains are 2.5 cm, spread over four stitches, 2 cm: each row rises sqrt(1.25² - 1²) = 0.75 cm, by Pythagoras.
    expect(closed.height.cm).toBeCloseTo(7 * 0.75 + 0.5, 9)
  })

  it('gets narrower by two in every so many rows: 30 stitches, 12 rows, one in four changed, leave 24', () => {
    const { edge, rows } = piece([band('narrow', { size: { pin: { rounds: 12 } }, every: 4 })], 30)
    expect(edge.count).toBe(24)
    expect(rows.map(({ edge: { count } }) => count)).toEqual([30, 30, 30, 28, 28, 28, 28, 26, 26, 26, 26, 24])
    expect(piece([band('narrow', { size: { pin: { rounds: 40 } }, every: 1 })], 30).findings[0]!.code).toBe('narrowed-away')
  })

  it('is stacked: what stands on it goes on to and fro, and the last band until it is as tall as asked', () => {
    const { rows, height, rises } = piece([band('solid'), band('boxes', { finish: true }), band('solid')], 21, { heightCm: 20 })
    expect(height.cm).toBeCloseTo(20, 0)
    expect(rises.reduce((sum, cm) => sum + cm, 0)).toBeCloseTo(height.cm, 9)
    expect(rows.map(({ round: { begin } }) => begin.turn)).toEqual(rows.map((_, i) => i > 0))
  })

  it('says which bands no count does for: boxes over two and one more on sprigs over three and one more go together over six', () => {
    expect(asksOfBands([band('sprigs'), band('boxes', { chains: 1 })], [])).toMatchObject({ asks: { multiple: 6, plus: 1 } })
    expect(asksOfBands([band('boxes', { chains: 1 }), band('pairs')], [])).toMatchObject({ trouble: expect.stringContaining('Band 2') })
  })

  it('takes a repeat of the maker\'s own row by row as it is written', () => {
    const { rows, wide } = piece([band('own', { repeat: 'own-1' })], 15)
    expect(wide % 2).toBe(1)
    expect(rows.every(({ edge: { count } }) => count === wide)).toBe(true)
  })
})

describe('seams and edgings', () => {
  it('tells what goes into row ends: all alike, over and over, or run by run', () => {
    expect(rowEndWords([2, 2, 2])).toContain('2 into each of the {3 row end|row ends}')
    expect(rowEndWords([1, 1, 3, 1, 1, 3])).toContain('1, 1, 3 into the row ends of each 3 rows, over and over up all 6')
    expect(rowEndWords([1, 1, 1, 2, 2])).toContain('1 into each of the next 3 row ends, 2 into each of the next 2 row ends')
  })

  it('goes about a piece of 10 stitches and 12 rows of sc: 44 and one more in each of four corners; eight more in the second round', () => {
    const { rows } = piece([band('solid', { size: { pin: { rounds: 12 } } })], 10)
    const strap = {
      id: 'strap', name: 'Strap', times: 1, start: { kind: 'chain', chains: 0 }, rows, lengthCm: 6, widthCm: 5, along: false,
      colour: 'main', advice: [], finish: [],
    } as const
    const about = edgingOf(strap, 10, { along: 'all', rounds: 2, corner: 3 }, gauge)
    expect(about.rows.map(({ edge: { count } }) => count)).toEqual([44 + 4 * 2, 44 + 8 * 2])
    const along = edgingOf(strap, 10, { along: 'long', rounds: 1, corner: 2 }, gauge)
    expect([along.rows[0]!.edge.count, along.times]).toEqual([12, 2])
  })
})

describe('a band of which a swatch was made', () => {
  // By hand: 6 repeats of three over 9 cm are 1.5 cm each, 10 rows over 9.5 cm 0.95 cm each.
  const swatch = { across: 6, countedIn: 'repeats', overCm: 9, rounds: 10, tallCm: 9.5 } as const

  it('is as tall and as wide as that says, and surer than one that nobody measured', () => {
    const known = piece([band('sprigs', { size: { pin: { rounds: 10 } }, swatch })], 30)
    const guessed = piece([band('sprigs', { size: { pin: { rounds: 10 } } })], 30)
    expect(known.height.cm).toBeCloseTo(9.5, 6)
    expect(known.rises.reduce((sum, cm) => sum + cm, 0)).toBeCloseTo(9.5, 6)
    expect(known.width.cm).toBeCloseTo(guessed.width.cm, 6)
    expect(known.height.plusMinusCm / known.height.cm).toBeLessThan(0.06)
    expect(guessed.height.plusMinusCm / guessed.height.cm).toBeGreaterThan(0.15)
    expect(known.findings).toEqual([])
    expect(guessed.findings.map(({ code }) => code)).toEqual(['texture-estimated'])
  })

  it('takes the rows that a wanted height needs: 19 cm are twenty of them', () => {
    expect(piece([band('sprigs', { size: { want: { heightCm: 19 } }, swatch })], 30).rows).toHaveLength(20)
  })

  it('makes the piece wider than its stitches say: a third, if ten repeats go 20 cm', () => {
    const wide = { ...swatch, across: 10, overCm: 20 }
    expect(acrossShare([band('solid'), band('sprigs', { swatch: wide })], setting)).toBeCloseTo(4 / 3, 9)
    expect(acrossShare([band('solid'), band('moss')], setting)).toBe(1)
  })
})
