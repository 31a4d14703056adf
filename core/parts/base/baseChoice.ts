import type { StitchSize } from '../../things/gauge/gauge'
import { MOST_ROUNDS } from '../part/part'
import { flatIncreases, flatness } from './flatness'

/** A base with its counts pinned, the stitches its edge has, and how far its sizes are from the wanted ones. */
export interface BaseChoice {
  /** A spec of the same form. */
  readonly base: object
  readonly stitches: number
  /** Summed over its sizes; each is within the tolerance. */
  readonly errorCm: number
  /** How much larger each size is than wanted, by its name; below 0 smaller. */
  readonly off: readonly { readonly size: 'length' | 'width' | 'across' | 'flat width', readonly cm: number }[]
}

/** Whole numbers whose size, `unit` a piece from `start` at 0, lies within a tolerance of a wanted one. */
export function countsWithin(wantedCm: number, toleranceCm: number, unit: number, start = 0, least = 1): number[] {
  const from = Math.max(least, Math.ceil((wantedCm - toleranceCm - start) / unit - 1e-9))
  const to = Math.floor((wantedCm + toleranceCm - start) / unit + 1e-9)
  return Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => from + i)
}

/** The numbers of increases worth trying: the maker's own, or those that lie flat in this gauge, or nearly; of an oval half of them. */
export function increasesToTry(asked: number | 'by-gauge', stitch: StitchSize, half: boolean): number[] {
  if (asked !== 'by-gauge') return [asked]
  const best = half ? Math.max(2, Math.round(flatIncreases(stitch) / 2)) : flatIncreases(stitch)
  const lies = (n: number) => ['flat', 'ripple'].includes(flatness(half ? 2 * n : n, stitch).judgement)
  return [best - 1, best, best + 1].filter(n => n >= (half ? 2 : 3) && (n === best || lies(n)))
}

/** How far off a choice is, and in all. */
export function offBy(...off: BaseChoice['off']): Pick<BaseChoice, 'off' | 'errorCm'> {
  return { off, errorCm: off.reduce((sum, { cm }) => sum + Math.abs(cm), 0) }
}

/**
 * Choices of a form whose edge lies flat, so many stitches wide for every count.
 *
 * @param pin the same base with a count pinned
 * @param wide stitches that it lies wide for a count
 */
export function flatChoices(
  askedCm: number,
  toleranceCm: number,
  stitchCm: number,
  least: number,
  pin: (count: number) => object,
  wide: (count: number) => number,
): BaseChoice[] {
  const most = Math.ceil((2 * (askedCm + toleranceCm)) / stitchCm) + 24
  return Array.from({ length: most }, (_, i) => i + least)
    .filter(count => wide(count) >= 2 && Math.abs(wide(count) * stitchCm - askedCm) <= toleranceCm + 1e-9)
    .map((count): BaseChoice => ({
      base: pin(count), stitches: 2 * wide(count), ...offBy({ size: 'flat width', cm: wide(count) * stitchCm - askedCm }),
    }))
}

/** Rounds whose width lies within a tolerance of a wanted one; each makes it wider. */
export function roundsWithin(wantedCm: number, toleranceCm: number, widthCm: (rounds: number) => number): number[] {
  const found: number[] = []
  for (let rounds = 1; rounds <= MOST_ROUNDS && widthCm(rounds) <= wantedCm + toleranceCm + 1e-9; rounds++)
    if (widthCm(rounds) >= wantedCm - toleranceCm - 1e-9) found.push(rounds)
  return found
}
