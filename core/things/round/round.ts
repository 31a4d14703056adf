import type { FabricKind } from '../stitch/dictionary'
import type { Step } from './step'

/** How a round starts and ends: the three schools of craft 2, and rows. */
export type Join = 'spiral' | 'slip' | 'open'

/** How a round gets up to its own height. */
export interface Begin {
  /** Chains worked before the first stitch; 0 in a spiral. */
  readonly chains: number
  /** Whether those chains are the round's first stitch, or stand beside it uncounted. */
  readonly counts: boolean
  /** Whether the work is turned before this round, so that it runs back over the round below. */
  readonly turn: boolean
  /** Turned work goes past the join and its chain, into the last stitch of the round below: the join's own place is met last. */
  readonly past?: true
  /** Slip stitches along the edge below to where the round is to start, before anything else; none if left out. */
  readonly along?: number
}

/**
 * How a round of loops is closed: its last loop is made of fewer chains and a taller stitch into the round's first one, which
 * together are as long as a loop, so that the next round starts at the loop's top (craft 8).
 */
export interface Closing {
  readonly chains: number
  readonly kind: FabricKind
  /** Chains of a whole loop: what the two together stand for. */
  readonly loop: number
}

/** One round (or row) as it is worked. The steps always hold every stitch, a counting starting chain included. */
export interface Round {
  readonly steps: readonly Step[]
  readonly begin: Begin
  readonly join: Join
  /** Instead of a join: the last loop, closed by a taller stitch. */
  readonly closing?: Closing
  /** Counted by its loops rather than its stitches, as makers do in mesh. */
  readonly inLoops?: boolean
  readonly facing: 'right' | 'wrong'
  /** The yarn, by its id in the design. */
  readonly colour: string
}
