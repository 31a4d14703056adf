import { type FabricKind, STITCHES } from '../stitch/dictionary'
import type { Round } from './round'
import type { Step } from './step'

/** The schools of going round (handbook 2). The style changes words, markers and facing, never a count. */
export const ROUND_STYLES = ['spiral', 'joined', 'turned'] as const
export type RoundStyle = (typeof ROUND_STYLES)[number]

/** How this maker goes round. */
export interface Rounds {
  readonly style: RoundStyle
  /** Both schools exist; without a join there is no starting chain and this says nothing. */
  readonly startingChainCounts: boolean
}

/** The chains that start a joined round of a stitch: an uncounted double is started lower, with 2 (handbook 2). */
export function startingChains(kind: FabricKind, counts: boolean): number {
  if (kind === 'dc' && !counts) return 2
  return STITCHES[kind].heightChains
}

/**
 * A round of these steps in the maker's style.
 *
 * @param turns how often turned work has been turned by then: it decides which side faces; 0 is the very first round
 */
export function inStyle(rounds: Rounds, turns: number, kind: FabricKind, colour: string, steps: readonly Step[]): Round {
  const joined = rounds.style !== 'spiral'
  const counts = joined && rounds.startingChainCounts
  const turned = rounds.style === 'turned'
  return {
    steps,
    begin: { chains: joined ? startingChains(kind, counts) : 0, counts, turn: turned && turns > 0 },
    join: joined ? 'slip' : 'spiral',
    facing: turned && turns % 2 === 1 ? 'wrong' : 'right',
    colour,
  }
}
