import { placesOf } from '../../../things/round/edge'
import type { CountedSort } from '../../../things/round/recount'
import type { WorkedRound } from '../../../things/round/workedRound'

/** A count that a round really has on the hook; and what it is put right to in the next round, if it is. */
export interface CountCorrection {
  readonly round: number
  /** Stitches, or spaces or loops where these are what is counted. */
  readonly count: number
  /** The next round leaves what it would have left on so many. */
  readonly to?: number
}

/** The count of a round: how many, and of which things. */
export interface Countable {
  readonly what: CountedSort
  readonly number: number
}

/** The count that makers take of a round: its loops, its spaces where these are at least half, else its stitches. */
export function countable({ edge, round }: WorkedRound): Countable {
  const spaces = placesOf(edge, 'space')
  if (round.inLoops) return { what: 'loops', number: spaces }
  return 2 * spaces >= edge.count ? { what: 'spaces', number: spaces } : { what: 'stitches', number: edge.count - spaces }
}
