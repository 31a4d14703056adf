import { MOST_MADE } from '../../../things/round/stitchBudget'
import type { BagState, Origin, WorkedPart } from './bagState'

/*
 * A memo around the fold: a part that would be worked from the very same things as before is taken over. With it and without it the
 * outcome is the same (law 4).
 */

/** Finds the part that was worked from the same sources before, at the same place; nothing where none was. */
export type Memo = (state: BagState, origin: Origin) => WorkedPart | undefined

function alike(a: Origin, b: Origin): boolean {
  return (
    a.spec === b.spec
    && a.edge === b.edge
    && a.index === b.index
    && a.turns === b.turns
    && a.saw.length === b.saw.length
    && a.saw.every((one, i) => one === b.saw[i])
  )
}

/** A memo of parts worked before; of none, it finds nothing. */
export function memoOf(worked: readonly WorkedPart[] = []): Memo {
  return (state, origin) => {
    const before = worked[state.worked.length]
    // What was worked before has to be within the stitches that may still be made here, too.
    return before && alike(before.origin, origin) && state.made + before.reached <= MOST_MADE ? before : undefined
  }
}
