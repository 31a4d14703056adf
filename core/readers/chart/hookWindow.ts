import type { Chart, ChartRound } from './chart'
import { roundPaths } from './marks'

/*
 * The piece of a chart around the hook, as the fabric lies in the hand: the edge on top, its middle where the hook is, worked towards
 * the working hand. Round the hook a chart is nearly straight, so it is only turned and moved, never bent.
 */

interface Spot {
  readonly x: number
  readonly y: number
}

/** A piece of the chart, moved so far to the right. */
interface WindowPiece {
  readonly shiftCm: number
  /** Rounds below, as paths, the nearest first. */
  readonly below: readonly string[]
  /** Stitches made of the round in hand, and those still to come of it. */
  readonly made: string
  readonly coming: string
}

/** The drawing of the work around the hook. */
interface HookWindow {
  /** Turns and moves the chart: the place that the hook goes into comes to (0, 0), the edge lies on top; as SVG writes it. */
  readonly transform: string
  /** The chart itself; and where it is cut open near the hook, the other side of the cut moved to lie beside it. */
  readonly pieces: readonly WindowPiece[]
  /** Whether there is a place to go into: the round is not done. */
  readonly goesOn: boolean
  /** How wide one stitch is here: what everything is drawn in proportion to. */
  readonly stitchCm: number
}

/** So many stitches to each side of the hook, and so many rounds below it, are drawn. */
const REACH = 9
const ROUNDS_BELOW = 5

/** Which way is up at the hook of a round that goes about a middle: from the feet of the stitches there to their heads. */
function upAt(chart: Chart, { from, to }: ChartRound, at: number): Spot {
  let [x, y] = [0, 0]
  for (let i = Math.max(from, at - 2); i < Math.min(to, at + 3); i++) {
    x += chart.headX[i]! - chart.footX[i]!
    y += chart.headY[i]! - chart.footY[i]!
  }
  const length = Math.hypot(x, y)
  return length === 0 ? { x: 0, y: -1 } : { x: x / length, y: y / length }
}

/** How wide a stitch is at the hook. */
function widthAt(chart: Chart, { from, to, roomCm }: ChartRound, at: number): number {
  if (roomCm !== undefined) return roomCm
  if (to - from < 2) return 0.5
  const i = Math.min(at, to - 2)
  return Math.hypot(chart.headX[i + 1]! - chart.headX[i]!, chart.headY[i + 1]! - chart.headY[i]!) || 0.5
}

/** How a chart is seen: whether its rounds lie on top of each other, or go about a middle; and whether from the other side. */
interface ChartView {
  readonly stacked: boolean
  /** Rounds that close on themselves, drawn cut open: how far round they go. */
  readonly cutCm?: number
  readonly mirrored: boolean
}

/**
 * The work around the hook.
 *
 * @param index the round in hand, by its place in the chart's rounds
 * @param made things of it that are made
 */
export function hookWindow(chart: Chart, index: number, made: number, { stacked, cutCm, mirrored }: ChartView): HookWindow {
  const round = chart.rounds[index]!
  const at = Math.min(round.from + made, round.to - 1)
  const stitchCm = widthAt(chart, round, at)
  const up = stacked ? { x: 0, y: -1 } : upAt(chart, round, at)
  const [aboutX, aboutY] = [chart.footX[at]!, chart.footY[at]!]
  const reach = REACH * stitchCm
  const below = chart.rounds.slice(Math.max(0, index - ROUNDS_BELOW), index).reverse()
  const piece = (shiftCm: number): WindowPiece => {
    const near = (i: number) => Math.abs(chart.headX[i]! + shiftCm - aboutX) <= reach && Math.abs(chart.headY[i]! - aboutY) <= reach
    const paths = (one: ChartRound, within: (i: number) => boolean = near) => {
      const { plain, shaped } = roundPaths(chart, one, within)
      return plain + shaped
    }
    return {
      shiftCm, below: below.map(one => paths(one)), made: paths(round, i => i < round.from + made && near(i)),
      coming: paths(round, i => i >= round.from + made && near(i)),
    }
  }
  // Up is to become (0, -1); the columns of the matrix are where (1, 0) and (0, 1) go.
  const [cos, sin, side] = [-up.y, up.x, mirrored ? -1 : 1]
  const matrix = [side * cos, -sin, side * sin, cos, -side * (aboutX * cos + aboutY * sin), aboutX * sin - aboutY * cos]
  return {
    transform: `matrix(${matrix.map(value => value.toFixed(5)).join(' ')})`, stitchCm, goesOn: made < round.to - round.from,
    pieces: (cutCm && Math.abs(aboutX) + reach > cutCm / 2 ? [0, aboutX < 0 ? -cutCm : cutCm] : [0]).map(piece),
  }
}
