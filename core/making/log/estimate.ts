/*
 * Estimates from a few bags
 * =========================
 *
 * Everything that is learnt of a maker is learnt the same way: each finished bag says a figure, good to so much; bags differ among
 * each other by more than that; and before any bag there is what the craft says. The figures are logarithms, since all of them are
 * ratios: a maker is 10 % quicker, not 0.3 seconds.
 *
 * The model is the usual one of random effects: bag b says y_b = m + d_b + e_b, with the spread τ of the d_b between bags and the known
 * error s_b. What is expected of m is the mean of the craft's value and the bags', each weighing as the inverse of its variance (normal
 * with a normal prior: Gelman and others, Bayesian Data Analysis, chapter 2 and 5, from memory). τ is estimated as the mean of squares
 * of what the bags differ by, shrunk to a usual spread that counts as so many bags (scaled inverse chi-squared, same book, chapter 3).
 * One odd bag is held back: what lies further from the median than 1.5 spreads weighs less in proportion (Huber, Robust Estimation of a
 * Location Parameter, 1964, from memory). Ranges are Student's, since the spread is itself only estimated.
 */

/** Evidence of one bag: a logarithm, and how sure it is of it. */
export interface Observation {
  readonly value: number
  readonly error: number
}

/** Prior, before any bag: a logarithm, how far makers differ from it, and how far one maker's bags differ. */
interface Craft {
  readonly value: number
  readonly makers: number
  readonly bags: number
}

/** A figure learnt, with the range in which the maker's own mean and the next bag's lie, nine times of ten. */
export interface Estimate {
  readonly value: number
  /** Of the maker's mean. */
  readonly low: number
  readonly high: number
  /** Of the next bag. */
  readonly nextLow: number
  readonly nextHigh: number
  /** So many bags stand behind it; none: it is the craft's. */
  readonly bags: number
}

/** The craft's spread between bags counts as much as so many bags. */
const SPREAD_BAGS = 4

/** Further than so many spreads from the median a bag is held back. */
const ODD = 1.5

/** The 95th percentile of the normal distribution: nine of ten lie between it and its opposite. */
export const NINE_OF_TEN = 1.6449

/**
 * The 95th percentile of Student's distribution, by the expansion of Cornish and Fisher (Abramowitz and Stegun, Handbook of Mathematical
 * Functions, 26.7.5, from memory).
 */
export function student(freedom: number): number {
  const z = NINE_OF_TEN
  const g1 = (z ** 3 + z) / 4
  const g2 = (5 * z ** 5 + 16 * z ** 3 + 3 * z) / 96
  const g3 = (3 * z ** 7 + 19 * z ** 5 + 17 * z ** 3 - 15 * z) / 384
  return z + g1 / freedom + g2 / freedom ** 2 + g3 / freedom ** 3
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const middle = sorted.length >> 1
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2
}

/** How much each bag weighs besides its error: less where it lies far from the others. */
function heldBack(said: readonly Observation[], spread: number): number[] {
  if (said.length < 3) return said.map(() => 1)
  const middle = median(said.map(({ value }) => value))
  return said.map(({ value, error }) => Math.min(1, (ODD * Math.hypot(spread, error)) / Math.max(1e-12, Math.abs(value - middle))))
}

/** The spread between bags, as a variance: what they differ by beyond their errors, shrunk to the usual. */
function spreadOf(said: readonly Observation[], weights: readonly number[], usual: number): number {
  if (said.length < 2) return usual ** 2
  const sum = weights.reduce((all, weight) => all + weight, 0)
  const mean = said.reduce((all, { value }, i) => all + weights[i]! * value, 0) / sum
  const squares = said.reduce((all, { value, error }, i) => all + weights[i]! ** 2 * ((value - mean) ** 2 - error ** 2), 0)
  const beyond = Math.max(0, (squares * said.length) / (said.length - 1))
  return (SPREAD_BAGS * usual ** 2 + beyond) / (SPREAD_BAGS + said.length - 1)
}

/** Posterior of a maker, from what their bags said and what the craft says. */
export function estimate(said: readonly Observation[], craft: Craft): Estimate {
  const held = heldBack(said, craft.bags)
  const spread = spreadOf(said, held, craft.bags)
  const weights = said.map(({ error }, i) => held[i]! / (spread + error ** 2))
  const own = 1 / craft.makers ** 2
  const sum = weights.reduce((all, weight) => all + weight, own)
  const value = said.reduce((all, one, i) => all + weights[i]! * one.value, own * craft.value) / sum
  const t = student(SPREAD_BAGS + Math.max(0, said.length - 1))
  const [mean, next] = [t / Math.sqrt(sum), t * Math.sqrt(1 / sum + spread)]
  return { value, low: value - mean, high: value + mean, nextLow: value - next, nextHigh: value + next, bags: said.length }
}

/** An estimate of a logarithm as one of the figure itself. */
export function unlogged({ bags, ...figures }: Estimate): Estimate {
  const all = Object.entries(figures).map(([name, value]) => [name, Math.exp(value)])
  return { ...(Object.fromEntries(all) as Omit<Estimate, 'bags'>), bags }
}
