import { type Beat, groupsIn } from './beat'
import { type Leg, placeOfLeg, type Route } from './leg'

/** Where the hook is on a road. */
export interface HookPosition {
  /** The leg in hand, by its place on the road; the road's length when all is done. */
  readonly index: number
  readonly leg: Leg | undefined
  /** Beats of it that are done. */
  readonly done: number
}

function nextAfter(road: Route, index: number): HookPosition {
  return { index: index + 1, leg: road.legs[index + 1], done: 0 }
}

/** The last round of the road that is not beyond the one a leg's id names: for a leg that a changed plan no longer has. */
function nearest(road: Route, id: string): number {
  const number = /^r(\d+)$/.exec(id)?.[1]
  if (number === undefined) return -1
  let found = -1
  road.legs.forEach((leg, i) => (found = leg.sort === 'round' && leg.number <= Number(number) ? i : found))
  return found
}

/** Where a spot of the log lies on a road; at a leg's end is at the next one's beginning. */
export function hookPositionAt(road: Route, { leg: id, beats }: { readonly leg: string, readonly beats: number | 'all' }): HookPosition {
  const known = placeOfLeg(road, id)
  const index = known ?? nearest(road, id)
  if (index < 0) return { index: 0, leg: road.legs[0], done: 0 }
  const leg = road.legs[index]!
  if (beats === 'all' || known === undefined) return nextAfter(road, index)
  return beats >= leg.beats().length ? nextAfter(road, index) : { index, leg, done: beats }
}

/** Which group of how many the hook is in. */
export function groupAt(beats: readonly Beat[], done: number): { readonly nth: number, readonly of: number } {
  const at = beats[Math.min(done, beats.length - 1)]
  return { nth: (at?.group ?? 0) + 1, of: groupsIn(beats) }
}

/** How many things of a leg are made by then. */
export function madeBy(beats: readonly Beat[], done: number): number {
  return done === 0 ? 0 : beats[Math.min(done, beats.length) - 1]!.to
}
