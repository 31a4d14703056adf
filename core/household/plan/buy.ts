import { type BallsOdds, oddsThatItLasts, SURE_ENOUGH, type Wants } from '../shelf/enough'
import { NINE_OF_TEN } from '../../making/log/estimate'
import { stockOf } from '../shelf/stock'
import type { ShelfYarn } from '../shelf/yarn'
import type { OrderPlan } from './orderPlan'

/*
 * Yarn for all that is still to be made: what it takes, what the shelf has, what to buy, by yarn and dye lot.
 */

/** Stock of one dye lot, and how many bags of the hungriest sort can be made from it alone. */
interface LotSeen {
  /** Empty of balls without one. */
  readonly lot: string
  readonly grams: number
  readonly bags: number
}

/** A yarn that orders take, and what of it is to be bought. */
export interface ToBuy {
  readonly name: string
  readonly colour: string
  /** Bags that take it. */
  readonly bags: number
  readonly wants: Wants
  /** The yarn of the shelf; none of one that stands alone, of which only grams are known. */
  readonly yarn?: ShelfYarn
  /** Stock, less what orders due earlier take. */
  readonly haveGrams: number
  /** Use by these, if any. */
  readonly spokenForGrams?: number
  /** How likely it is that what lies there lasts. */
  readonly lasts: number
  /** Whole balls to buy, and how likely it is that it lasts then; none to buy where it lasts as it is. */
  readonly buy?: BallsOdds
  /** Cost of these in hundredths, if the price of a ball is known. */
  readonly cost?: number
  readonly lots: readonly LotSeen[]
}

/** More balls than this nobody buys: what asks for them is a mistake. */
const MOST_BALLS = 10_000

function ballsToBuy(haveGrams: number, all: Wants, ballGrams: number): BallsOdds {
  const of = (balls: number): BallsOdds => ({ balls, odds: oddsThatItLasts(haveGrams + balls * ballGrams, all) })
  let balls = Math.max(0, Math.floor((all.grams - haveGrams) / ballGrams))
  while (of(balls).odds < SURE_ENOUGH && balls < MOST_BALLS) balls++
  while (balls > 0 && of(balls - 1).odds >= SURE_ENOUGH) balls--
  return of(balls)
}

function lotsOf(yarn: ShelfYarn, one: Wants): LotSeen[] {
  const grams = new Map<string, number>()
  for (const { lot = '', grams: weighs } of yarn.balls) if (weighs > 0) grams.set(lot, (grams.get(lot) ?? 0) + weighs)
  const enoughFor = (have: number) => {
    let bags = 0
    while (bags < 1000 && oddsThatItLasts(have - bags * one.grams, one) >= SURE_ENOUGH) bags++
    return bags
  }
  return [...grams].map(([lot, have]) => ({ lot, grams: have, bags: enoughFor(have) })).sort((a, b) => b.grams - a.grams)
}

/** Need of several bags for one yarn, each sum with the spread of the one that is least sure: one pair of hands uses all of it. */
interface YarnSum {
  name: string
  colour: string
  grams: number
  spread: number
  bags: number
  hungriest: number
  shelf: string | undefined
}

function summed(plans: readonly OrderPlan[]): YarnSum[] {
  const all = new Map<string, YarnSum>()
  for (const { share, work } of plans.flatMap(({ jobs }) => jobs)) {
    for (const { shelf, name, colour, grams, spread } of work.yarns) {
      const key = shelf ?? `alone ${name}`
      const sum = all.get(key) ?? { name, colour, grams: 0, spread: 0, bags: 0, hungriest: 0, shelf }
      all.set(key, sum)
      sum.grams += share * grams
      sum.spread = Math.max(sum.spread, spread)
      sum.hungriest = Math.max(sum.hungriest, grams)
      sum.bags++
    }
  }
  return [...all.values()]
}

function rangeOf(grams: number, spread: number): Wants {
  const far = Math.exp(NINE_OF_TEN * spread)
  return { grams, low: grams / far, high: grams * far, spread }
}

/**
 * The yarn that all bags still to be made take, most wanted first; of a bag on the hook, the share of it that is not made.
 *
 * @param earlier orders that the shelf is there for before these
 */
export function yarnToBuy(
  plans: readonly OrderPlan[],
  onShelf: (id: string) => ShelfYarn | undefined,
  earlier: readonly OrderPlan[] = [],
): ToBuy[] {
  const spokenFor = new Map(summed(earlier).flatMap(({ shelf, grams }) => (shelf === undefined ? [] : [[shelf, grams] as const])))
  return summed(plans).map(({ name, colour, grams, spread, bags, hungriest, shelf }): ToBuy => {
    const all = rangeOf(grams, spread)
    const yarn = shelf === undefined ? undefined : onShelf(shelf)
    if (!yarn) return { name, colour, bags, wants: all, haveGrams: 0, lasts: 0, lots: [] }
    const taken = spokenFor.get(yarn.id) ?? 0
    const haveGrams = Math.max(0, stockOf(yarn).grams - taken)
    const lasts = oddsThatItLasts(haveGrams, all)
    const buy = lasts >= SURE_ENOUGH ? undefined : ballsToBuy(haveGrams, all, yarn.ballGrams)
    return {
      name, colour, bags, wants: all, yarn, haveGrams, lasts, lots: lotsOf(yarn, rangeOf(hungriest, spread)), ...(buy ? { buy } : {}),
      ...(taken > 0 ? { spokenForGrams: taken } : {}),
      ...(buy && yarn.ballPrice !== undefined ? { cost: buy.balls * yarn.ballPrice } : {}),
    }
  }).sort((a, b) => b.wants.grams - a.wants.grams)
}
