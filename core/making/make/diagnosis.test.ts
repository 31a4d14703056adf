import { describe, expect, it } from 'vitest'
import { onTheHook } from '../../../tests/laboratory/miscounts'
import { demoDesigns } from '../../../tests/pattern/spokenOf'
import type { Design } from '../../bag/design/design'
import { stacked } from '../../bag/design/partIds'
import { newDesign } from '../../bag/design/starter'
import { countable } from '../../bag/draft/replan/countCorrection'
import type { WallSpec } from '../../parts/wall/wall'
import { diagnose, knownBy, lostBy } from './diagnosis'
import type { Deed } from './event'
import { afterAll, eventOf, MakeLog } from './fold'
import { newPlan } from './newPlan'
import { inHand, progressOf, uncounted } from './plan'

const MANNER = { terms: 'us', repeats: 'brackets' } as const
const gauge: Design['gauge'] = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const base = {
  form: 'circle', stitch: 'sc', size: { pin: { increases: 6, rounds: 5 } }, increases: 6, scatter: 'stacked', colour: 'main',
} as never
const solid = (rounds: number, colour = 'main'): WallSpec => ({ kind: 'solid', stitch: 'sc', size: { pin: { rounds } }, colour })
const bag = (...wall: WallSpec[]): Design => ({
  ...newDesign('Bag'), gauge, base, turnUp: 'plain', wall: stacked(wall), rounds: { style: 'joined', startingChainCounts: false },
})

/** A make that has come to the end of a round, a minute a round. */
function at(plan: Design, round: number) {
  const log = new MakeLog()
  let n = 0
  const happen = (deed: Deed) => log.add([eventOf(log, deed, { id: `a.${String(n++).padStart(4, '0')}`, at: n * 60_000 })])
  happen({ do: 'started', plan })
  happen({ do: 'moved', to: { leg: 'start', beats: 'all' }, ...afterAll(log) })
  for (let i = 1; i <= round; i++) happen({ do: 'moved', to: { leg: `r${i}`, beats: 'all' }, ...afterAll(log) })
  return { log, happen, hand: () => inHand(log.state)! }
}

describe('another count than planned, at the hook', () => {
  it('knows between which rounds the mistake lies', () => {
    const make = at(bag(solid(6)), 7)
    const between = () => diagnose(make.hand(), make.log.state, 7, 31, MANNER)!.between
    expect(between()).toContain('anywhere up to round 7')
    make.happen({ do: 'counted', round: 4, planned: 24, found: 24, choice: 'as-planned' })
    expect(between()).toContain('in rounds 5 to 7')
    make.happen({ do: 'counted', round: 6, planned: 30, found: 30, choice: 'as-planned' })
    expect(between()).toBe('Round 6 was counted and right, so the mistake lies in round 7.')
  })

  it('offers what can be done, with the next round in words, and says nothing of a count that is right', () => {
    const make = at(bag(solid(6)), 7)
    expect(diagnose(make.hand(), make.log.state, 7, 30, MANNER)).toBeUndefined()
    const { ways, planned } = diagnose(make.hand(), make.log.state, 7, 31, MANNER)!
    expect(planned).toBe(30)
    expect(ways.map(({ way }) => way)).toEqual(['next-round', 'live-with-it', 'rip-back'])
    expect(ways[0]!.nextRound).toMatch(/sc2tog.*\(30 sts\)$/)
    expect(ways[2]).toMatchObject({ toRound: 6 })
    expect(ways[2]!.what).toContain('30 stitches')
  })

  it('leads to a plan that is drafted from the truth, and leaves what is worked', () => {
    const make = at(bag(solid(6)), 7)
    const before = make.hand()
    const live = diagnose(before, make.log.state, 7, 31, MANNER)!.ways.find(({ way }) => way === 'live-with-it')!
    make.happen(live.counted!)
    const after = make.hand()
    expect(after.draft.rounds.map(({ worked }) => worked.edge.count)).toEqual([6, 12, 18, 24, 30, 30, 31, 31, 31, 31, 31])
    const firstSix = ({ draft: { rounds } }: typeof after) => rounds.slice(0, 6).map(({ worked }) => worked.edge)
    expect(firstSix(after)).toEqual(firstSix(before))
    expect(after.at.leg?.id).toBe('r8')
  })

  it('keeps what was chosen when the same is counted again, and reckons on from there', () => {
    const make = at(bag(solid(6)), 7)
    make.happen({ do: 'counted', round: 7, planned: 30, found: 31, choice: 'live-with-it' })
    make.happen({ do: 'counted', round: 7, planned: 31, found: 31, choice: 'as-planned' })
    expect(make.hand().draft.rounds.at(-1)!.worked.edge.count).toBe(31)
    make.happen({ do: 'moved', to: { leg: 'r8', beats: 'all' }, ...afterAll(make.log) })
    expect(diagnose(make.hand(), make.log.state, 8, 33, MANNER)!.between)
      .toBe('Round 7 was counted: 31 of 30, so the new mistake lies in round 8.')
    make.happen({ do: 'counted', round: 7, planned: 31, found: 30, choice: 'live-with-it' })
    expect(make.hand().draft.rounds.at(-1)!.worked.edge.count).toBe(30)
  })

  it('never calls a round right that was counted otherwise than planned', () => {
    const make = at(bag(solid(6)), 8)
    make.happen({ do: 'counted', round: 6, planned: 30, found: 29, choice: 'live-with-it' })
    expect(diagnose(make.hand(), make.log.state, 8, 31, MANNER)!.between)
      .toBe('Round 6 was counted: 29 of 30, so the new mistake lies in rounds 7 to 8.')
  })

  it('asks a corrected count for what was planned, not for what was counted before', () => {
    const make = at(bag(solid(6)), 7)
    make.happen({ do: 'counted', round: 7, planned: 30, found: 29, choice: 'live-with-it' })
    expect(uncounted(make.hand(), 7).draft.rounds[6]!.worked.edge.count).toBe(30)
    expect(diagnose(make.hand(), make.log.state, 7, 30, MANNER)).toBeUndefined()
    expect(diagnose(make.hand(), make.log.state, 7, 29, MANNER)).toMatchObject({ planned: 30, counted: 29 })
  })

  it('offers only ripping back where a ring has too few stitches left to work on, and says why', () => {
    const make = at(bag(solid(6)), 1)
    for (const counted of [1, 2]) {
      const { ways } = diagnose(make.hand(), make.log.state, 1, counted, MANNER)!
      expect(ways.map(({ way }) => way)).toEqual(['rip-back'])
      expect(ways[0]!.what).toContain('a ring of so few stitches cannot be worked on')
    }
    expect(diagnose(make.hand(), make.log.state, 1, 3, MANNER)!.ways.length).toBeGreaterThan(1)
  })

  it('names of parts that become narrower alike the longest, not a round between them', () => {
    const { design } = demoDesigns().find(({ name }) => name === 'seed-head-pouch.json')!
    const { hand, state } = onTheHook(design)
    const kept = diagnose(hand, state, 6, 31, MANNER)!.ways.find(({ way }) => way === 'live-with-it')!
    expect(kept.what).toMatch(/the part "Plain in undyed cotton" comes out \{[\d.]+ cm\} narrower/)
  })

  it('recommends one way, and offers what it says, in every demo bag', () => {
    let put = 0
    let lived = 0
    for (const { name, design } of demoDesigns()) {
      const rounds = inHand(at(design, 0).log.state)!.draft.rounds
      for (const share of [0.25, 0.5, 0.75]) {
        const round = Math.floor(rounds.length * share)
        if (round < 1) continue
        const make = at(design, round)
        const { number } = countable(rounds[round - 1]!.worked)
        const told = diagnose(make.hand(), make.log.state, round, number + 1, MANNER)!
        expect(told.ways.at(-1)!.way, name).toBe('rip-back')
        expect(told.ways.map(({ recommended }) => recommended ?? false), name).toEqual(told.ways.map((_, i) => i === 0))
        for (const way of told.ways) {
          if (!way.counted) continue
          const chosen = at(design, round)
          chosen.happen(way.counted)
          const stops = chosen.hand().draft.findings.filter(({ weight }) => weight === 'stop')
          expect(stops, `${name}, round ${round}, ${way.way}`).toEqual([])
          if (way.way === 'next-round') put++
          if (way.way === 'live-with-it') lived++
        }
      }
    }
    expect(lived).toBeGreaterThan(8)
    expect(put).toBeGreaterThan(30)
  })
})

describe('ripping back', () => {
  it('says what is lost, and how the round is known', () => {
    const make = at(bag(solid(3), solid(3, 'main')), 8)
    expect(lostBy(make.hand(), make.log.state, 6)).toEqual({ rounds: 2, stitches: 60, minutes: 2 })
    make.happen({ do: 'moved', to: { leg: 'r9', beats: 12 }, ...afterAll(make.log) })
    // A beat of chains at the start makes nothing: twelve beats are eleven stitches.
    expect(lostBy(make.hand(), make.log.state, 6)).toEqual({ rounds: 3, stitches: 71, minutes: 3 })
    expect(knownBy(make.hand(), 6, MANNER)).toContain('Round 6 has 30 stitches; its marker is in its first stitch.')
    make.happen({ do: 'ripped', toRound: 6, ...afterAll(make.log) })
    expect(make.hand().at).toMatchObject({ done: 0 })
    expect(make.hand().at.leg?.id).toBe('r7')
  })
})

describe('how far it is', () => {
  it('is told for lists, to the end', () => {
    const make = at(bag(solid(6)), 7)
    expect(progressOf(make.hand(), false)).toMatchObject({ round: 8, of: 11, words: 'Round 8 of 11, Plain wall' })
    const { legs } = make.hand().road
    make.happen({ do: 'moved', to: { leg: legs.at(-1)!.id, beats: 'all' }, ...afterAll(make.log) })
    expect(progressOf(make.hand(), false)).toMatchObject({ share: 1, words: 'All is done' })
    expect(progressOf(make.hand(), true)).toMatchObject({ finished: true, words: 'Finished' })
    expect(progressOf(make.hand(), false)).not.toHaveProperty('finished')
  })
})

describe('another plan', () => {
  it('is taken over if what is worked stays as it is, and refused with the first round that does not', () => {
    const make = at(bag(solid(6)), 7)
    expect(newPlan(make.hand(), bag(solid(9)))).toEqual({ can: true, rounds: 14 })
    const other = { ...bag(solid(9)), base: { ...(base as object), increases: 8 } as never }
    expect(newPlan(make.hand(), other)).toEqual({ can: false, round: 1 })
    make.happen({ do: 'replanned', plan: bag(solid(9)), why: 'taller' })
    expect(make.hand().at.leg).toMatchObject({ id: 'r8', of: 14 })
  })

  it('that has a step no more leaves the hook after the last thing done that it has', () => {
    const make = at(bag(solid(6)), 11)
    make.happen({ do: 'moved', to: { leg: 'finish/9', beats: 0 }, ...afterAll(make.log) })
    expect(make.hand().at.leg?.id).toBe('part-1/after')
  })

  it('knows the steps at the end by what they were called in earlier logs', () => {
    const make = at(bag(solid(6)), 11)
    // Then: 1 cutting the yarn, 2 weaving in, 3 blocking.
    make.happen({ do: 'moved', to: { leg: 'finish/1', beats: 'all' }, ...afterAll(make.log) })
    expect(make.hand().at.leg?.id).toBe('finish/ends')
    make.happen({ do: 'moved', to: { leg: 'finish/3', beats: 'all' }, ...afterAll(make.log) })
    expect(make.hand().at.leg).toBeUndefined()
  })

  it('with fewer rounds leaves the hook after the last of them', () => {
    const make = at(bag(solid(6)), 10)
    make.happen({ do: 'replanned', plan: bag(solid(2)), why: 'shorter' })
    expect(make.hand().at.leg?.sort).toBe('steps')
  })
})
