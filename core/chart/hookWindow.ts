import { STITCH_KINDS } from '../stitch/dictionary'
import type { Chart, ChartRound } from './chart'
import { markPath } from './marks'

/*
 * The piece of a chart around the hook, as the fabric lies in the hand: the edge on top, its middle where the hook is, worked towards
 * the working hand. Round the hook a chart is nearly straight, so it is only turned and moved, never bent.
 */

/** What is drawn of the work around the hook; in centimetres about the hook, x to the right, y downwards. */
export interface HookWindow {
  /** Rounds below, as paths, the nearest first. */
  readonly below: readonly string[]
  /** What is made of the round in hand, and what is still to come of it. */
  readonly made: string
  readonly coming: string
  /** The place that the hook goes into next, and the head of what it will make. */
  readonly place: Spot2 | undefined
  readonly head: Spot2 | undefined
  /** How wide one stitch is here: what everything is drawn in proportion to. */
  readonly stitchCm: number
}

interface Spot2 {
  readonly x: number
  readonly y: number
}

/** So many stitches to each side of the hook, and so many rounds below it, are drawn. */
const REACH = 9
const ROUNDS_BELOW = 3

/** Turns and moves a chart so that the hook is at (0, 0) with the edge on top. */
class Turning {
  private readonly cos: number
  private readonly sin: number

  constructor(
    private readonly about: Spot2,
    up: Spot2,
    private readonly mirrored: boolean,
  ) {
    const length = Math.hypot(up.x, up.y) || 1
    // Up is to become (0, -1).
    this.cos = -up.y / length
    this.sin = up.x / length
  }

  spot(x: number, y: number): Spot2 {
    const [dx, dy] = [x - this.about.x, y - this.about.y]
    const across = dx * this.cos + dy * this.sin
    return { x: this.mirrored ? -across : across, y: -dx * this.sin + dy * this.cos }
  }
}

function footOf(chart: Chart, i: number): Spot2 {
  return { x: chart.footX[i]!, y: chart.footY[i]! }
}

/** Which way is up at the hook: from the feet of the stitches there to their heads. */
function upAt(chart: Chart, { from, to }: ChartRound, at: number): Spot2 {
  let [x, y] = [0, 0]
  for (let i = Math.max(from, at - 2); i < Math.min(to, at + 3); i++) {
    x += chart.headX[i]! - chart.footX[i]!
    y += chart.headY[i]! - chart.footY[i]!
  }
  return x === 0 && y === 0 ? { x: 0, y: -1 } : { x, y }
}

/** How wide a stitch is at the hook. */
function widthAt(chart: Chart, { from, to, roomCm }: ChartRound, at: number): number {
  if (roomCm !== undefined) return roomCm
  if (to - from < 2) return 0.5
  const i = Math.min(at, to - 2)
  return Math.hypot(chart.headX[i + 1]! - chart.headX[i]!, chart.headY[i + 1]! - chart.headY[i]!) || 0.5
}

function pathOf(chart: Chart, i: number, turning: Turning, roomCm: number): string {
  const [foot, head] = [turning.spot(chart.footX[i]!, chart.footY[i]!), turning.spot(chart.headX[i]!, chart.headY[i]!)]
  return markPath(STITCH_KINDS[chart.kinds[i]!]!, foot.x, foot.y, head.x, head.y, roomCm)
}

/**
 * The work around the hook.
 *
 * @param index the round in hand, by its place in the chart's rounds
 * @param made things of it that are made
 * @param mirrored seen from the other side: a round worked with the wrong side facing
 */
export function hookWindow(chart: Chart, index: number, made: number, mirrored: boolean): HookWindow {
  const round = chart.rounds[index]!
  const last = round.to - 1
  const at = Math.min(round.from + made, last)
  const about = footOf(chart, at)
  const stitchCm = widthAt(chart, round, at)
  const turning = new Turning(about, upAt(chart, round, at), mirrored)
  const reach = REACH * stitchCm
  const near = (i: number) => {
    const { x, y } = turning.spot(chart.headX[i]!, chart.headY[i]!)
    return Math.abs(x) <= reach && y > -reach && y < reach
  }
  const paths = (from: number, to: number, room: number) => {
    const found: string[] = []
    for (let i = from; i < to; i++) if (near(i)) found.push(pathOf(chart, i, turning, room))
    return found.join('')
  }
  const below = chart.rounds.slice(Math.max(0, index - ROUNDS_BELOW), index).reverse()
  const done = made >= round.to - round.from
  return {
    below: below.map(one => paths(one.from, one.to, widthAt(chart, one, one.from))), stitchCm,
    made: paths(round.from, round.from + made, stitchCm), coming: paths(round.from + made, round.to, stitchCm),
    place: done ? undefined : turning.spot(about.x, about.y), head: done ? undefined : turning.spot(chart.headX[at]!, chart.headY[at]!),
  }
}
