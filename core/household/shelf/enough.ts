import { NINE_OF_TEN } from '../../making/log/estimate'
import type { Rate } from './yarnUse'

/** Need of a bag for a yarn, in grams: what is expected, and the range that holds nine of ten. */
export interface Wants {
  readonly grams: number
  readonly low: number
  readonly high: number
  readonly spread: number
}

/** Grams of a yarn for so many metres by the plan. */
export function wants(saidMetres: number, { gramsPerMetre, spread }: Rate): Wants {
  const grams = saidMetres * gramsPerMetre
  const far = Math.exp(NINE_OF_TEN * spread)
  return { grams, low: grams / far, high: grams * far, spread }
}

/**
 * The share of a normal distribution below so many deviations (Abramowitz and Stegun, Handbook of Mathematical Functions, 26.2.17, from
 * memory: good to 7.5e-8).
 */
export function normalShare(deviations: number): number {
  const z = Math.abs(deviations)
  const t = 1 / (1 + 0.2316419 * z)
  const tail = (Math.exp(-z * z / 2) / Math.sqrt(2 * Math.PI))
    * t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  return deviations >= 0 ? 1 - tail : tail
}

/** How likely it is that so many grams last. */
export function oddsThatItLasts(haveGrams: number, { grams, spread }: Wants): number {
  if (haveGrams <= 0) return grams > 0 ? 0 : 1
  if (grams <= 0) return 1
  if (spread <= 0) return haveGrams >= grams ? 1 : 0
  return normalShare(Math.log(haveGrams / grams) / spread)
}

/** Balls bought are enough with these odds (from memory: one bag in ten that runs short is one too many, and no maker buys for all). */
export const SURE_ENOUGH = 0.9

/** So many balls, and how likely it is that they last. */
export interface BallsOdds {
  readonly balls: number
  readonly odds: number
}

/** The fewest whole balls that are sure enough, and the odds of one fewer, so that a maker can weigh it. */
export function ballsFor(bagWants: Wants, ballGrams: number): { readonly enough: BallsOdds, readonly fewer?: BallsOdds } {
  const of = (balls: number): BallsOdds => ({ balls, odds: oddsThatItLasts(balls * ballGrams, bagWants) })
  let balls = Math.max(1, Math.ceil(bagWants.grams / ballGrams))
  while (of(balls).odds < SURE_ENOUGH) balls++
  while (balls > 1 && of(balls - 1).odds >= SURE_ENOUGH) balls--
  return { enough: of(balls), ...(balls > 1 ? { fewer: of(balls - 1) } : {}) }
}

/** Balls and odds as a maker says them: `2 balls: 93 % that they last`. */
export function oddsWords({ balls, odds }: BallsOdds): string {
  const percent = Math.min(99, Math.max(1, Math.round(100 * odds)))
  return balls === 1 ? `1 ball: ${percent} % that it lasts` : `${balls} balls: ${percent} % that they last`
}

/** 0.9 of the normal distribution lies below so many deviations (standard tables). */
const SURE_DEVIATIONS = 1.2816

/** Metres by the plan that so many grams are sure enough to make. */
export function sureMetres(haveGrams: number, { gramsPerMetre, spread }: Rate): number {
  return haveGrams / (gramsPerMetre * Math.exp(SURE_DEVIATIONS * spread))
}
