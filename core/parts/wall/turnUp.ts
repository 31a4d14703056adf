import type { CardId } from '../../things/entry/cards'
import { times } from '../../things/measure/length'
import type { Finding, Fix } from '../part/finding'
import { type PartResult, type Setting, workUp } from '../part/part'
import type { Edge } from '../../things/round/edge'
import { each, type Loop } from '../../things/round/step'
import { fabricInStyle } from '../../things/round/style'
import type { WorkedRound } from '../../things/round/workedRound'
import type { FabricKind } from '../../things/stitch/dictionary'

/** A way that the base becomes the wall (craft 6): how it is offered, and which threads its round picks up; none without a round. */
interface TurnUpKind {
  readonly value: string
  readonly name: string
  readonly does: string
  readonly loop?: Loop
  readonly card?: CardId
}

/** The ways that the base becomes the wall. A further one is a further row. */
export const TURN_UPS = [
  { value: 'plain', name: 'nothing special', does: 'A soft edge: the wall simply starts, and the floor rounds into it.' },
  {
    value: 'back-loop', name: 'back loop', does: 'One round in the back loop alone: folds well, but the single loop may leave holes.',
    loop: 'back', card: 'back',
  },
  {
    value: 'back-and-third-loop', name: 'back and third loops', loop: 'backAndThird', card: 'backAndThird',
    does: 'One round in the back loop and the third loop behind it: a crisp fold, and no holes.',
  },
  {
    value: 'post', name: 'around the post', does: 'One round around the stems from behind: a ridge outside, and the floor sits square.',
    loop: 'backPost', card: 'backPost',
  },
] as const satisfies readonly TurnUpKind[]

type TurnUp = (typeof TURN_UPS)[number]['value']

function loopOf(turnUp: TurnUp): Loop | undefined {
  const found: TurnUpKind | undefined = TURN_UPS.find(({ value }) => value === turnUp)
  return found?.loop
}

/** Whether a turn-up works a round. */
export function hasRound(turnUp: TurnUp): boolean {
  return loopOf(turnUp) !== undefined
}

/**
 * Works the turn-up: one round whose stitches pick up other threads than usual, so that the fabric folds there. A plain
 * turn-up is no round at all; the wall simply starts.
 */
export function turnUp(spec: TurnUp, kind: FabricKind, colour: string, edge: Edge, setting: Setting): PartResult {
  const stitch = setting.gauge[kind]
  const circumference = times(stitch.width, edge.count)
  const loop = loopOf(spec)
  if (!loop) return { rounds: [], edge, size: { height: times(stitch.height, 0), circumference }, findings: [] }
  const {
    rounds, edge: top, stop,
  } = workUp(edge, 1, setting, (i, on) => fabricInStyle(setting, i, kind, colour, [each(kind, on.count, loop)]))
  return {
    rounds, edge: top, size: { height: stitch.height, circumference },
    findings: stop ? [{ ...stop, fix: PLAINLY }] : foldFindings(rounds[0]!),
  }
}

const PLAINLY: Fix = { label: 'Turn up plainly', changes: [{ path: [], value: 'plain' }] }

/** The loop left free stands towards the maker: on a wrong-side round the fold's line ends up inside the bag. */
function foldFindings({ round }: WorkedRound): Finding[] {
  if (round.facing === 'right') return []
  return [
    {
      code: 'turn-up-inside', weight: 'watch',
      what:
        'The turn-up falls on a wrong-side round, so the line of free loops will stand inside the bag. '
        + 'One round more or less in the base puts it outside.',
    },
  ]
}
