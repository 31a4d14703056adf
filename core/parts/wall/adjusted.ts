import { SOLID_STITCHES } from '../band/solid'
import type { FabricKind } from '../../things/stitch/dictionary'

/*
 * Adjusting rounds as findings, the search for counts and miscounts put them into a wall.
 */

/** Name of adjusting rounds in a document. */
export const ADJUST_KIND = 'adjust'

/** Steeper than this a round puckers: one decrease in so many stitches (craft 7; from memory). */
export const STITCHES_A_CHANGE = 6

/** An adjusting round to so many stitches, in the stitch and yarn of what lies below it. */
export function adjustedTo<const To>(to: To, kind: FabricKind, colour: string) {
  return { kind: ADJUST_KIND, stitch: SOLID_STITCHES.find(one => one === kind) ?? 'dc', to, mirrored: true, colour } as const
}

/** Whether a part is an adjusting round that a search for counts may put elsewhere: not one that says what the maker counted. */
function isAdjusting(spec: { readonly kind: string, readonly counted?: boolean }): boolean {
  // Documents are looked at before their kinds are loaded: no declaration can be asked.
  // eslint-disable-next-line house/roles -- this is the kind's own file
  return spec.kind === ADJUST_KIND && !spec.counted
}

/** The wall without the adjusting rounds that a fit may put in anew; those that say what the maker counted stay. */
export function bareWall<P extends { readonly kind: string, readonly counted?: boolean }>(wall: readonly P[]): P[] {
  return wall.filter(spec => !isAdjusting(spec))
}
