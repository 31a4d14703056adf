import type { Step } from './step'

/** How a round starts and ends: the three schools of handbook 2, and rows. */
export type Join = 'spiral' | 'slip' | 'open'

/** How a round gets up to its own height. */
export interface Begin {
  /** Chains worked before the first stitch; 0 in a spiral. */
  readonly chains: number
  /** Whether those chains are the round's first stitch, or stand beside it uncounted. */
  readonly counts: boolean
  /** Whether the work is turned before this round, so that it runs back over the round below. */
  readonly turn: boolean
}

/** One round (or row) as it is worked. The steps always hold every stitch, a counting starting chain included. */
export interface Round {
  readonly steps: readonly Step[]
  readonly begin: Begin
  readonly join: Join
  readonly facing: 'right' | 'wrong'
  /** The yarn, by its id in the design. */
  readonly colour: string
}
