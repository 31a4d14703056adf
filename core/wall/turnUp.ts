import { times } from '../measure/length'
import { type PartResult, type Setting, workUp } from '../part/part'
import type { Edge } from '../round/edge'
import { each, type Loop } from '../round/step'
import { inStyle } from '../round/style'
import type { FabricKind } from '../stitch/dictionary'

/** How the base becomes the wall (handbook 6). */
export const TURN_UPS = ['plain', 'back-and-third-loop'] as const
export type TurnUp = (typeof TURN_UPS)[number]

const LOOP: Record<Exclude<TurnUp, 'plain'>, Loop> = { 'back-and-third-loop': 'backAndThird' }

/**
 * Works the turn-up: one round whose stitches pick up other threads than usual, so that the fabric folds there. A plain
 * turn-up is no round at all; the wall simply starts.
 */
export function turnUp(spec: TurnUp, kind: FabricKind, colour: string, edge: Edge, setting: Setting): PartResult {
  const stitch = setting.gauge[kind]
  const circumference = times(stitch.width, edge.count)
  if (spec === 'plain') return { rounds: [], edge, size: { height: times(stitch.height, 0), circumference }, findings: [] }
  const { rounds, edge: top, stop } = workUp(edge, 1, setting, (i, on) =>
    inStyle(setting.rounds, setting.index + i, kind, colour, [each(kind, on.count, LOOP[spec])]))
  return { rounds, edge: top, size: { height: stitch.height, circumference }, findings: stop ? [stop] : [] }
}
