import { describe, expect, it } from 'vitest'
import type { Design } from '../../bag/design/design'
import { stacked } from '../../bag/design/partIds'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import type { Rounds } from '../../things/round/style'
import type { WallSpec } from '../../parts/wall/wall'
import { yarnNeeds } from '../../bag/yarn/yarn'
import { patternOf, roundLines } from './pattern'

/*
 * A bag whose parts go round in ways of their own (craft 2; common practice, no source). Every count here is 24, by hand.
 */

const gauge: Design['gauge'] = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const plain = (goes?: Rounds, rounds = 2): WallSpec =>
  ({ kind: 'solid', stitch: 'sc', size: { pin: { rounds } }, colour: 'main', ...(goes ? { goes } : {}) })
const bag = (wall: readonly WallSpec[], rounds: Rounds = { style: 'joined', startingChainCounts: false }): Design => ({
  ...newDesign('Mixed'), gauge, rounds, turnUp: 'plain', wall: stacked(wall),
  base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 24 } }, colour: 'main' },
})
const words = (design: Design) => roundLines(draft(design), 'us').slice(1).map(({ words: said }) => said)
const SPIRAL: Rounds = { style: 'spiral', startingChainCounts: false }
const TURNED: Rounds = { style: 'turned', startingChainCounts: false }

describe('parts that go round in ways of their own', () => {
  it('from a joined floor to a spiral wall the first stitch goes where the join is, without a chain', () => {
    expect(words(bag([plain(SPIRAL)]))).toEqual(['Beg in same st as join: sc in each st around', 'Sc in each st around'])
  })

  it('from a spiral to joined rounds the step is evened by a slip stitch, and the first stitch goes into the same', () => {
    const [, , evened, next] = words(bag([plain(SPIRAL), plain({ style: 'joined', startingChainCounts: false })]))
    expect(evened).toBe(
      'Sl st in next st to even the step; ch 1; beg in same st as this sl st: sc in each st around; join with sl st to first sc',
    )
    expect(next).toBe('Ch 1; beg in same st as join: sc in each st around; join with sl st to first sc')
  })

  it('turned rounds begin where the join is, or past it: both schools, both 24', () => {
    const lines = (firstStitch: Rounds['firstStitch']) => roundLines(draft(bag([plain({ ...TURNED, firstStitch: firstStitch! })])),
      'us').slice(1)
    expect(lines('joined').map(line => line.words.split(':')[0])).toEqual(Array(2).fill('Ch 1, turn; beg in same st as join'))
    expect(lines('last').map(line => line.words.split(':')[0])).toEqual(Array(2).fill('Ch 1, turn; beg in last st of the round before'))
    for (const school of ['joined', 'last'] as const) expect(lines(school).map(({ count }) => count)).toEqual(['(24 sts)', '(24 sts)'])
  })

  it('past the join every stitch stands on the one made last, and on the join\'s own at the end', () => {
    const [, first] = draft(bag([plain({ ...TURNED, firstStitch: 'last' }, 1)])).rounds
    expect([...first!.worked.edge.from]).toEqual(Array.from({ length: 24 }, (_, i) => 23 - i))
    const [, other] = draft(bag([plain(TURNED, 1)])).rounds
    expect([...other!.worked.edge.from]).toEqual([0, ...Array.from({ length: 23 }, (_, i) => 23 - i)])
  })

  it('turning begins with the part, or after some of its rounds; going on unturned over a wrong side turns once', () => {
    const sides = (...wall: WallSpec[]) =>
      draft(bag(wall)).rounds.slice(1).map(({ worked: { round: { facing, begin } } }) => `${facing}${begin.turn ? ' turned' : ''}`)
    expect(sides(plain(TURNED))).toEqual(['wrong turned', 'right turned'])
    expect(sides(plain({ ...TURNED, turnsAfter: 1 }, 3))).toEqual(['right', 'wrong turned', 'right turned'])
    expect(sides(plain(TURNED, 1), plain(undefined, 2))).toEqual(['wrong turned', 'right turned', 'right'])
  })

  it('a starting chain counts in tall stitches alone, by the usual custom: 3 chains are a dc, 1 is never an sc', () => {
    const [sc, dc] = words(bag([plain(), { ...plain(), stitch: 'dc', size: { pin: { rounds: 1 } } } as WallSpec].map(spec =>
      ({ ...spec, size: { pin: { rounds: 1 } } }) as WallSpec), { style: 'joined', startingChainCounts: 'tall' }))
    expect(sc).toMatch(/^Ch 1 \(does not count\); beg in same st as join: sc in each st around/)
    expect(dc).toMatch(/^Ch 3 \(counts as first dc\); dc in next 23 sts/)
  })

  it('so many chains at the start whatever the stitch, where the loop is drawn up', () => {
    const [dc] = words(bag([{ ...plain({ style: 'joined', startingChainCounts: false, startingChains: 1 }), stitch: 'dc' } as WallSpec]))
    expect(dc).toMatch(/^Ch 1; beg in same st as join: dc/)
  })

  it('a texture that is not the same both ways stands in the same columns in both schools, and wherever turning begins', () => {
    const rib = (goes: Rounds): WallSpec => ({ kind: 'rib', stitch: 'hdc', front: 2, back: 1, size: { pin: { rounds: 4 } },
      colour: 'main', goes })
    for (const goes of [TURNED, { ...TURNED, firstStitch: 'last' }, { ...TURNED, turnsAfter: 1 }] as const) {
      const { rounds } = draft(bag([plain(), rib(goes)]))
      const ribbed = rounds.slice(-4).map(({ worked }) => worked)
      // What stands out on the right side: FP worked from there, BP from behind; followed down to where it stands in the first round.
      const columns = ribbed.map(({ loops, round, edge }, r) => {
        const out = [...loops].map(loop => (loop === 4) === (round.facing === 'right'))
        let at = Array.from({ length: edge.count }, (_, i) => i)
        for (let below = r; below > 0; below--) at = at.map(place => ribbed[below]!.edge.from[place]!)
        return [...at.keys()].sort((a, b) => at[a]! - at[b]!).map(place => out[place])
      })
      for (const column of columns) expect(column, JSON.stringify(goes)).toEqual(columns[0])
      expect(columns[0]!.filter(Boolean)).toHaveLength(16)
    }
  })

  it('says in the pattern where it goes on otherwise, and with which hook and how many strands', () => {
    const { sections } = patternOf(draft(bag([{ ...plain(SPIRAL), hook: { hookMm: 5, strands: 2 } } as WallSpec, plain()])), 'us')
    expect(sections[1]!.advice.join(' ')).toBe(
      'From here on work in a spiral: do not join, put a marker in the first stitch of each round and move it up. '
      + 'Change to the 5 mm (US H-8, UK 6) hook. Go on with 2 strands held together.',
    )
    expect(sections[2]!.advice.join(' ')).toContain('From here on join each round, with the right side facing. Even the step of the spiral')
    expect(sections[2]!.advice.join(' ')).toContain('Change to the 4 mm')
  })
})

describe('a part on a hook of its own', () => {
  it('is taken to be as much larger as the hook is thicker, and in more doubt; two strands take twice the yarn: by hand', () => {
    const sizes = (hook?: { hookMm: number, strands: number }) =>
      draft(bag([plain(undefined, 20), { ...plain(undefined, 20), ...(hook ? { hook } : {}) } as WallSpec])).parts.at(-1)!.size
    // 24 sc of 0.5 cm are 12 round, 20 rounds of 0.5 cm are 10 tall; on 5 mm instead of 4 a quarter more.
    expect(sizes().circumference.cm).toBeCloseTo(12, 9)
    expect(sizes({ hookMm: 5, strands: 1 }).circumference.cm).toBeCloseTo(15, 9)
    expect(sizes({ hookMm: 5, strands: 1 }).height.cm).toBeCloseTo(12.5, 9)
    expect(sizes({ hookMm: 5, strands: 1 }).height.plusMinusCm / 12.5).toBeGreaterThan(0.15)
    const metres = (hook?: { hookMm: number, strands: number }) =>
      yarnNeeds(draft(bag([{ ...plain(undefined, 20), ...(hook ? { hook } : {}) } as WallSpec])))[0]!.metres
    const added = metres({ hookMm: 4, strands: 2 }) - metres()
    // 20 rounds of 24 sc at 7.5 widths of 0.5 cm, a join of 3 widths and a starting chain of 3.5 each: 18.65 m more.
    expect(added).toBeCloseTo((20 * (24 * 7.5 + 3 + 3.5) * 0.5) / 100, 6)
  })
})
