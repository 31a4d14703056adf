import { times } from '../measure/length'
import type { Finding } from '../part/finding'
import { type PartResult, type Setting, workUp } from '../part/part'
import type { Edge } from '../round/edge'
import { each, type Loop } from '../round/step'
import { inStyle } from '../round/style'
import type { Worked } from '../round/worked'
import type { FabricKind } from '../stitch/dictionary'

/** How the base becomes the wall (handbook 6). */
export const TURN_UPS = ['plain', 'back-loop', 'back-and-third-loop', 'post'] as const
export type TurnUp = (typeof TURN_UPS)[number]

const LOOP: Record<Exclude<TurnUp, 'plain'>, Loop> = {
  'back-loop': 'back', 'back-and-third-loop': 'backAndThird', 'post': 'backPost',
}

/**
 * Works the turn-up: one round whose stitches pick up other threads than usual, so that the fabric folds there. A plain
 * turn-up is no round at all; the wall simply starts.
 */
export function turnUp(spec: TurnUp, kind: FabricKind, colour: string, edge: Edge, setting: Setting): PartResult {
  const stitch = setting.gauge[kind]
  const circumference = times(stitch.width, edge.count)
  if (spec === 'plain') return { rounds: [], edge, size: { height: times(stitch.height, 0), circumference }, findings: [] }
  const { rounds, edge: top, stop } = workUp(edge, 1, setting, (i, on) =>
    inStyle(setting.rounds, setting.turns + i, kind, colour, [each(kind, on.count, LOOP[spec])]))
  return { rounds, edge: top, size: { height: stitch.height, circumference }, findings: stop ? [stop] : foldFindings(rounds[0]!) }
}

/** The loop left free stands towards the maker: on a wrong-side round the fold's line ends up inside the bag. */
function foldFindings({ round }: Worked): Finding[] {
  if (round.facing === 'right') return []
  return [{
    code: 'turn-up-inside', weight: 'watch',
    what: 'The turn-up falls on a wrong-side round, so the line of free loops will stand inside the bag. One round more or less in the base puts it outside.',
  }]
}
