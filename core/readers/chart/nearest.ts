import type { Chart } from './chart'

/** The stitch whose mark lies nearest to a spot, within `reachCm`; -1 if none does. */
export function nearestStitch(chart: Chart, x: number, y: number, reachCm: number): number {
  let found = -1
  let least = reachCm * reachCm
  for (let i = 0; i < chart.headX.length; i++) {
    const dx = (chart.headX[i]! + chart.footX[i]!) / 2 - x
    const dy = (chart.headY[i]! + chart.footY[i]!) / 2 - y
    const distance = dx * dx + dy * dy
    if (distance < least) {
      least = distance
      found = i
    }
  }
  return found
}
