import { WITHIN_BAG } from '../../making/log/rulesOfThumb'
import type { WeighDeed } from '../../making/make/event'
import { lastDone } from '../../making/make/measuring'
import type { InHand } from '../../making/make/plan'
import type { MakeState } from '../../making/make/makeState'
import { metresOfRounds } from '../../bag/yarn/yarn'
import type { Rate } from './yarnUse'

/*
 * The scales
 * ==========
 *
 * A yarn weighed before and after some rounds, or the work itself weighed, says how much of the yarn this bag takes.
 */

/** A weighing on kitchen scales is good to so many grams, as a deviation (from memory: they round to a gram). */
const SCALES_G = 0.4

/** A weight laid on: what is left of a yarn, or what is worked in it. */
export type Weight = Pick<WeighDeed, 'yarn' | 'grams' | 'of'>

/** The weights told of a bag in hand. */
export type OnScales = Pick<MakeState, 'weighed'>

/** Yarn that was used: grams by the scales, metres by the plan. */
interface Eaten {
  readonly grams: number
  readonly metres: number
}

/** The bag with a weight laid on after the last round, as if it were written down. */
export function withWeight(hand: InHand, { weighed }: OnScales, weight: Weight): OnScales {
  const now = { do: 'weighed', ...weight, round: lastDone(hand), id: '', at: 0 } as const
  return { weighed: [...weighed, now] }
}

/** The first weight of what is left of a yarn: all later ones tell what was taken from it since. */
export function firstLeft({ weighed }: OnScales, yarn: string): MakeState['weighed'][number] | undefined {
  return weighed.find(one => one.yarn === yarn && one.of !== 'work')
}

/** Yarn that this bag used by the scales; nothing as long as nothing was worked between two weights. */
export function eatenSoFar({ draft }: InHand, state: OnScales, yarn: string): Eaten | undefined {
  const all = state.weighed.filter(one => one.yarn === yarn)
  const first = firstLeft(state, yarn)
  const [left, work] = [all.filter(one => one.of !== 'work').at(-1), all.filter(one => one.of === 'work').at(-1)]
  const between = (from: number, to: number, grams: number) => {
    const metres = metresOfRounds(draft, yarn, from + 1, to)
    return grams > 0 && metres > 0 ? { grams, metres } : undefined
  }
  const byLeft = first && left ? between(first.round ?? 0, left.round ?? 0, first.grams - left.grams) : undefined
  return byLeft ?? (work && between(0, work.round ?? 0, work.grams))
}

/** Two that say the same, each weighing as the inverse of its variance (see core/making/log/estimate.ts). */
function together(a: Rate, b: Rate): Rate {
  const [wa, wb] = [1 / a.spread ** 2, 1 / b.spread ** 2]
  return {
    gramsPerMetre: Math.exp((wa * Math.log(a.gramsPerMetre) + wb * Math.log(b.gramsPerMetre)) / (wa + wb)), spread: 1 / Math.sqrt(wa + wb),
  }
}

/** Grams for a metre in this bag: its own weights, combined with the rate known before. */
export function eatsNow(hand: InHand, state: OnScales, yarn: string, before: Rate): Rate {
  const eaten = eatenSoFar(hand, state, yarn)
  if (!eaten) return before
  const spread = Math.hypot(WITHIN_BAG, (Math.SQRT2 * SCALES_G) / eaten.grams)
  return together({ gramsPerMetre: eaten.grams / eaten.metres, spread }, before)
}
