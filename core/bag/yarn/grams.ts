import type { Draft } from '../draft/draft'
import { likelyClasses } from './likelyClasses'

/** Grams of a yarn to every planned metre, from and to, as finished bags showed; by the yarn's name. */
export type TaughtGrams = Readonly<Record<string, { readonly low: number, readonly high: number }>>

/** Grams of a yarn in a bag, from and to, and whether the maker's own bags say so. */
interface NeededGrams {
  readonly low: number
  readonly high: number
  readonly taught: boolean
}

/** Usual weights are told in steps of so many grams: they are no surer. */
const STEP_G = 5

/**
 * Grams of so many metres of a yarn: by the maker's own bags in it, or by what the likely classes usually hold. Every screen and paper
 * that tells grams of a bag takes them from here.
 */
export function neededGrams(draft: Draft, name: string, metres: number, taught: TaughtGrams = {}): NeededGrams {
  const own = taught[name]
  if (own) return { low: metres * own.low, high: metres * own.high, taught: true }
  // Strands held together make up the gauge: each is so many times finer.
  const per100g = likelyClasses(draft).map(({ metresPer100g }) => metresPer100g * draft.design.gauge.strands)
  const [low, high] = per100g.map(each => Math.ceil((metres * 100) / each / STEP_G) * STEP_G) as [number, number]
  return { low, high, taught: false }
}
