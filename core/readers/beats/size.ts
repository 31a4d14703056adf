import type { Beat } from './beat'

/** How much of a round one tap does. */
export const BEAT_SIZES = ['stitch', 'group', 'round'] as const
export type BeatSize = (typeof BEAT_SIZES)[number]

/** The size that a maker chose, or each round's own. */
export type SizeChoice = BeatSize | 'own'

/** How many beats are done once what is at the hook is done, in a size. */
export function doneAfter(beats: readonly Beat[], done: number, size: BeatSize): number {
  if (size === 'round') return beats.length
  if (size === 'stitch') return Math.min(beats.length, done + 1)
  const group = beats[done]?.group
  let to = done
  while (to < beats.length && beats[to]!.group === group) to++
  return to
}

/**
 * The size that a round wants by itself: one that is the same all round needs no head and is done as one, a television round; one
 * of turns that are alike goes turn by turn; whatever else, beat by beat.
 */
export function ownSize(beats: readonly Beat[]): BeatSize {
  const doings = beats.filter(({ said }) => said.say === 'doing')
  const alike = doings.every(({ of }) => of === doings[0]?.of) && doings.length === (doings[0]?.of ?? 0)
  if (alike) return 'round'
  const groups = new Map<number, number>()
  for (const { group } of doings) groups.set(group, (groups.get(group) ?? 0) + 1)
  const turns = [...groups.values()]
  return turns.length > 2 && doings.length / turns.length <= MOST_IN_A_TURN ? 'group' : 'stitch'
}

/** A turn with more beats than this is not kept in mind as one. */
const MOST_IN_A_TURN = 30
