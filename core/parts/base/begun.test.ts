import { describe, expect, it } from 'vitest'
import type { Design } from '../../bag/design/design'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { LOOPS } from '../../things/round/step'
import { kindAt } from '../../things/round/workedRound'
import { yarnNeeds } from '../../bag/yarn/yarn'
import { roundLines } from '../../readers/words/pattern'
import { mismatches } from '../../../tests/oracle/atWork'

/* Half a centimetre wide and half a centimetre tall a single crochet; hdc 1.4 and dc 2 times as tall (craft 4; from memory). */
const gauge: Design['gauge'] = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const bag = (base: object): Design =>
  ({ ...newDesign('Begun'), gauge, turnUp: 'plain', wall: [], base: { colour: 'main', stitch: 'sc', ...base } }) as unknown as Design
const base = (spec: object) => draft(bag(spec)).parts[0]!
const counts = (spec: object) => base(spec).rounds.map(({ edge }) => edge.count)
const oval = {
  form: 'oval', size: { pin: { sideStitches: 10, rounds: 3 } }, perEnd: 4, start: 'chain', placing: 'stacked', increaseAt: 'last',
}

describe('how an oval\'s ends begin and grow (craft 5; common practice, no source)', () => {
  it.each(['one', 'half', 'whole'])('%s at the near end first: the same count, whichever way', (nearEnd) => {
    // 2 · 10 + 8 a round, by the handbook's rule.
    expect(counts({ ...oval, nearEnd })).toEqual([28, 36, 44])
  })

  it('says the near end whole at the start, or the rest of it at the end', () => {
    const words = (nearEnd: string) => roundLines(draft(bag({ ...oval, nearEnd })), 'us')[0]!.words
    expect(words('one')).toContain('3 sc in same ch as the first st')
    expect(words('half')).toContain('2 sc in same ch as the first st')
    expect(words('whole')).not.toContain('same ch as the first')
  })

  it('may have another far end, and single increases later: 10 and 10, 4 and 6, then one at each end', () => {
    expect(counts({ ...oval, farEnd: 6, laterBy: 1 })).toEqual([30, 32, 34])
    const { rounds: [, second] } = base({ ...oval, laterBy: 1 })
    const doubled = [...second!.edge.from].filter((from, i, all) => i > 0 && from === all[i - 1])
    expect(doubled).toHaveLength(2)
  })

  it('may have a foundation for its first side: 10 stitches of it, and the round goes on along what they stand on', () => {
    const made = draft(bag({ ...oval, start: 'foundation-side' }))
    expect(made.parts[0]!.rounds.map(({ edge }) => edge.count)).toEqual([28, 36, 44])
    expect(roundLines(made, 'us')[0]!.words).toBe('10 foundation sc, 4 sc in last ch, sc in next 10 chs along the underside of the ch, '
      + '4 sc in same ch as the first st; join with sl st to first sc')
    expect(made.start).toMatchObject({ kind: 'foundation-side', chains: 2 })
    expect(mismatches(made, 'us', 'brackets', 0).found).toEqual([])
    // No row of its own: it is as wide as three rounds either way.
    expect(made.sizes.floor.width.cm).toBeCloseTo(3, 9)
  })

  it('in a boat too: 2 · 20 and two ends of 3, then two more in each of three rounds', () => {
    expect(counts({ form: 'boat', size: { pin: { sideStitches: 20 } }, perEnd: 3, widening: 3 })).toEqual([46, 48, 50, 52])
    expect(base({ form: 'boat', size: { pin: { sideStitches: 20 } }, perEnd: 3, widening: 3 }).size.height.cm).toBeCloseTo(2, 9)
  })
})

describe('how a double disc is joined', () => {
  const discs = { form: 'double-disc', size: { pin: { rounds: 4 } }, increases: 6, start: 'ring', placing: 'stacked', increaseAt: 'last' }

  it('in a stitch of its own, through the back loop of the near disc and both loops of the far one', () => {
    const { rounds, size } = base({ ...discs, joinedIn: 'hdc', through: 'backAndFar' })
    const last = rounds.at(-1)!
    expect([kindAt(last, 0), LOOPS[last.loops[0]!]]).toEqual(['hdc', 'backAndFar'])
    expect(size.height.cm).toBeCloseTo(0.7, 9)
    const words = roundLines(draft(bag({ ...discs, joinedIn: 'hdc', through: 'backAndFar' })), 'us').at(-1)!.words
    expect(words).toContain('hdc in back loop of the near and both loops of the far layer at each st around')
  })
})

describe('a round about rows', () => {
  const rows = { form: 'rectangle', size: { pin: { stitches: 20, rows: 6 } }, rowEnds: 'one-each', corners: 'none' }

  it('may begin along any side: the same stitches, met in another order', () => {
    const kinds = (firstSide: string) => [...base({ ...rows, firstSide }).rounds.at(-1)!.on.kinds]
    const [row, ends, underside, far] = ['last-row', 'row-ends', 'underside', 'far-ends'].map(kinds)
    expect([...ends!.slice(-20), ...ends!.slice(0, -20)]).toEqual(row)
    expect([...underside!.slice(-26), ...underside!.slice(0, -26)]).toEqual(row)
    expect([...far!.slice(-46), ...far!.slice(0, -46)]).toEqual(row)
    expect(counts({ ...rows, firstSide: 'underside' }).at(-1)).toBe(52)
  })

  it('folds at the middles of its short sides all the same', () => {
    const [a, b] = ['last-row', 'row-ends'].map(firstSide => base({ ...rows, firstSide }).edge.sides)
    expect([(a![0] - 20 + 52) % 52, (a![1] - 20 + 52) % 52].sort((x, y) => x - y)).toEqual([...b!].sort((x, y) => x - y))
  })
})

describe('a floor of different stitches, or on another hook', () => {
  it('is as wide as its rounds reach: five of sc, then one of dc, 2 · (2.5 + 1) cm', () => {
    const disc = (stitch: string, rounds: number) => ({ kind: 'disc', stitch, rounds, grows: 'by-gauge', colour: 'main' })
    const { size, rounds, edge } = base({ form: 'banded', bands: [disc('sc', 5), disc('dc', 1)] })
    expect(size.floor!.length.cm).toBeCloseTo(7, 9)
    expect(kindAt(rounds.at(-1)!, 3)).toBe('dc')
    expect(edge.count * 0.5).toBeCloseTo(2 * Math.PI * 3.5, 0)
  })

  it('worked on a hook a quarter thicker is a quarter wider, and takes as much more yarn', () => {
    const round = { form: 'circle', size: { pin: { rounds: 8 } }, increases: 6, start: 'ring', placing: 'stacked', increaseAt: 'last' }
    const [own, thick] = [round, { ...round, hook: { hookMm: 5, strands: 1 } }]
    expect(base(thick).size.floor!.length.cm).toBeCloseTo(1.25 * base(own).size.floor!.length.cm, 6)
    expect(yarnNeeds(draft(bag(thick)))[0]!.metres).toBeGreaterThan(yarnNeeds(draft(bag(own)))[0]!.metres)
  })
})
