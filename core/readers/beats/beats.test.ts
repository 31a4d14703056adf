import { describe, expect, it } from 'vitest'
import { draft } from '../../bag/draft/draft'
import { newDesign } from '../../bag/design/starter'
import { stacked } from '../../bag/design/partIds'
import { demoDesigns, randomDesigns } from '../../../tests/pattern/spokenOf'
import { kindAt } from '../../things/round/workedRound'
import type { Beat } from './beat'
import { upcomingIn } from './upcoming'
import { routeOf } from './route'
import { doneAfter, ownSize } from './size'
import { sayBeats } from './words'

/** Stitches that beats make, counted by their own words' trees and not by the sentence's. */
function madeOf(beats: readonly Beat[]): { stitches: number, chains: number[] } {
  let stitches = 0
  const chains: number[] = []
  let run = 0
  for (const { said, to, from } of beats) {
    if (said.say === 'opening') {
      const { counts, skipped } = said.opening
      if (counts || skipped) stitches++
      if (counts && counts.spaceChains > 0) chains.push(counts.spaceChains)
    }
    if (said.say === 'ending' && said.ending.end === 'closing') chains.push(-1)
    if (said.say !== 'doing') continue
    const { clause } = said
    if (clause.say === 'together') stitches++
    else if (clause.say === 'chain') {
      run += clause.chains
      if (to > from) {
        chains.push(run)
        run = 0
      }
    }
    else for (let place = 0; place < clause.places; place++)
      for (const lot of clause.what) {
        if ('chains' in lot) chains.push(lot.chains)
        else stitches += lot.times
      }
  }
  return { stitches, chains }
}

const designs = [...demoDesigns(), ...randomDesigns(30).map((design, i) => ({ name: `random ${i}`, design }))]

describe('the beats of a round (law 1)', () => {
  it('multiply out to exactly its stitches and spaces, in every size, in every round of any design', () => {
    for (const { name, design } of designs) {
      for (const leg of routeOf(draft(design)).legs) {
        if (!leg.worked || leg.worked.edge.count > 800) continue
        const beats = leg.beats()
        const { edge, round } = leg.worked
        const spaces = Array.from({ length: edge.count }, (_, i) => edge.chains[i]!).filter((_, i) => edge.kinds[i] === 1)
        const { stitches, chains } = madeOf(beats)
        const where = `${name}, ${leg.id}`
        expect(stitches, where).toBe(edge.count - spaces.length)
        expect(chains.length, where).toBe(spaces.length)
        if (!round.closing) expect([...chains].sort(), where).toEqual([...spaces].sort())
        expect(beats[0]!.from, where).toBe(0)
        expect(beats.at(-1)!.to, where).toBe(edge.count)
        expect(beats.every((beat, i) => i === 0 || beat.from === beats[i - 1]!.to), where).toBe(true)
        for (const size of ['stitch', 'group', 'round'] as const) {
          let done = 0
          let taps = 0
          for (; done < beats.length; taps++) {
            const to = doneAfter(beats, done, size)
            if (to <= done) throw new Error(`${where} does not go on after ${done} beats`)
            done = to
          }
          expect(done).toBe(beats.length)
          if (size === 'round') expect(taps).toBe(1)
          if (size === 'stitch') expect(taps).toBe(beats.length)
        }
      }
    }
  })

  it('say the kind of stitch that is made, beat by beat', () => {
    for (const { name, design } of demoDesigns()) {
      for (const leg of routeOf(draft(design)).legs) {
        if (!leg.worked) continue
        for (const { said, from } of leg.beats()) {
          if (said.say !== 'doing' || said.clause.say !== 'work') continue
          const [lot] = said.clause.what
          if (lot && !('chains' in lot)) expect(kindAt(leg.worked, from), `${name}, ${leg.id}`).toBe(lot.kind)
        }
      }
    }
  })
})

describe('the road', () => {
  it('says to turn the work only where the next of the same sort is worked turned', () => {
    let turned = 0
    for (const { name, design } of demoDesigns()) {
      const road = routeOf(draft({ ...design, rounds: { style: 'turned', startingChainCounts: false } }))
      road.legs.forEach((leg, i) => {
        const next = road.legs[i + 1]
        const turns = upcomingIn(road, i, { terms: 'us', repeats: 'brackets' }).some(({ sort }) => sort === 'turn')
        const wanted = Boolean(leg.worked && next?.worked?.round.begin.turn && next.sort === leg.sort)
        expect(turns, `${name} ${leg.id}`).toBe(wanted)
        if (turns) turned++
      })
    }
    expect(turned).toBeGreaterThan(100)
  })

  it('goes from the first chain to the last end of every demo bag, each leg with an id of its own', () => {
    for (const { name, design } of demoDesigns()) {
      const { legs, at } = routeOf(draft(design))
      expect(at.size, name).toBe(legs.length)
      expect(legs[0]!.sort, name).toBe('start')
      expect(legs.at(-1)!.sort).toBe('steps')
      const rounds = legs.filter(({ sort }) => sort === 'round')
      expect(rounds.map(({ number }) => number)).toEqual(draft(design).rounds.map(({ number }) => number))
      legs.forEach(leg => expect(leg.beats().length, `${name} ${leg.id}`).toBeGreaterThan(0))
    }
  })
})

const speech = { terms: 'us', repeats: 'brackets', units: 'cm', start: { kind: 'ring', chains: 0 } } as const
const gauge = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const disc = draft({
  ...newDesign('Disc'), gauge, base: { form: 'circle', stitch: 'sc', size: { pin: { increases: 6, rounds: 4 } }, increases: 6,
    scatter: 'stacked', colour: 'main' } as never,
  rounds: { style: 'joined', startingChainCounts: false }, wall: stacked([]),
})

describe('what a maker reads at the hook', () => {
  const legs = routeOf(disc).legs.filter(({ sort }) => sort === 'round')
  const read = (round: number, size: 'stitch' | 'group') => {
    const beats = legs[round - 1]!.beats()
    const words: string[] = []
    for (let done = 0; done < beats.length;) {
      const to = doneAfter(beats, done, size)
      words.push(sayBeats(beats.slice(done, to), speech))
      done = to
    }
    return words
  }

  it('goes stitch by stitch, an increase in one', () => {
    expect(read(1, 'stitch')).toEqual(['Ch 1 (does not count)', ...Array<string>(6).fill('Sc in ring'), 'Join with sl st to first sc'])
    expect(read(3, 'stitch').slice(0, 4)).toEqual(['Ch 1; beg in same st as join', '2 sc in next st', 'Sc in next st', '2 sc in next st'])
  })

  it('goes turn by turn, the start with the first and the join with the last', () => {
    expect(read(3, 'group')).toEqual([
      'Ch 1; beg in same st as join; 2 sc in next st, sc in next st', ...Array<string>(4).fill('2 sc in next st, sc in next st'),
      '2 sc in next st, sc in next st; join with sl st to first sc',
    ])
  })

  it('takes a round that is the same all round for one that needs no head', () => {
    expect(legs.map(leg => ownSize(leg.beats()))).toEqual(['round', 'round', 'group', 'group', 'round'])
  })
})
