import { describe, expect, it } from 'vitest'
import { makeBag, Dice, someHands } from '../../../tests/simulated/maker'
import { stacked } from '../../bag/design/partIds'
import { newDesign } from '../../bag/design/starter'
import { stateOf } from '../../making/make/fold'
import { inHand } from '../../making/make/plan'
import type { MakeState } from '../../making/make/makeState'
import { metresOfRounds } from '../../bag/yarn/yarn'
import { eatenSoFar, type Weight, withWeight } from './weighing'
import { farBy, weightDoubt, weightWords } from './weightWords'

/** A small bag, worked up to its twentieth round; four grams for ten metres are known of its yarn. */
const plan = {
  ...newDesign('Weighed'), rounds: { style: 'spiral', startingChainCounts: false } as const,
  wall: stacked([{ kind: 'solid', stitch: 'sc', size: { want: { heightCm: 18 } }, colour: 'main' }]),
}
const ROUND = 20
const { events } = makeBag(plan, someHands(new Dice(3)), new Dice(3), { measures: false, name: 'w', from: 0, upTo: ROUND })
const state = stateOf(events)
const hand = inHand(state)!
const BEFORE = { rate: { gramsPerMetre: 0.4, spread: 0.2 }, known: true }
const took = 0.4 * metresOfRounds(hand.draft, 'main', 1, ROUND)
const weighed = (grams: number): Pick<MakeState, 'weighed'> =>
  ({ weighed: [{ do: 'weighed', yarn: 'main', grams, of: 'left', round: 0, id: 'w', at: 0 }] })
const left = (grams: number): Weight => ({ yarn: 'main', grams, of: 'left' })
const work = (grams: number): Weight => ({ yarn: 'main', grams, of: 'work' })

describe('a weight', () => {
  it('says what was taken since the one before it', () => {
    expect(took).toBeGreaterThan(5)
    const on = withWeight(hand, weighed(100), left(85))
    expect(eatenSoFar(hand, on, 'main')).toEqual({ grams: 15, metres: metresOfRounds(hand.draft, 'main', 1, ROUND) })
    expect(eatenSoFar(hand, weighed(100), 'main')).toBeUndefined()
    expect(eatenSoFar(hand, { weighed: [{ ...work(12), do: 'weighed', round: ROUND, id: 'w', at: 0 }] }, 'main')!.grams).toBe(12)
    expect(weightWords(hand, weighed(100), left(85), BEFORE)).toMatch(/^What is worked took \{15 g\}\. What is still to come wants/)
  })

  it('says of the work what is still to come, and of the first weight of an unknown yarn that it is written down', () => {
    expect(weightWords(hand, { weighed: [] }, work(took), BEFORE)).toMatch(/^What is worked took .* What is still to come wants/)
    const unknown = { ...BEFORE, known: false }
    expect(weightWords(hand, { weighed: [] }, left(100), unknown)).toMatch(/^Written down\. Weighed again/)
    expect(farBy(hand, { weighed: [] }, left(100), unknown)).toBeUndefined()
    expect(farBy(hand, weighed(100), left(100 - took), unknown)).toBeDefined()
    expect(weightWords(hand, weighed(100), { ...left(5), yarn: 'none' }, BEFORE)).toBe('Nothing of this bag is worked in it.')
  })
})

describe('a weight that can hardly be meant', () => {
  it('is asked about, and the point put in its place is offered', () => {
    expect(weightDoubt(hand, { weighed: [] }, work(10 * took), BEFORE)!.instead!.grams).toBeCloseTo(took, 1)
    expect(weightDoubt(hand, { weighed: [] }, work(took / 10), BEFORE)!.instead!.grams).toBeCloseTo(took, 1)
    const rest = Math.round(took)
    const more = weightDoubt(hand, weighed(2 * rest), left(10 * rest), BEFORE)!
    expect(more.what).toContain(`more than the {${2 * rest} g} there were`)
    expect(more.instead).toEqual({ label: `Ten times less: ${rest} g`, grams: rest })
  })

  it('is asked about where no slip explains it', () => {
    const odd = weightDoubt(hand, weighed(500), left(100), BEFORE)!
    expect(odd.what).toMatch(/took \{400 g\}.*weigh it again/)
    expect(odd.instead).toBeUndefined()
    expect(weightDoubt(hand, weighed(100), left(130), BEFORE)!.what).toContain('another ball')
    expect(weightDoubt(hand, weighed(100), left(100), BEFORE)!.what).toContain('as much as the {100 g}')
  })

  it('is not asked about where hands may differ so, or nothing says', () => {
    for (const share of [0.65, 1, 1.5]) {
      expect(weightDoubt(hand, weighed(200), left(200 - share * took), BEFORE), `${share}`).toBeUndefined()
      expect(weightDoubt(hand, { weighed: [] }, work(share * took), BEFORE), `${share}`).toBeUndefined()
    }
    expect(weightDoubt(hand, { weighed: [] }, left(140), BEFORE)).toBeUndefined()
  })
})
