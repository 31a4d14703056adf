import type { Chart } from './chart'

/** A loop's chains, written in it. */
interface LoopNumber {
  readonly x: number
  readonly y: number
  readonly chains: number
  /** Height of the figure, so that it fits its loop. */
  readonly sizeCm: number
}

/** Beyond this many loops only the first of each round is numbered. */
const MOST = 1500

/** How many chains each loop of a chart's nets has, low in the middle of the loop. */
export function loopNumbers({ rounds, headX, headY, footX, footY }: Chart): LoopNumber[] {
  const nets = rounds.filter(({ loopChains }) => loopChains !== undefined)
  const all = nets.reduce((sum, { from, to }) => sum + (to - from) / 2, 0) <= MOST
  return nets.flatMap(({ from, to, loopChains, roomCm = 1 }) => {
    // Knots stand upright; a loop's foot is its left knot.
    const loops = Array.from({ length: to - from }, (_, i) => from + i).filter(i => footX[i] !== headX[i])
    return (all ? loops : loops.slice(0, 1)).map(i => ({
      x: headX[i]!, y: headY[i]! * 0.4 + footY[i]! * 0.6, chains: loopChains!, sizeCm: Math.min(0.75, roomCm * 0.9),
    }))
  })
}
