import type { Draft } from '../draft/draft'
import { aroundOf, riseOf } from '../draft/part'
import { blank, type Chart, type ChartRound, footing, markOf, shapes, wayRound } from './chart'

/** The shares of a round's height that stitches leave free above and below. */
const HEAD = 0.06
const FOOT = 0.06

/**
 * The wall cut open at the round's start and laid flat, seen from outside, its lower edge at y = 0 and its middle at
 * x = 0. Right-handed rounds run from right to left; turned rounds run back.
 */
export function unrolled(draft: Draft): Chart {
  const walls = draft.parts.slice(1).filter(part => part.rounds.length > 0)
  const chart = blank(walls.reduce((sum, part) => sum + part.rounds.reduce((all, worked) => all + worked.edge.count, 0), 0))
  const rounds: ChartRound[] = []
  const side = draft.design.hands === 'left' ? 1 : -1
  let at = 0
  let y = 0
  let widest = 0
  const floor = draft.parts[0]!.rounds
  let below = floor.length > 0 ? wayRound(floor[floor.length - 1]!) : new Float32Array(0)
  for (const part of walls) {
    part.rounds.forEach((worked, i) => {
      const count = worked.edge.count
      const height = riseOf(part, i)
      const width = aroundOf(part, i)
      const way = wayRound(worked)
      const known = below.length === worked.on.count
      const from = at
      const shaping = shapes(worked)
      for (let made = 0; made < count; made++, at++) {
        const own = way[made]!
        chart.kinds[at] = worked.stitches[made]!
        chart.marks[at] = shaping ? markOf(worked, made) : 0
        chart.headX[at] = side * (own - 0.5) * width
        chart.headY[at] = y - (1 - HEAD) * height
        chart.footX[at] = side * ((known ? footing(own, below[worked.edge.from[made]!]!, below[worked.edge.to[made]!]!) : own) - 0.5) * width
        chart.footY[at] = y - FOOT * height
      }
      rounds.push({
        number: part.firstRound + i, part: part.id, from, to: at, colour: worked.round.colour,
        startX: side * -0.5 * width, startY: y - height / 2,
      })
      widest = Math.max(widest, width)
      below = way
      y -= height
    })
  }
  return { ...chart, rounds, box: { left: -widest / 2, top: y, width: widest, height: -y } }
}
