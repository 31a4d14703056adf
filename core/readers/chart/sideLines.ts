import type { Draft } from '../../bag/draft/draft'
import { aroundOf } from '../../bag/draft/fold/draftPart'
import { riseOf } from '../../parts/part/rise'
import type { WorkedRound } from '../../things/round/workedRound'
import { fractionRound } from '../../things/round/fractionRound'
import { roundsOfPart } from '../../bag/draft/fold/partGauge'
import { leanOf } from '../../things/round/style'
import { waysByPart } from './elevation'
import type { RoundStart } from './roundStarts'

/** A spot on a side of the bag, on the unrolled wall: x and y as there, in centimetres. */
interface SideSpot {
  readonly x: number
  readonly y: number
}

/** How far round the bag a side of a round lies, so many stitches further than its edge says. */
function sideWay({ edge, round }: WorkedRound, side: 0 | 1, shift: number, { start, way: ways, shares }: RoundStart): number {
  const boundary = edge.sides[side] + shift
  // Where stitches differ in width, a side is where the stitch after it begins.
  const way = shares
    ? ways[boundary % edge.count]! - ((round.facing === 'wrong' ? -1 : 1) * shares[boundary % edge.count]!) / 2
    : fractionRound(edge, boundary, round.facing) + start
  return way - Math.floor(way)
}

/**
 * The bag's two sides up the unrolled wall, where it folds when it lies flat: straight up with turned rounds, further and
 * further along where the seam leans.
 */
export function sideLines(draft: Draft): readonly [readonly SideSpot[], readonly SideSpot[]] {
  const lines: [SideSpot[], SideSpot[]] = [[], []]
  const hand = draft.design.hands === 'left' ? 1 : -1
  let y = 0
  let leaned = 0
  const ways = waysByPart(draft)
  for (const part of draft.parts.slice(1)) {
    const each = leanOf(roundsOfPart(part.from, draft.design)) / 10
    const leanedBelow = Math.round(leaned)
    part.rounds.forEach((worked, i) => {
      y -= riseOf(part, i)
      const shift = Math.round(leaned + each * (i + 1)) - leanedBelow
      for (const side of [0, 1] as const)
        lines[side].push({ x: hand * (sideWay(worked, side, shift, ways.get(part)![i]!) - 0.5) * aroundOf(part, i), y })
    })
    leaned += each * part.rounds.length
  }
  return lines
}
