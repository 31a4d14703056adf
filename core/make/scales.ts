import { metresOfRounds, yarnNeeds } from '../yarn/yarn'
import type { InHand } from './plan'
import { lastDone } from './measuring'
import type { MakeState } from './state'
import { gramsFromTo, gramsOf } from '../stitch/tell'

/** What the scales say of a yarn: grams for every metre of the plan, and so what is still wanted of it. */
export interface Scales {
  readonly usedGrams: number
  readonly usedMetres: number
  readonly gramsPerMetre: number
  readonly wantedGrams: number
  /** Of what is left: enough, or how many grams short. */
  readonly leftGrams?: number
}

interface OnScales {
  readonly yarn: string
  readonly grams: number
  readonly of: 'left' | 'work'
}

/** A weight beside those before it; nothing as long as nothing can be told by it. */
export function scales(hand: InHand, { weighed }: Pick<MakeState, 'weighed'>, { yarn, grams, of }: OnScales): Scales | undefined {
  const round = lastDone(hand)
  const first = weighed.find(one => one.yarn === yarn && one.of !== 'work')
  const from = of === 'work' ? 0 : (first?.round ?? 0)
  const usedGrams = of === 'work' ? grams : (first?.grams ?? 0) - grams
  const usedMetres = metresOfRounds(hand.draft, yarn, from + 1, round)
  if (usedGrams <= 0 || usedMetres <= 0) return undefined
  const whole = yarnNeeds(hand.draft).find(one => one.yarn.id === yarn)?.metres ?? 0
  const gramsPerMetre = usedGrams / usedMetres
  const wantedGrams = gramsPerMetre * Math.max(0, whole - metresOfRounds(hand.draft, yarn, 1, round))
  return { usedGrams, usedMetres, gramsPerMetre, wantedGrams, ...(of === 'left' ? { leftGrams: grams } : {}) }
}

/** A tenth of what is still wanted is kept for what nobody foresees (from memory). */
const MARGIN = 0.1

/** What a weight says, in words. */
export function scalesWords(hand: InHand, state: Pick<MakeState, 'weighed'>, on: OnScales): string {
  const first = state.weighed.find(one => one.yarn === on.yarn && one.of !== 'work')
  if (on.of === 'left' && first && on.grams > first.grams)
    return `More than the ${gramsOf(first.grams)} there were: was another ball put on? Weigh what this bag has of it.`
  const found = scales(hand, state, on)
  if (!found) {
    return on.of === 'left'
      ? 'Written down. Weighed again after some rounds it tells what they took, and what is still wanted.'
      : 'Nothing is worked in it yet: it says nothing of what is wanted.'
  }
  const { usedGrams, wantedGrams, leftGrams } = found
  const range = gramsFromTo(wantedGrams * (1 - MARGIN), wantedGrams * (1 + MARGIN))
  const took = `What is worked took ${gramsOf(usedGrams)}; what is still to come wants about ${range}.`
  if (leftGrams === undefined) return took
  if (leftGrams >= wantedGrams * (1 + MARGIN)) return `${took} There is enough.`
  return leftGrams < wantedGrams * (1 - MARGIN)
    ? `${took} It will not last: about ${gramsOf(wantedGrams - leftGrams)} short. Fewer rounds, a narrower strap or another yarn above.`
    : `${took} It will be close: keep back what rim and handles want.`
}
