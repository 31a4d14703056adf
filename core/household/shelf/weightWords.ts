import { lastDone } from '../../making/make/measuring'
import type { InHand } from '../../making/make/plan'
import { gramsFromTo, gramsOf } from '../../things/stitch/translate'
import { metresOfRounds, yarnNeeds } from '../../bag/yarn/yarn'
import type { Rate } from './yarnUse'
import { wants } from './enough'
import { type HowFar, howFarInHand, howFarWords, metresToCome } from './runOut'
import { eatenSoFar, eatsNow, firstLeft, type OnScales, type Weight, withWeight } from './weighing'

/** A question about a weight that can hardly be meant, and what may have been meant instead. */
export interface WeightDoubt {
  readonly what: string
  readonly instead?: { readonly label: string, readonly grams: number }
}

/** How a yarn of a bag in hand is eaten as far as it was known before, and whether more than its gauge told it. */
export interface EatenBefore {
  readonly rate: Rate
  readonly known: boolean
}

/** The point forgotten, or put in where there is none: the slips of a weight. */
const SLIPS = [{ times: 0.1, label: 'Ten times less' }, { times: 10, label: 'Ten times as much' }] as const

/** Beyond so many deviations nobody's hands differ; and what the scales' gram makes of a small weight. */
const FAR = 3
const WITHIN_G = 3

/** Grams that a weight says were used; of what is left only against a weight before it. */
function usedGrams(state: OnScales, { yarn, grams, of }: Weight): number | undefined {
  if (of === 'work') return grams
  const first = firstLeft(state, yarn)
  return first && first.grams - grams
}

/** Whether so many grams may have gone into what is worked. */
function isLikely(used: number, expected: number, spread: number): boolean {
  if (used <= 0) return expected <= WITHIN_G
  return Math.abs(used - expected) <= WITHIN_G || Math.abs(Math.log(used / expected)) <= FAR * spread
}

/**
 * A question about a weight by which what is worked took far more or less than it can have; nothing if it may well be so, or nothing says.
 *
 * @param before how the yarn is eaten as far as it was known before this weight
 */
export function weightDoubt(hand: InHand, state: OnScales, weight: Weight, { rate }: EatenBefore): WeightDoubt | undefined {
  const used = usedGrams(state, weight)
  const from = weight.of === 'work' ? 0 : (firstLeft(state, weight.yarn)?.round ?? 0)
  const metres = metresOfRounds(hand.draft, weight.yarn, from + 1, lastDone(hand))
  if (used === undefined || metres <= 0) return undefined
  const { gramsPerMetre, spread } = eatsNow(hand, state, weight.yarn, rate)
  const expected = metres * gramsPerMetre
  if (isLikely(used, expected, spread)) return undefined
  const slip = SLIPS.map(one => ({ ...one, grams: Math.round(100 * weight.grams * one.times) / 100 })).find(({ grams }) => {
    const meant = usedGrams(state, { ...weight, grams })!
    return meant > 0 && isLikely(meant, expected, spread)
  })
  const is = used <= 0
    ? `That is ${used < 0 ? 'more than' : 'as much as'} the ${gramsOf(used + weight.grams)} there were, and what is worked since`
    + ` should have taken about ${gramsOf(expected)}`
    : `By this weight what is worked took ${gramsOf(used)}, where about ${gramsOf(expected)} is to be expected`
  const more = used < 0 ? 'was another ball put on? Weigh what this bag has of it.' : 'weigh it again.'
  const asks = slip ? 'is the point in its place?' : more
  return {
    what: `${is}: ${asks}`,
    ...(slip ? { instead: { label: `${slip.label}: ${Math.round(slip.grams * 10) / 10} g`, grams: slip.grams } } : {}),
  }
}

/** Grams still to come by the weight of the work itself, in words. */
function workWords(hand: InHand, on: OnScales, yarn: string, { rate }: EatenBefore): string {
  const eaten = eatenSoFar(hand, on, yarn)
  if (!eaten) return 'Nothing is worked in it yet: it says nothing of what is wanted.'
  const { low, high } = wants(metresToCome(hand.draft, yarn, lastDone(hand)), eatsNow(hand, on, yarn, rate))
  return `What is worked took ${gramsOf(eaten.grams)}. What is still to come wants ${gramsFromTo(low, high)}.`
}

/** The meaning of a weight, in words: grams used, grams still to come, and whether the yarn lasts. */
export function weightWords(hand: InHand, state: OnScales, weight: Weight, before: EatenBefore): string {
  const on = withWeight(hand, state, weight)
  const { yarn, of } = weight
  if (!yarnNeeds(hand.draft).some(need => need.yarn.id === yarn)) return 'Nothing of this bag is worked in it.'
  if (of === 'work') return workWords(hand, on, yarn, before)
  const eaten = eatenSoFar(hand, on, yarn)
  const far = farBy(hand, state, weight, before)
  if (!far) return 'Written down. Weighed again after some rounds it tells what they took, and what is still wanted.'
  return `${eaten ? `What is worked took ${gramsOf(eaten.grams)}. ` : ''}${howFarWords(far, hand.draft.rounds.length)}`
}

/** How far what is left goes; nothing as long as nothing is known of the yarn, and nothing was taken from it. */
export function farBy(hand: InHand, state: OnScales, { yarn, grams }: Weight, { rate, known }: EatenBefore): HowFar | undefined {
  if (!known && !eatenSoFar(hand, withWeight(hand, state, { yarn, grams, of: 'left' }), yarn)) return undefined
  return howFarInHand(hand, state, yarn, grams, rate)
}
