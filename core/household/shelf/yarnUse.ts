import { NINE_OF_TEN, type Estimate } from '../../making/log/estimate'
import { YARN_SPREAD } from '../../making/log/rulesOfThumb'
import type { Draft } from '../../bag/draft/draft'
import { STITCHES } from '../../things/stitch/dictionary'
import { likelyClasses } from '../../bag/yarn/likelyClasses'
import { gramsOf } from './stock'
import type { ShelfYarn, UnravelledRow, WeighedSwatch } from './yarn'

/*
 * How much of a yarn a bag eats
 * =============================
 *
 * The plan says metres by the craft's factors; hands differ from these by a quarter. A row unravelled, a swatch weighed, or finished bags
 * say by how much, and narrow it down. Everything here is a ratio, so its spread is one of logarithms.
 */

/** Where it is known from. */
type KnownFrom = 'craft' | 'unravelled' | 'swatch' | 'log'

/** Grams of a yarn for every metre that the plan says, and how sure that is: the deviation of its logarithm. */
export interface Rate {
  readonly gramsPerMetre: number
  readonly spread: number
}

/** How a yarn is eaten, and where that is known from. */
export interface YarnUse extends Rate {
  readonly from: KnownFrom
  /** Of the log: so many bags. */
  readonly bags?: number
}

/** A tape laid along a yarn is good to so much of it (from memory: yarn stretches under the hand). */
const TAPE_SHARE = 0.03

/** Kitchen scales are good to a gram, or half of one (common practice, no source). */
const SCALES_G = 0.5

/** A row says how its own stitches eat; a bag differs from it as from another bag. */
function byUnravelled({ stitch, rowCm, yarnCm }: UnravelledRow, yarn: ShelfYarn): YarnUse {
  const saidCm = rowCm * STITCHES[stitch].yarnPerWidth
  return { gramsPerMetre: gramsOf(yarnCm / saidCm, yarn), spread: Math.hypot(YARN_SPREAD.bags, TAPE_SHARE), from: 'unravelled' }
}

/** Metres that the plan would say of a swatch. */
function saidOfSwatch({ stitch, rounds, wideCm }: WeighedSwatch): number {
  return (rounds * wideCm * STITCHES[stitch].yarnPerWidth) / 100
}

function byWeighed(weighed: WeighedSwatch): YarnUse {
  return {
    gramsPerMetre: weighed.grams / saidOfSwatch(weighed), spread: Math.hypot(YARN_SPREAD.bags, SCALES_G / weighed.grams), from: 'swatch',
  }
}

/** The craft's factors, and what the band says. */
function byCraft(yarn: Pick<ShelfYarn, 'metresPer100g'>): YarnUse {
  return { gramsPerMetre: gramsOf(1, yarn), spread: Math.hypot(YARN_SPREAD.makers, YARN_SPREAD.bags), from: 'craft' }
}

/** Rate taught by finished bags: its range holds nine of ten. */
function byLog({ value, nextLow, nextHigh, bags }: Estimate): YarnUse {
  return { gramsPerMetre: value, spread: Math.log(nextHigh / nextLow) / (2 * NINE_OF_TEN), from: 'log', bags }
}

/** Beyond the craft's own doubt, that of a yarn of which only the gauge is known: it may be a class finer or heavier (from memory). */
const UNSEEN = 0.3

/** How a yarn is eaten of which nobody said anything: by the classes that its gauge is probably worked in, or by finished bags. */
export function yarnUseUnseen(bag: Pick<Draft, 'gauge'>, taught?: Estimate): YarnUse {
  const [finer, heavier] = likelyClasses(bag)
  const craft = byCraft({ metresPer100g: (finer.metresPer100g + heavier.metresPer100g) / 2 })
  return taught && taught.bags > 0 ? byLog(taught) : { ...craft, spread: Math.hypot(craft.spread, UNSEEN) }
}

/** Best knowledge of a yarn's use: the surest of finished bags, a swatch weighed, a row unravelled, and the craft. */
export function yarnUseOf(yarn: ShelfYarn, taught?: Estimate): YarnUse {
  const known = [
    byCraft(yarn), ...(yarn.unravelled ? [byUnravelled(yarn.unravelled, yarn)] : []), ...(yarn.weighed ? [byWeighed(yarn.weighed)] : []),
    ...(taught && taught.bags > 0 ? [byLog(taught)] : []),
  ]
  return known.reduce((surest, one) => (one.spread < surest.spread ? one : surest))
}
