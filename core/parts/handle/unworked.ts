import { times } from '../../things/measure/length'
import type { Finding } from '../part/finding'
import type { PartResult, Setting } from '../part/part'
import type { Edge } from '../../things/round/edge'

/** A part that works no round of the bag and leaves the edge as it was: what hangs on it and what is made for it, and what it noticed. */
export function nothingWorked(
  edge: Edge,
  setting: Setting,
  findings: readonly Finding[],
  fitted: Pick<PartResult, 'pieces' | 'handles' | 'grip' | 'advice' | 'closure' | 'notions'> = {},
): PartResult {
  const cm = setting.belowCm ?? edge.count * setting.gauge.sc.width.cm
  const { width, height } = setting.gauge.sc
  return {
    rounds: [], edge, size: { height: times(height, 0), circumference: { cm, plusMinusCm: (cm * width.plusMinusCm) / width.cm } },
    findings, ...fitted,
  }
}

/** Handles worked in the round leave no plain rim to place anything on. */
export function refusedOnHandles(edge: Edge, setting: Setting, what: string): PartResult {
  return nothingWorked(edge, setting, [
    {
      code: 'on-handles', weight: 'stop',
      what:
        `${what} would stand on handles that are worked in the round below. Move this part below them in the wall, or take one of `
        + 'the two out.',
    },
  ])
}
