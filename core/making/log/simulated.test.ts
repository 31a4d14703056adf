import { describe, expect, it } from 'vitest'
import { Dice, makeBag, someHands, swatchOf } from '../../../tests/simulated/maker'
import type { Design, DesignGauge } from '../../bag/design/design'
import { stacked } from '../../bag/design/partIds'
import { ASSUMED_GAUGE, newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { bagFacts } from './facts'
import type { BagFacts } from './bagFacts'
import { skillFromBags } from './skillFromBags'
import { gaugeOffers } from './gaugeOffers'
import { timeOfBag } from './time'

/*
 * Simulated makers with known hands make three bags each; what the program then says of their next one is held against what it really
 * comes to. The hands are drawn by tests/simulated/maker.ts, which knows nothing of the estimators.
 */

const MAKERS = 500
const EVENING = Date.UTC(2026, 8, 1, 18)

function bagOf(gauge: DesignGauge, diameterCm: number, heightCm: number): Design {
  return {
    ...newDesign('Bag'), gauge, rounds: { style: 'spiral', startingChainCounts: false }, turnUp: 'plain',
    base: { ...newDesign('Bag').base, increases: 6, size: { want: { diameterCm } } },
    wall: stacked([{ kind: 'solid', stitch: 'sc', size: { want: { heightCm } }, colour: 'main' }]),
  }
}

interface Outcome {
  readonly inside: readonly boolean[]
  readonly offLearnt: readonly number[]
  readonly offCraft: readonly number[]
  readonly paceOff: number
  readonly minutesInside: boolean
  readonly minutesOff: number
  readonly minutesOffCraft: number
}

/** Sizes that were said of a bag, with their ranges, beside what they came to. */
function sizes(design: Design, made: ReturnType<typeof makeBag>): { readonly off: number, readonly inside: boolean }[] {
  const { parts, sizes: { floor, flatWidth } } = draft(design)
  const wall = parts.at(-1)!.size.height
  const said = [[floor.length, made.acrossCm], [wall, made.wallCm], [flatWidth, made.flatCm]] as const
  return said.map(([{ cm, plusMinusCm }, real]) => ({ off: Math.abs(Math.log(real / cm)), inside: Math.abs(real - cm) <= plusMinusCm }))
}

function lifeOf(seed: number): Outcome {
  const dice = new Dice(seed)
  const hands = someHands(dice)
  const facts = [0, 1, 2].map((i): BagFacts => {
    const plan = bagOf(swatchOf(hands, dice), 10 + 3 * i, 8 + 2 * i)
    return bagFacts(makeBag(plan, hands, dice, { measures: true, weighs: true, name: `s${seed}b${i}`, from: EVENING + i * 1e9 }).events)!
  })
  const taught = skillFromBags(facts)
  const offered = gaugeOffers(taught)[0]!
  const next = bagOf(offered.gauge, 14, 12)
  const made = makeBag(next, hands, dice, { measures: false, name: `s${seed}n`, from: EVENING + 4e9 })
  const learnt = sizes(next, made)
  const byCraft = bagOf(ASSUMED_GAUGE, 14, 12)
  const craft = sizes(byCraft, makeBag(byCraft, hands, dice, { measures: false, name: `s${seed}c`, from: EVENING + 5e9 }))
  const time = timeOfBag(draft(next), taught)
  const timeCraft = timeOfBag(draft(next), skillFromBags([]))
  const pace = taught.pace.find(({ key }) => key === 'sc')!.seconds.value
  return {
    inside: learnt.map(({ inside }) => inside), offLearnt: learnt.map(({ off }) => off), offCraft: craft.map(({ off }) => off),
    paceOff: Math.abs(Math.log(pace / made.secondsEach)), minutesInside: made.minutes >= time.low && made.minutes <= time.high,
    minutesOff: Math.abs(Math.log(time.minutes / made.minutes)), minutesOffCraft: Math.abs(Math.log(timeCraft.minutes / made.minutes)),
  }
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length
}

describe('after three bags of simulated makers', () => {
  const lives = Array.from({ length: MAKERS }, (_, i) => lifeOf(1000 + i))
  const share = (hits: readonly boolean[]) => hits.filter(Boolean).length / hits.length

  it('says sizes that are right nine times of ten', () => {
    const inside = share(lives.flatMap(one => one.inside))
    expect(inside).toBeGreaterThanOrEqual(0.85)
    expect(inside).toBeLessThanOrEqual(0.95)
  })

  it('knows the pace within a tenth', () => {
    expect(mean(lives.map(({ paceOff }) => paceOff))).toBeLessThan(0.1)
    expect(share(lives.map(({ paceOff }) => paceOff < 0.1))).toBeGreaterThan(0.8)
    expect(share(lives.map(({ minutesInside }) => minutesInside))).toBeGreaterThan(0.85)
  })

  it('errs less than half as much as the craft\'s tables alone', () => {
    expect(mean(lives.flatMap(one => one.offLearnt))).toBeLessThan(mean(lives.flatMap(one => one.offCraft)) / 2)
    expect(mean(lives.map(one => one.minutesOff))).toBeLessThan(mean(lives.map(one => one.minutesOffCraft)) / 2)
  })

  it('is no accident of these figures: without the log the bands would be wrong', () => {
    expect(mean(lives.flatMap(one => one.offCraft))).toBeGreaterThan(0.05)
  })
})
