import { type FabricKind, STITCHES } from '../stitch/dictionary'
import type { Round } from './round'
import type { Step } from './step'

/** The schools of going round (craft 2). The style changes words, markers and facing, never a count. */
export const ROUND_STYLES = ['spiral', 'joined', 'turned'] as const
export type RoundStyle = (typeof ROUND_STYLES)[number]

/** How this maker goes round. */
export interface Rounds {
  readonly style: RoundStyle
  /** Both schools exist; without a join there is no starting chain and this says nothing. */
  readonly startingChainCounts: boolean
  /**
   * Stitches that the seam of joined, unturned rounds leaned over ten rounds, measured by the maker; above 0 it leaned back
   * from the way the rounds are worked, to the right for right hands.
   */
  readonly leanPerTen?: number
}

/** The chains that start a joined round of a stitch: an uncounted double is started lower, with 2 (craft 2). */
export function startingChains(kind: FabricKind, counts: boolean): number {
  const { heightChains, uncountedChains = heightChains } = STITCHES[kind]
  return counts ? heightChains : uncountedChains
}

/** Whether a round opens with a plain stitch in the place it starts at, which a starting chain can stand for. */
function opensPlainly(steps: readonly Step[]): boolean {
  const [first] = steps
  if (!first) return false
  if (first.do === 'repeat') return opensPlainly(first.steps)
  if (first.do === 'group') return (first.aim ?? 'next') === 'next' && first.steps[0]?.do === 'stitch'
  return first.do === 'stitch' && (first.aim ?? 'next') === 'next' && first.loop !== 'frontPost' && first.loop !== 'backPost'
}

/** The kind of the first stitch that a round works: its starting chain stands as tall. */
function firstKind(steps: readonly Step[]): FabricKind | undefined {
  for (const step of steps) {
    if ('kind' in step && STITCHES[step.kind].heightInSc > 0) return step.kind as FabricKind
    const inside = 'steps' in step ? firstKind(step.steps) : undefined
    if (inside) return inside
  }
  return undefined
}

/**
 * A round of these steps in the maker's style. Where a round does not open with a plain stitch, its starting chain cannot
 * stand for one, and does not count.
 *
 * @param turns how often turned work has been turned by then: it decides which side faces; 0 is the very first round
 */
export function inStyle(rounds: Rounds, turns: number, kind: FabricKind, colour: string, steps: readonly Step[]): Round {
  const joined = rounds.style !== 'spiral'
  const counts = joined && rounds.startingChainCounts && opensPlainly(steps)
  const turned = rounds.style === 'turned'
  return {
    steps,
    begin: { chains: joined ? startingChains(firstKind(steps) ?? kind, counts) : 0, counts, turn: turned && turns > 0 },
    join: joined ? 'slip' : 'spiral',
    facing: turned && turns % 2 === 1 ? 'wrong' : 'right',
    colour,
  }
}
