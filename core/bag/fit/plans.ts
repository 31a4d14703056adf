import type { WallPart } from '../design/design'
import type { PartContext } from '../../parts/kind/kind'
import { gaps } from '../../things/round/spread'
import { STITCHES_A_CHANGE } from '../../parts/wall/adjusted'
import { divides } from '../../parts/part/asks'
import { demandOf, mainStitch, ownGauge, type WallSpec } from '../../parts/wall/wall'

/** An adjusting round in a plan: before which part of the wall, counted from 0, and from how many stitches to how many. */
export interface Adjusting {
  readonly before: number
  readonly from: number
  readonly to: number
}

/** A way to get a count through the whole wall and out at the mouth. */
export interface WallPlan {
  readonly adjusting: readonly Adjusting[]
  /** Stitches at the mouth. */
  readonly mouth: number
  readonly costCm: number
}

/** Demands of the wall and the mouth, and how much adjusting is allowed. */
export interface WallProblem {
  readonly wall: readonly WallPart[]
  readonly seen: PartContext
  readonly mouthDivides: number
  /** Adjusting rounds in one plan. */
  readonly mostAdjusting: number
}

/** A round of adjusting is worth avoiding as much as half a centimetre; one that cannot be spread evenly a tenth more. */
export const ADJUSTING_CM = 0.5
export const UNEVEN_CM = 0.1

/** Cost of an adjusting round: itself, how much wider or narrower it makes the bag lying flat, and unevenness. */
function costOf({ from, to }: Adjusting, stitchCm: number): number {
  const change = to - from
  const found = gaps(Math.abs(change), from - Math.abs(change) * (change > 0 ? 1 : 2))
  return ADJUSTING_CM + (Math.abs(change) * stitchCm) / 2 + (found.every(gap => gap === found[0]) ? 0 : UNEVEN_CM)
}

/** The counts that an adjusting round may go to: as far as one round can change without showing, or to the nearest repeat. */
function targets(count: number, good: (count: number) => boolean, repeat: number): number[] {
  const reach = Math.max(Math.floor(count / STITCHES_A_CHANGE), repeat)
  const found: number[] = []
  for (let to = Math.max(3, count - Math.min(reach, Math.floor(count / 2))); to <= count + Math.min(reach, count); to++)
    if (to !== count && good(to)) found.push(to)
  return found
}

/** A part of the wall as far as counts go. */
interface Passage {
  /** Whether a count can go in; and what a repeat is, to look for one that can. */
  readonly takes: (count: number) => boolean
  readonly repeat: number
  readonly gives: (count: number) => number
  readonly stitchCm: number
}

function passageOf(spec: WallSpec, { seen }: WallProblem): Passage {
  const stitchCm = ownGauge(spec, seen)[mainStitch(spec, seen)].width.cm
  const demand = demandOf(spec, seen)
  if (!demand) return { takes: () => false, repeat: 1, gives: count => count, stitchCm }
  return { takes: count => divides(count, demand.asks), repeat: demand.asks.multiple, gives: demand.leaves, stitchCm }
}

/**
 * Every way to get a count through a wall: straight on where it divides, by an adjusting round to any count in reach where it
 * does not. What lies above a part depends on the count alone, so each is worked out once and kept.
 */
export function wallPlans(problem: WallProblem): (count: number) => readonly WallPlan[] {
  const passages = problem.wall.map(spec => passageOf(spec, problem))
  const top: Passage = {
    takes: count => count % problem.mouthDivides === 0, repeat: problem.mouthDivides, gives: count => count,
    stitchCm: passages.at(-1)?.stitchCm ?? problem.seen.gauge.sc.width.cm,
  }
  const known = new Map<number, readonly WallPlan[]>()

  const through = (part: number, count: number, left: number): readonly WallPlan[] => {
    const key = (part * 64 + left) * 65_536 + count
    let found = known.get(key)
    if (!found) known.set(key, (found = find(part, count, left)))
    return found
  }

  const onwards = (part: number, count: number, left: number): readonly WallPlan[] =>
    part === passages.length ? [{ adjusting: [], mouth: count, costCm: 0 }] : through(part + 1, passages[part]!.gives(count), left)

  function find(part: number, count: number, left: number): readonly WallPlan[] {
    const passage = passages[part] ?? top
    if (passage.takes(count)) return onwards(part, count, left)
    if (left === 0) return []
    return targets(count, passage.takes, passage.repeat).flatMap((to) => {
      const step: Adjusting = { before: part, from: count, to }
      const cost = costOf(step, passage.stitchCm)
      return onwards(part, to, left - 1).map(plan => ({ ...plan, adjusting: [step, ...plan.adjusting], costCm: plan.costCm + cost }))
    })
  }

  return count => through(0, count, problem.mostAdjusting)
}

/** How far up a count gets without any adjusting: the first part that does not take it; the wall's length if only the mouth does not. */
export function stuckAt(problem: WallProblem): (count: number) => number | undefined {
  const passages = problem.wall.map(spec => passageOf(spec, problem))
  return (count) => {
    let at = count
    for (const [i, passage] of passages.entries()) {
      if (!passage.takes(at)) return i
      at = passage.gives(at)
    }
    return at % problem.mouthDivides === 0 ? undefined : passages.length
  }
}

/** The count that each part of a wall leaves of one that it takes. */
export function leaves(problem: WallProblem): (part: number, count: number) => number {
  const passages = problem.wall.map(spec => passageOf(spec, problem))
  return (part, count) => passages[part]!.gives(count)
}
