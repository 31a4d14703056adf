import type { Draft } from '../draft/draft'
import { aroundOf, riseOf } from '../draft/part'
import type { Worked } from '../round/worked'
import { waysByPart } from './elevation'

/** A spot on a side of the bag, on the unrolled wall: x and y as there, in centimetres. */
export interface SideSpot {
  readonly x: number
  readonly y: number
}

/** How far round the bag a boundary of a round's edge lies, from 0 to 1. */
function wayOf({ edge, round }: Worked, boundary: number, start: number): number {
  const slot = round.facing === 'wrong' ? edge.count - boundary + 1 : boundary
  const way = slot / edge.count + start
  return way - Math.floor(way)
}

/**
 * The bag's two sides up the unrolled wall, where it folds when it lies flat: straight up with turned rounds, further and
 * further along where the seam leans.
 */
export function sideLines(draft: Draft): readonly [readonly SideSpot[], readonly SideSpot[]] {
  const lines: [SideSpot[], SideSpot[]] = [[], []]
  const hand = draft.design.hands === 'left' ? 1 : -1
  const lean = draft.design.rounds.style === 'joined' ? draft.design.rounds.leanPerTen ?? 0 : 0
  let y = 0
  let risen = 0
  const ways = waysByPart(draft)
  for (const part of draft.parts.slice(1)) {
    const leanedBelow = Math.round((lean * risen) / 10)
    part.rounds.forEach((worked, i) => {
      y -= riseOf(part, i)
      const shift = Math.round((lean * (risen + i + 1)) / 10) - leanedBelow
      for (const side of [0, 1] as const) lines[side].push({ x: hand * (wayOf(worked, worked.edge.sides[side] + shift, ways.get(part)![i]!.start) - 0.5) * aroundOf(part, i), y })
    })
    risen += part.rounds.length
  }
  return lines
}
