import { describe, expect, it } from 'vitest'
import { gaugeOf } from '../../things/gauge/gauge'
import { fromNothing } from '../part/part'
import { placesOf } from '../../things/round/edge'
import { kindAt } from '../../things/round/workedRound'
import { workMotif } from './motif'
import type { MotifBand } from './kinds'

/* Half a centimetre wide and half a centimetre tall a single crochet; dc twice as tall (craft 4; from memory); chains as long. */
const gauge = gaugeOf({ hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } })
const setting = fromNothing(gauge, { style: 'joined', startingChainCounts: false })
const ring = { kind: 'disc', stitch: 'dc', rounds: 1, grows: 12, colour: 'main' }
const net = { kind: 'net', rounds: 5, chains: 5, skip: 0, longer: 0, more: 0, colour: 'main' }
const fans = { kind: 'fans', stitch: 'dc', stitches: 5, open: false, between: true, colour: 'main' }
const motif = (...bands: object[]) => workMotif(bands as MotifBand[], setting)
const loops = ({ rounds }: ReturnType<typeof motif>) => rounds.map(({ edge }) => placesOf(edge, 'space'))

describe('a motif (craft 5, craft 8; common practice, no source)', () => {
  it('grows its loops by two thirds over four rounds: 12, then two more in each, 20', () => {
    expect(loops(motif(ring, { ...net, more: 2 }))).toEqual([0, 12, 14, 16, 18, 20])
    expect(loops(motif(ring, { ...net, longer: 1 }))).toEqual([0, 12, 12, 12, 12, 12])
    const longer = motif(ring, { ...net, longer: 1 }).rounds.slice(1)
    expect(longer.map(({ edge }) => Math.max(...edge.chains))).toEqual([5, 6, 7, 8, 9])
  })

  it('spreads the loops that have two in them: no two gaps between them differ by more than one', () => {
    const { rounds } = motif(ring, { ...net, rounds: 2, more: 5 })
    const { edge, aims } = rounds.at(-1)!
    const same = [...aims].flatMap((aim, i) => (aim === 4 && kindAt(rounds.at(-1)!, i) === 'sc' ? [edge.from[i]!] : []))
    expect(same).toHaveLength(5)
    expect(placesOf(edge, 'space')).toBe(17)
  })

  it('lies as far out as its loops are spread wide: half a loop and half its share of the circle, by Pythagoras', () => {
    const { rises, radiusCm } = motif(ring, { ...net, rounds: 1 })
    const [, rise] = rises
    // On a circle of radius 1 + rise each of twelve loops is 2π(1 + rise) / 12 wide; 2.5 cm long, half of it is the long side.
    const spread = (2 * Math.PI * (1 + rise!)) / 12
    expect(rise! ** 2 + (spread / 2) ** 2).toBeCloseTo(1.25 ** 2, 2)
    expect(radiusCm).toBeCloseTo(1 + rise!, 9)
  })

  it('works a fan in each loop, solid or open, with a single in each single between', () => {
    const solid = motif(ring, { ...net, rounds: 1 }, fans).rounds.at(-1)!
    expect(solid.edge.count).toBe(12 * 5 + 12)
    const open = motif(ring, { ...net, rounds: 1 }, { ...fans, open: true, between: false }).rounds.at(-1)!
    expect([placesOf(open.edge, 'stitch'), placesOf(open.edge, 'space')]).toEqual([60, 48])
  })

  it('evens out a round of fans: to as many stitches as lie flat so far out', () => {
    const made = motif(ring, { ...net, rounds: 1 }, fans, { kind: 'disc', stitch: 'sc', rounds: 1, grows: 'by-gauge', colour: 'main' })
    expect(made.findings).toEqual([])
    expect(made.edge.count * 0.5).toBeCloseTo(2 * Math.PI * made.radiusCm, 0)
  })

  it('lies flat as a disc by gauge: from the third on every round is as long as its circle, within half a stitch', () => {
    const { rounds } = motif({ kind: 'disc', stitch: 'sc', rounds: 10, grows: 'by-gauge', colour: 'main' })
    const off = rounds.slice(2).map(({ edge }, i) => Math.abs(edge.count * 0.5 - 2 * Math.PI * (i + 3) * 0.5))
    expect(Math.max(...off)).toBeLessThanOrEqual(0.25 + 1e-9)
  })

  it('takes a repeat of the maker\'s own where it divides, and says where it does not', () => {
    const repeats = [{ id: 'own-1', name: 'spokes', lines: ['dc in next, ch 1, sk next st', 'dc in next, ch 1, sk next ch-sp'] }]
    const own = (grows: number) => workMotif([
      { kind: 'disc', stitch: 'sc', rounds: 1, grows, colour: 'main' }, { kind: 'own', repeat: 'own-1', rounds: 2, colour: 'main' },
    ] as unknown as MotifBand[], { ...setting, repeats })
    expect(own(12).rounds.map(({ edge }) => edge.count)).toEqual([12, 12, 12])
    expect(own(12).radiusCm).toBeCloseTo(0.5 + 2 * 1, 9)
    expect(own(11).findings.map(({ code }) => code)).toContain('does-not-divide')
  })

  it('says what it cannot be: loops in a ring, fans on stitches, and what will not lie flat', () => {
    expect(motif(net).findings[0]).toMatchObject({ code: 'motif-begins', weight: 'stop' })
    expect(motif(ring, fans).findings[0]).toMatchObject({ code: 'fans-on-loops', weight: 'stop' })
    expect(motif(ring, { ...net, rounds: 9 }).findings[0]).toMatchObject({ code: 'loops-tight', weight: 'watch' })
    expect(motif(ring, { ...ring, rounds: 3, grows: 24 }).findings.map(({ code }) => code)).toEqual(['motif-ruffles'])
  })
})
