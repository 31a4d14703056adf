import type { Round } from './round'
import type { Step } from './step'

/**
 * A round of these steps as far as counts go: no chain, no join, no yarn of its own. To try whether they come out on an edge.
 *
 * @param row of a row: whether the work is turned before it
 */
export function bareRound(steps: readonly Step[], row?: { readonly turn: boolean }): Round {
  return {
    steps, begin: { chains: 0, counts: false, turn: row?.turn ?? false }, join: row ? 'open' : 'spiral', facing: 'right', colour: '',
  }
}
