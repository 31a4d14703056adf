import type { PartResult } from './part'

/** A part as far as its rounds rise. */
type Rising = Pick<PartResult, 'rounds' | 'rising' | 'rises' | 'size'>

/** How much the `i`-th of a part's rounds rises, in centimetres; nothing for a round of a floor. */
export function riseOf({ rounds, rising = rounds.length, rises, size }: Rising, i: number): number {
  if (i < rounds.length - rising) return 0
  return rises?.[i] ?? (rising > 0 ? size.height.cm / rising : 0)
}

/** How tall the rounds of a part from one up to another stand, in centimetres: their share of its height. */
export function risenCm(part: Rising, from: number, to: number): number {
  let [all, own] = [0, 0]
  for (let i = 0; i < part.rounds.length; i++) {
    all += riseOf(part, i)
    if (i >= from && i < to) own += riseOf(part, i)
  }
  return all > 0 ? (part.size.height.cm * own) / all : 0
}
