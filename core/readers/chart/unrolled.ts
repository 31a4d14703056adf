import type { Draft } from '../../bag/draft/draft'
import { aroundOf } from '../../bag/draft/fold/draftPart'
import { riseOf } from '../../parts/part/rise'
import { PLACE_CODE } from '../../things/round/edge'
import type { WorkedRound } from '../../things/round/workedRound'
import { blank, type Chart, type ChartRound, footing, isAlongChain, markOf, shapes } from './chart'
import { roundStartsOf } from './roundStarts'

type Bare = Omit<Chart, 'rounds' | 'box'>

/** The shares of a round's height that stitches leave free above and below. */
const HEAD = 0.06
const FOOT = 0.06

/** A round being drawn: how high it starts, how tall and how wide it is. */
interface Room {
  readonly y: number
  readonly height: number
  readonly width: number
  /** How wide the round below is. */
  readonly belowWidth: number
  /** -1 for right hands, whose rounds run to the left. */
  readonly side: number
}

/** Draws the stitches of a round from what they stand on to their heads. */
function drawStitches(
  chart: Bare,
  at: number,
  worked: WorkedRound,
  way: Float32Array,
  below: Float32Array | undefined,
  { y, height, width, side }: Room,
): void {
  const shaping = shapes(worked)
  for (let made = 0; made < worked.edge.count; made++) {
    const i = at + made
    const own = way[made]!
    chart.kinds[i] = worked.stitches[made]!
    chart.marks[i] = shaping ? markOf(worked, made) : 0
    chart.headX[i] = side * (own - 0.5) * width
    chart.headY[i] = y - (1 - HEAD) * height
    const foot = below && !isAlongChain(worked, made) ? footing(own, below[worked.edge.from[made]!]!, below[worked.edge.to[made]!]!) : own
    chart.footX[i] = side * (foot - 0.5) * width
    chart.footY[i] = y - FOOT * height
  }
}

/** How much of a net's round its knots take up. */
const KNOT = 0.16

/** Draws a round of loops: knots low down, where they hold the loops below; loops from knot over their top to the next knot. */
function drawLoops(chart: Bare, at: number, worked: WorkedRound, way: Float32Array, { y, height, width, belowWidth, side }: Room): void {
  const half = 1 / worked.edge.count
  for (let made = 0; made < worked.edge.count; made++) {
    const i = at + made
    const x = side * (way[made]! - 0.5) * width
    const knotX = side * (way[made]! - 0.5) * belowWidth
    const loop = worked.edge.kinds[made] === PLACE_CODE.space
    chart.kinds[i] = worked.stitches[made]!
    chart.headX[i] = loop ? x : knotX
    chart.headY[i] = y - (loop ? height : KNOT * height)
    chart.footX[i] = loop ? knotX - side * half * belowWidth : knotX
    chart.footY[i] = loop ? y : y + KNOT * height
  }
}

/**
 * The wall cut open where it starts and laid flat, seen from outside, its lower edge at y = 0 and its middle at x = 0.
 * Right-handed rounds run from right to left; turned rounds run back. In a net the start of the rounds climbs round the bag.
 *
 * @param even every round is drawn as wide as the widest, so that what stands on what is straight above it wherever one looks
 */
export function unrolled(draft: Draft, even = false): Chart {
  const walls = draft.parts.slice(1).filter(part => part.rounds.length > 0)
  const all = walls.flatMap(part => part.rounds)
  const floor = draft.parts[0]!.rounds.at(-1)
  const ways = roundStartsOf(all, floor)
  const chart = blank(all.reduce((sum, worked) => sum + worked.edge.count, 0))
  const rounds: ChartRound[] = []
  const side = draft.design.hands === 'left' ? 1 : -1
  let [at, y, widest, n, lastWidth] = [0, 0, 0, 0, 0]
  const evenWidth = even ? Math.max(0, ...walls.flatMap(part => part.rounds.map((_, i) => aroundOf(part, i)))) : 0
  let below = floor && roundStartsOf([floor])[0]!.way
  for (const part of walls) {
    for (const [i, worked] of part.rounds.entries()) {
      const { way, start, shares } = ways[n++]!
      const width = even ? evenWidth : aroundOf(part, i)
      const room = { y, height: riseOf(part, i), width, belowWidth: rounds.length > 0 ? lastWidth : width, side }
      lastWidth = width
      const { count } = worked.edge
      if (worked.round.inLoops) drawLoops(chart, at, worked, way, room)
      else drawStitches(chart, at, worked, way, below?.length === worked.on.count ? below : undefined, room)
      rounds.push({
        number: part.firstRound + i, part: part.id, from: at, to: at + count, colour: worked.round.colour, roomCm: room.width / count,
        ...(shares ? { roomsCm: shares.map(share => share * room.width) } : {}),
        ...(worked.round.inLoops ? { loopChains: worked.edge.chains.find(chains => chains > 0) ?? 0 } : {}),
        startX: side * (start - Math.floor(start) - 0.5) * room.width, startY: y - room.height / 2,
      })
      at += count
      widest = Math.max(widest, room.width)
      y -= room.height
      below = way
    }
  }
  return { ...chart, rounds, box: { left: -widest / 2, top: y, width: widest, height: -y } }
}
