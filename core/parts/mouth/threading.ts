/*
 * How cords are threaded
 * ======================
 *
 * Eyelets are numbered from the start of the round, 0 to `n - 1`, and post `i` stands between eyelet `i` and the next. A cord goes
 * in through the eyelet at its own side, behind a post, out through the next eyelet, over a post, in again, and so on once
 * round. With an even number of eyelets it comes out of the last one and over the last post to where it began: both ends
 * hang outside, side by side. With an odd number its end would be left inside.
 *
 * Two opposed cords start half the eyelets apart and lie behind the same posts. If half the eyelets is an even number,
 * both go the same way round; if it is odd, the second goes the other way round, which brings it behind the same posts. Going
 * the other way of the two it lies over those posts instead.
 */

/** One passage of a cord through an eyelet. */
interface Pass {
  readonly eyelet: number
  readonly goes: 'in' | 'out'
}

/** The way of one cord. */
export interface CordWay {
  /** Where both its ends hang out. */
  readonly start: number
  /** 1 with the rounds, -1 against them. */
  readonly direction: 1 | -1
  readonly passes: readonly Pass[]
  /** Posts that it lies behind, and posts that it lies over, in the order it meets them. */
  readonly under: readonly number[]
  readonly over: readonly number[]
}

/** The ways of all cords, or why they cannot be threaded. */
export type Threading
  = | { readonly ok: true, readonly cords: readonly CordWay[], readonly quarters: readonly number[] }
    | { readonly ok: false, readonly why: string }

function wayFrom(start: number, direction: 1 | -1, eyelets: number): CordWay {
  const at = (i: number) => (((start + direction * i) % eyelets) + eyelets) % eyelets
  /** The post between the `i`-th eyelet that the cord meets and the one after. */
  const post = (i: number) => (direction === 1 ? at(i) : at(i + 1))
  const every = Array.from({ length: eyelets }, (_, i) => i)
  return {
    start, direction, passes: every.map(i => ({ eyelet: at(i), goes: i % 2 === 0 ? 'in' : 'out' })),
    under: every.filter(i => i % 2 === 0).map(post), over: every.filter(i => i % 2 === 1).map(post),
  }
}

/**
 * Threads one cord, or two opposed ones, through eyelets.
 *
 * @param second whether the second lies behind the same posts as the first, or over those that the first lies behind: two schools, of which
 * the first draws closed more evenly and the second holds both apart (common practice, no source)
 * @param first the eyelet at the first cord's side
 */
export function thread(eyelets: number, number: 1 | 2, second: 'alike' | 'crossed' = 'alike', first = 0): Threading {
  if (eyelets < 4) return { ok: false, why: `${eyelets} eyelets are too few to gather: at least 4 are wanted.` }
  if (eyelets % 2 === 1)
    return { ok: false, why: `With ${eyelets} eyelets a cord comes back to where it began on the inside: it needs an even number.` }
  const half = eyelets / 2
  const direction = (half % 2 === 0) === (second === 'alike') ? 1 : -1
  const cords = [wayFrom(first, 1, eyelets), ...(number === 2 ? [wayFrom((first + half) % eyelets, direction, eyelets)] : [])]
  // Opening cords go around posts that the others lie behind, nearest to half way between the two sides.
  const quarters = [0.25, 0.75].map((share) => {
    const wanted = (first + share * eyelets) % eyelets
    return cords[0]!.under.reduce((best, post) =>
      ringApart(post + 0.5, wanted, eyelets) < ringApart(best + 0.5, wanted, eyelets) ? post : best,
    )
  })
  return { ok: true, cords, quarters }
}

function ringApart(a: number, b: number, around: number): number {
  const apart = Math.abs(a - b) % around
  return Math.min(apart, around - apart)
}
