import { type FabricKind, STITCHES } from '../stitch/dictionary'
import { firstKind } from './firstKind'
import type { Round } from './round'
import type { Step } from './step'

/** The schools of going round (craft 2). The style changes words, markers and facing, never a count. */
export const ROUND_STYLES = ['spiral', 'joined', 'turned'] as const
export type RoundStyle = (typeof ROUND_STYLES)[number]

/** How this maker goes round: the bag, or a part of it that goes in a way of its own. */
export interface Rounds {
  readonly style: RoundStyle
  /** Both schools exist, and the usual custom between them: it counts in tall stitches alone. Without a join this says nothing. */
  readonly startingChainCounts: boolean | 'tall'
  /** Chains at a round's start whatever its stitch: 1 where the loop is drawn up instead; as tall as the stitch if left out. */
  readonly startingChains?: number
  /** Of turned rounds: whether the first stitch goes where the join is, or past chain and join into the last stitch made. */
  readonly firstStitch?: FirstStitch
  /** Of turned rounds: so many first ones are not turned yet. */
  readonly turnsAfter?: number
  /**
   * Stitches that the start of the rounds leaned over ten of them, measured by the maker; above 0 it leaned back from the way they are
   * worked, to the right for right hands.
   */
  readonly leanPerTen?: number
}

/** The two schools of a turned round's first stitch (craft 2). Both give the same count; mixing them loses or gains one. */
type FirstStitch = 'joined' | 'last'

/** Half a stitch a round: what the start of a spiral usually drifts (craft 2; common practice, no source). */
export const SPIRAL_LEAN = 5

/** Stitches that the start of the rounds leans over ten of them: as measured, or as is usual; turned rounds stand straight. */
export function leanOf({ style, leanPerTen }: Rounds): number {
  if (style === 'turned') return 0
  return leanPerTen ?? (style === 'spiral' ? SPIRAL_LEAN : 0)
}

/** Stitches from this height in chains on are tall: their starting chain counts by the usual custom. */
const TALL_CHAINS = 3

/** Whether a starting chain counts as a stitch of a kind. */
export function chainCounts({ style, startingChainCounts }: Rounds, kind: FabricKind): boolean {
  if (style === 'spiral') return false
  return startingChainCounts === 'tall' ? STITCHES[kind].heightChains >= TALL_CHAINS : startingChainCounts
}

/** The chains that start a joined round of a stitch: an uncounted double is started lower, with 2 (craft 2). */
export function startingChains(kind: FabricKind, counts: boolean, own?: number): number {
  const { heightChains, uncountedChains = heightChains } = STITCHES[kind]
  return own ?? (counts ? heightChains : uncountedChains)
}

/** Whether a round opens with a plain stitch in the place it starts at, which a starting chain can stand for. */
function opensPlainly(steps: readonly Step[]): boolean {
  const [first] = steps
  if (!first) return false
  if (first.do === 'repeat') return opensPlainly(first.steps)
  if (first.do === 'group') return (first.aim ?? 'next') === 'next' && first.steps[0]?.do === 'stitch'
  return first.do === 'stitch' && (first.aim ?? 'next') === 'next' && first.loop !== 'frontPost' && first.loop !== 'backPost'
}

/** How a part goes round, and how often the work below it was turned, which decides which side faces; 0 is the very first round. */
export interface RoundSetting {
  readonly rounds: Rounds
  readonly turns: number
}

/** Which side the `i`-th round of a part shows, and whether the work is turned for it. */
export function facingOf({ rounds: { style, turnsAfter = 0 }, turns }: RoundSetting, i: number): Pick<Round,
  'facing'> & { readonly turn: boolean } {
  const unturned = style === 'turned' ? turnsAfter : Infinity
  // What goes on unturned over a wrong side is turned once, so that the right side faces from there on.
  if (i < unturned) return { facing: 'right', turn: i === 0 && turns > 0 && turns % 2 === 0 }
  const turned = unturned > 0 ? 1 + i - unturned : turns + i
  return { facing: turned % 2 === 1 ? 'wrong' : 'right', turn: turned > 0 }
}

/** Which side of the fabric the last round below shows: in turned work every second one the wrong side. */
export function facingBelow({ turns }: Pick<RoundSetting, 'turns'>): 'right' | 'wrong' {
  return turns > 0 && turns % 2 === 0 ? 'wrong' : 'right'
}

/**
 * The `i`-th round of a part, of these steps, in its maker's style. Where a round does not open with a plain stitch, its starting chain
 * cannot stand for one, and does not count.
 */
export function inStyle(going: RoundSetting, i: number, kind: FabricKind, colour: string, steps: readonly Step[]): Round {
  const { rounds } = going
  const joined = rounds.style !== 'spiral'
  const own = firstKind(steps) ?? kind
  const { facing, turn } = facingOf(going, i)
  const counts = chainCounts(rounds, own) && opensPlainly(steps)
  return {
    steps, begin: { chains: joined ? startingChains(own, counts, rounds.startingChains) : 0, counts, turn },
    join: joined ? 'slip' : 'spiral', facing, colour,
  }
}

/**
 * The same of a round of fabric, which may also begin past its join if the maker is of that school: in the last stitch of the round
 * before, where a starting chain stands for nothing.
 */
export function fabricInStyle(going: RoundSetting, i: number, kind: FabricKind, colour: string, steps: readonly Step[]): Round {
  const { rounds } = going
  const past = rounds.style === 'turned' && rounds.firstStitch === 'last' && facingOf(going, i).turn
  if (!past) return inStyle(going, i, kind, colour, steps)
  const round = inStyle({ ...going, rounds: { ...rounds, startingChainCounts: false } }, i, kind, colour, steps)
  return { ...round, begin: { ...round.begin, past } }
}

/** Whether chains follow right on the first stitch. */
function opensOnSpace([first, second]: readonly Step[]): boolean {
  if (first?.do === 'repeat') return opensOnSpace(first.steps)
  if (first?.do === 'group') return first.steps[1]?.do === 'chain'
  const next = second?.do === 'repeat' ? second.steps[0] : second
  return first?.do === 'stitch' && first.times === 1 && next?.do === 'chain'
}

/** A row of a flat piece: how many lie below it in the piece, and whether the very first of them faces wrong. */
export interface RowsBelow {
  readonly below: number
  readonly wrongFirst?: boolean
}

/** Which side the `i`-th row upon those of a piece shows. */
export function facingOfRow({ below, wrongFirst = false }: RowsBelow, i: number): Round['facing'] {
  return ((below + i) % 2 === 1) === wrongFirst ? 'right' : 'wrong'
}

/** A row of these steps, to and fro: all but the piece's first turn. Where one opens with no plain stitch, its chain does not count. */
export function inRow(rounds: Rounds, rows: RowsBelow, i: number, kind: FabricKind, colour: string, steps: readonly Step[]): Round {
  const own = firstKind(steps) ?? kind
  // Of a very first row chains are passed over: they cannot stand for a stitch and a space besides.
  const first = rows.below + i === 0
  const counts = chainCounts(rounds, own) && opensPlainly(steps) && !(first && opensOnSpace(steps))
  return {
    steps, colour, join: 'open', facing: facingOfRow(rows, i),
    begin: { chains: startingChains(own, counts, rounds.startingChains), counts, turn: rows.below + i > 0 },
  }
}
