import type { Round } from './round'
import type { Step } from './step'

/** A round of these steps as far as counts go: no chain, no join, no yarn of its own. To try whether they come out on an edge. */
export function bareRound(steps: readonly Step[]): Round {
  return { steps, begin: { chains: 0, counts: false, turn: false }, join: 'spiral', facing: 'right', colour: '' }
}
