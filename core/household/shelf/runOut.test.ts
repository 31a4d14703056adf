import { describe, expect, it } from 'vitest'
import { demoDesigns, randomDesigns } from '../../../tests/pattern/spokenOf'
import { Dice } from '../../../tests/simulated/maker'
import { stacked } from '../../bag/design/partIds'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import type { DraftPart } from '../../bag/draft/fold/draftPart'
import { routeOf } from '../../readers/beats/route'
import type { InHand } from '../../making/make/plan'
import type { MakeState } from '../../making/make/makeState'
import { metresByRound, yarnNeeds, yarnShares } from '../../bag/yarn/yarn'
import { heightAfter, howFar, howFarWords, metresToCome } from './runOut'
import { eatsNow } from './weighing'

/* A tube of 60 sc, half a centimetre each, 7.5 times their width of yarn: every round takes 60 x 3.75 = 225 cm by the plan. */
const bag = draft({
  ...newDesign('Tube'), rounds: { style: 'spiral', startingChainCounts: false }, turnUp: 'plain',
  gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } },
  base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 60 } }, colour: 'main' },
  wall: stacked([{ kind: 'solid', stitch: 'sc', size: { pin: { rounds: 99 } }, colour: 'main' }]),
})
const SURE = { gramsPerMetre: 0.4, spread: 1e-6 }
const FAINT = { gramsPerMetre: 0.4, spread: 0.26, from: 'craft' } as const

describe('how far a yarn goes, by hand', () => {
  it('takes 2.25 m a round, and so 0.9 g where a metre weighs 0.4', () => {
    const rounds = metresByRound(bag, 'main')
    expect(rounds).toHaveLength(100)
    expect(rounds[50]).toBeCloseTo(2.25, 9)
  })

  // Two ends of 15 cm are 0.12 g; 9.12 g left after round 40 are that and ten rounds.
  it('runs out ten rounds on from 9.12 g, the ends kept back', () => {
    const { runsOut, keepBackGrams, odds } = howFar(bag, 'main', 40, 9.12, SURE)
    expect(keepBackGrams).toBeCloseTo(0.12, 9)
    expect(runsOut!.round).toBeCloseTo(50, 3)
    expect(odds).toBeLessThan(0.001)
  })

  it('lasts where there is more than what is still to come: 60 rounds are 54 g, and the ends', () => {
    expect(howFar(bag, 'main', 40, 54.2, SURE).runsOut).toBeUndefined()
    expect(howFar(bag, 'main', 40, 54, SURE).runsOut).toBeDefined()
    expect(howFarWords(howFar(bag, 'main', 40, 60, SURE), 100)).toContain('It lasts (99 %).')
  })

  it('keeps the cords back until the bag is finished, however long the casing is done', () => {
    const cords = { number: 2, kind: 'chain', size: { want: { tailCm: 10 } }, opening: true, colour: 'moss' } as const
    const pouch = draft({
      ...bag.design, yarns: [...bag.design.yarns, { id: 'moss', name: 'moss green', colour: '#446644' }],
      wall: stacked([
        { kind: 'eyelets', eyelets: 'boxes', between: 4, chains: 2, evenOut: true, colour: 'main', cords },
        { kind: 'solid', stitch: 'sc', size: { pin: { rounds: 3 } }, colour: 'main' },
      ]),
    })
    const all = yarnShares(pouch).filter(({ yarn }) => yarn === 'moss').reduce((sum, { metres }) => sum + metres, 0)
    expect(all).toBeGreaterThan(1)
    for (let done = 0; done <= pouch.rounds.length; done++) expect(metresToCome(pouch, 'moss', done), `round ${done}`).toBeCloseTo(all, 9)
  })

  it('says between which rounds, and how tall the bag is there', () => {
    const far = howFar(bag, 'main', 40, 27.12, FAINT)
    // 27 g are 30 rounds as expected; 1.2816 x 0.26 either way as logarithms: 21.5 and 41.9.
    expect(far.runsOut!.round).toBeCloseTo(70, 1)
    expect(far.runsOut!.low).toBeCloseTo(40 + (27.12 / (0.4 * Math.exp(1.2816 * 0.26)) - 0.3) / 2.25, 3)
    expect(howFarWords(far, 100)).toContain('about round 70 of 100 (61 to 81, eight times of ten)')
    // The tube's first round stands on the chain: 70 rounds of half a centimetre.
    expect(heightAfter(bag, 70)).toBeCloseTo(heightAfter(bag, 100) - 15, 6)
  })

  it('learns from what this bag ate: 45 g for 40 rounds, 90 m, are half a gram a metre, whatever was thought before', () => {
    const weighed = [{ yarn: 'main', grams: 100, of: 'left', round: 0 }, { yarn: 'main', grams: 55, of: 'left', round: 40 }]
    const hand = { draft: bag } as InHand
    const now = eatsNow(hand, { weighed } as unknown as MakeState, 'main', FAINT)
    expect(now.gramsPerMetre).toBeCloseTo(0.5, 2)
    expect(now.spread).toBeLessThan(0.02)
    expect(eatsNow(hand, { weighed: [weighed[0]] } as unknown as MakeState, 'main', FAINT)).toEqual(FAINT)
  })

  it('balances: what is worked, what is to come and what is kept back are all of it, after every round', () => {
    const all = yarnNeeds(bag)[0]!.metres
    const rounds = metresByRound(bag, 'main')
    for (const done of [0, 1, 37, 99, 100]) {
      const far = howFar(bag, 'main', done, 1, SURE)
      const worked = rounds.slice(0, done).reduce((sum, metres) => sum + metres, 0)
      expect(worked + far.wants.grams / 0.4).toBeCloseTo(all, 6)
    }
    expect(yarnShares(bag).reduce((sum, { metres }) => sum + metres, 0)).toBeCloseTo(all, 9)
  })
})

describe('against 500 simulated makers, whose hands it does not know', () => {
  /** Eats by chance about the craft's factor; weighs at the start and after some rounds; the yarn ends somewhere. */
  function oneMaker(dice: Dice): boolean | undefined {
    const rate = 0.4 * Math.exp(dice.normal(Math.hypot(0.25, 0.05)))
    const rounds = metresByRound(bag, 'main')
    const eaten = rounds.map(metres => metres * rate * Math.exp(dice.normal(0.02)))
    const done = 4 + dice.below(12)
    const used = eaten.slice(0, done).reduce((sum, grams) => sum + grams, 0)
    const had = used + eaten.slice(done, done + 15 + dice.below(55)).reduce((sum, grams) => sum + grams, 0)
    const scale = (grams: number) => Math.round(grams + dice.normal(0.28))
    const weighed = [
      { yarn: 'main', grams: scale(had), of: 'left', round: 0 }, { yarn: 'main', grams: scale(had - used), of: 'left', round: done },
    ]
    const now = eatsNow({ draft: bag } as InHand, { weighed } as unknown as MakeState, 'main', FAINT)
    const { runsOut } = howFar(bag, 'main', done, weighed[1]!.grams, now)
    let [left, at] = [had - used - 0.3 * rate, done]
    while (at < eaten.length && left >= eaten[at]!) left -= eaten[at++]!
    const truth = at + Math.max(0, left) / (eaten[at] ?? 1)
    return runsOut && truth >= runsOut.low && truth <= runsOut.high
  }

  it('says the round it runs out at within its range eight times of ten', () => {
    const dice = new Dice(17)
    const told = Array.from({ length: 500 }, () => oneMaker(dice))
    const share = told.filter(Boolean).length / told.length
    expect(share).toBeGreaterThanOrEqual(0.75)
    expect(share).toBeLessThanOrEqual(0.85)
  })
})

describe('what is still to come of a yarn, round by round', () => {
  it('is the rounds to come, and every piece whose legs of the route are to come', () => {
    for (const design of [...demoDesigns().map(demo => demo.design), ...randomDesigns(40)]) {
      const drafted = draft(design)
      const { legs } = routeOf(drafted)
      const shares = yarnShares(drafted)
      for (let done = 0; done <= drafted.rounds.length; done++) {
        const toCome = legs.slice(legs.findIndex(({ id }) => id === `r${done}`) + 1)
        const isToCome = (part: DraftPart) =>
          part.pieces.some(piece => toCome.some(({ id }) => id.startsWith(`${part.id}/${piece.id}/`)))
        const parts = new Set(drafted.parts.filter(isToCome).map(({ id }) => id))
        for (const { id: yarn } of design.yarns) {
          const pieces = shares.filter(share =>
            share.yarn === yarn && share.of !== 'rounds' && (share.of !== 'pieces' || parts.has(share.part!)))
          const metres = [...metresByRound(drafted, yarn).slice(done), ...pieces.map(share => share.metres)].reduce((a, b) => a + b, 0)
          expect(metresToCome(drafted, yarn, done), `${design.name}, ${yarn}, round ${done}`).toBeCloseTo(metres, 6)
        }
      }
    }
  })
})
