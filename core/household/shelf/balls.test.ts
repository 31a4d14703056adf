import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { stacked } from '../../bag/design/partIds'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import type { WallSpec } from '../../parts/wall/wall'
import { ballOrder, bearingRounds } from './ballOrder'
import { ballOrderWords } from './ballOrderWords'
import type { Rate } from './yarnUse'
import { StandIn } from './standInScales'
import type { Ball } from './yarn'

const SURE: Rate = { gramsPerMetre: 0.4, spread: 1e-9 }

/* A tube of 60 sc of half a centimetre: 2.25 m, 0.9 g a round; and slots, which bear. */
const slots: WallSpec = {
  kind: 'slots', number: 2, width: { pin: { stitches: 10 } }, chains: { pin: { chains: 14 } }, into: 'chains', corners: 0, rounds: 2,
  stitch: 'sc', nudge: 0, colour: 'main',
} as unknown as WallSpec
const bag = (...wall: WallSpec[]) => draft({
  ...newDesign('Tube'), rounds: { style: 'spiral', startingChainCounts: false }, turnUp: 'plain',
  gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } },
  base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 60 } }, colour: 'main' }, wall: stacked(wall),
})
const band = (rounds: number): WallSpec => ({ kind: 'solid', stitch: 'sc', size: { pin: { rounds } }, colour: 'main' })
const grams = (uses: readonly { readonly ball: Ball }[]) => uses.map(({ ball }) => ball.grams)

describe('the order of balls, by hand', () => {
  // 41 rounds are 36.9 g, the ends 0.12. 9 g are ten rounds; 30 g more than are left.
  it('takes what is begun first, and says how far each goes', () => {
    const found = ballOrder(bag(band(40)), 'main', [{ grams: 30 }, { grams: 9 }], SURE)!
    expect(grams(found.uses)).toEqual([9, 30])
    expect(found.uses[0]!.from).toBe(0)
    expect(found.uses[0]!.to).toBeCloseTo(10, 9)
    expect(found.enough).toBe(true)
    expect(ballOrderWords(found, 41)[0]).toMatch(/^\{9 g\}: rounds 1 to about 1[01]-1[01]$/)
  })

  it('needs no ball that is too much, and says where all are not enough', () => {
    // One ball makes it without a join.
    const one = ballOrder(bag(band(40)), 'main', [{ grams: 19 }, { grams: 40 }, { grams: 20 }], SURE)!
    expect([grams(one.uses), one.spare.length]).toEqual([[40], 2])
    expect(ballOrderWords(one, 41)).toContain('Not needed: {19 g}; {20 g}')
    // 37 g of 37.02 last in half of all bags: the others are not put away.
    const close = ballOrder(bag(band(40)), 'main', [{ grams: 37.02 }, { grams: 20 }], { ...SURE, spread: 0.1 })!
    expect(ballOrderWords(close, 41)).toEqual([
      expect.stringContaining('37 g'), expect.stringMatching(/^Keep within reach, for it may be needed \(50 %\): \{20 g\}/),
    ])
    const short = ballOrder(bag(band(40)), 'main', [{ grams: 10 }, { grams: 8 }], SURE)!
    expect(short.enough).toBe(false)
    expect(ballOrderWords(short, 41)).toContain('All of them are not enough.')
  })

  it('has nothing to say of one ball', () => {
    expect(ballOrder(bag(band(4)), 'main', [{ grams: 40 }, { grams: 0 }], SURE)).toBeUndefined()
  })

  // Smallest first the 20 g end after round 22, on the slots' own rounds 22 to 24; the other way about the 24 g end above them.
  it('keeps joins away from rounds that bear', () => {
    const drafted = bag(band(20), slots, band(20))
    const bearing = bearingRounds(drafted)
    expect([...bearing].sort((a, b) => a - b)[0]).toBe(21)
    const found = ballOrder(drafted, 'main', [{ grams: 20 }, { grams: 26 }], SURE)!
    expect(grams(found.uses)).toEqual([26, 20])
    expect(found.badJoins).toBe(0)
  })

  it('changes the dye lot where it does not show, or not at all', () => {
    const balls = [{ grams: 13, lot: 'A' }, { grams: 13, lot: 'B' }, { grams: 13, lot: 'A' }]
    const found = ballOrder(bag(band(40)), 'main', balls, SURE)!
    expect(found.lotChanges).toBe(1)
    expect(ballOrderWords(found, 41).join(' ')).toContain('work two rounds of each in turn')
  })
})

describe('a change of dye lot', () => {
  // A floor of twelve rounds of 6 more each: 468 stitches, about 7 g; the wall of 72 stitches a round 1.08 g.
  const floored = draft({
    ...newDesign('Bag'), rounds: { style: 'spiral', startingChainCounts: false }, turnUp: 'plain',
    gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } },
    base: { ...newDesign('Bag').base, size: { pin: { rounds: 12 } } } as never, wall: stacked([band(10)]),
  })
  const floor = floored.parts[0]!.rounds.length
  const first = (grams: number) => {
    const found = ballOrder(floored, 'main', [{ grams, lot: 'A' }, { grams: 17.9, lot: 'B' }], SURE)!
    const at = found.uses[1]!.from
    return { at, lotChanges: found.lotChanges }
  }

  it('counts where it shows, in the wall, and not in the floor', () => {
    const [low, high] = [first(3), first(12)]
    expect(low.at).toBeLessThan(floor)
    expect(low.lotChanges).toBe(0)
    expect(high.at).toBeGreaterThan(floor)
    expect(high.lotChanges).toBe(1)
  })
})

describe('the order of balls, whatever they are', () => {
  const someBalls = fc.array(
    fc.record({ grams: fc.integer({ min: 1, max: 30 }), lot: fc.constantFrom('A', 'B') }), { minLength: 2, maxLength: 9 },
  )
  it('uses each ball once, one after the other, and no more than it weighs', () => {
    const drafted = bag(band(12), slots, band(8))
    fc.assert(fc.property(someBalls, (balls) => {
      const found = ballOrder(drafted, 'main', balls, SURE)!
      expect([...grams(found.uses), ...found.spare.map(ball => ball.grams)].sort((a, b) => a - b))
        .toEqual(balls.map(ball => ball.grams).sort((a, b) => a - b))
      let at = 0
      for (const { from, to } of found.uses) {
        expect(from).toBeCloseTo(at, 6)
        expect(to).toBeGreaterThanOrEqual(from)
        at = to
      }
      expect(found.enough).toBe(at >= drafted.rounds.length - 1e-6)
    }), { numRuns: 40, seed: 5 })
  })
})

describe('scales that stand in', () => {
  it('come to what lies on them within two seconds of ten readings each, to the gram, and say when they have settled', () => {
    for (const load of [0, 3.4, 42, 349.6, 5000]) {
      const scales = new StandIn(load + 1)
      scales.put(load)
      const readings = Array.from({ length: 40 }, () => scales.moment())
      const settled = readings.findIndex(one => one.settled)
      expect(settled).toBeLessThan(30)
      for (const one of readings.slice(settled)) expect(one).toEqual({ grams: Math.round(load), settled: true })
    }
  })

  it('weigh on from what was tared, and are unsettled when something is put on', () => {
    const scales = new StandIn(7)
    scales.put(120)
    for (let i = 0; i < 40; i++) scales.moment()
    scales.tare()
    for (let i = 0; i < 10; i++) scales.moment()
    expect(scales.moment()).toEqual({ grams: 0, settled: true })
    scales.put(150)
    expect(scales.moment().settled).toBe(false)
    for (let i = 0; i < 40; i++) scales.moment()
    expect(scales.moment()).toEqual({ grams: 30, settled: true })
  })
})
