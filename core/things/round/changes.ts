import type { FabricKind } from '../stitch/dictionary'
import { gaps, readsTheSame } from './spread'
import { each, inOne, repeat, type Step, together } from './step'

/** How increases or decreases lie in a round. */
interface Lie {
  /** The same from both ends, about the round's start, as far as whole stitches allow. */
  readonly mirrored?: boolean
  /**
   * The share of the first gap that comes before its change, so that the changes of the next such round fall elsewhere; all if left out.
   */
  readonly ahead?: number
  /** In pairs, one as far before the round's start as the other is after it; one that is left over lies at the start. */
  readonly paired?: boolean
}

/** The plain stitches before each change, and after the last one. */
interface Plan {
  readonly before: readonly number[]
  readonly after: number
}

/**
 * Where changes fall. With a gap in the middle of which the round can start, that gap is halved and the list mirrors about
 * it; where there is none, the mirror's line runs through a change, which then comes first.
 */
function plan(changes: number, plain: number, { mirrored = false, ahead = 1, paired = false }: Lie): Plan {
  if (paired && changes > 1) return inPairs(changes, plain, ahead)
  const found = gaps(changes, plain, mirrored)
  if (mirrored && !readsTheSame(found, 1)) return { before: [0, ...found.slice(0, -1)], after: found[changes - 1]! }
  if (!mirrored && ahead >= 1) return { before: found, after: 0 }
  const half = Math.floor(found[0]! * (mirrored ? 0.5 : ahead))
  return { before: [half, ...found.slice(1)], after: found[0]! - half }
}

/** Half of the changes spread over half of the round, and the other half as their mirror image; an odd stitch lies between the two. */
function inPairs(changes: number, plain: number, ahead: number): Plan {
  const half = Math.floor(plain / 2)
  const found = gaps(changes >> 1, half)
  const first = Math.floor(found[0]! * ahead)
  const left = found[0]! - first
  const inner = found.slice(1)
  const one = [first, ...inner]
  // Where a change is left over, it comes first, at the round's start.
  const odd = changes % 2 === 1
  const back = [plain - 2 * half + 2 * left, ...[...inner].reverse()]
  return { before: [...(odd ? [0] : []), ...one, ...back], after: first }
}

/** Runs of one gap become a repeat; a list that repeats as a whole becomes one repeat of what repeats. */
function inRepeats(before: readonly number[], change: Step, kind: FabricKind): Step[] {
  const unit = (plain: number): Step[] => plain > 0 ? [each(kind, plain), change] : [change]
  for (let length = 1; length <= Math.min(4, before.length / 2); length++) {
    if (before.length % length === 0 && before.every((gap, i) => gap === before[i % length])) {
      return [repeat(before.length / length, ...before.slice(0, length).flatMap(unit))]
    }
  }
  const steps: Step[] = []
  for (let from = 0, to = 0; from < before.length; from = to) {
    while (to < before.length && before[to] === before[from]) to++
    steps.push(...(to - from > 1 ? [repeat(to - from, ...unit(before[from]!))] : unit(before[from]!)))
  }
  return steps
}

/** The most stitches that one round can add to so many, or take away: every stitch doubled, or every two drawn together. */
export function mostChange(count: number, change: number): number {
  return change > 0 ? count : Math.floor(count / 2)
}

/**
 * A round of plain stitches with increases (`change` above 0) or decreases (below) spread as evenly as integers allow: 90
 * stitches less 9 is "8 plain, two together", nine times.
 *
 * @param count stitches of the edge it is worked on
 * @param change how many it adds or takes away, at most `mostChange` either way
 */
export function changeEvenly(count: number, change: number, kind: FabricKind, lie: Lie = {}): Step[] {
  if (change === 0) return [each(kind, count)]
  const changes = Math.abs(change)
  const { before, after } = plan(changes, count - changes * (change > 0 ? 1 : 2), lie)
  return [...inRepeats(before, change > 0 ? inOne(kind, 2) : together(kind), kind), ...(after > 0 ? [each(kind, after)] : [])]
}
