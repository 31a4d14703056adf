import { choice, optional } from '../field/questions'
import { tape } from '../../things/stitch/translate'
import { plus } from '../../things/measure/length'
import type { PartResult, Setting } from '../part/part'
import { stopped } from '../part/part'
import { each } from '../../things/round/step'
import { inStyle } from '../../things/round/style'
import { work } from '../../things/round/workRound'
import { DISC, foldedAtStart, workDisc } from './circle'
import { discLayOut } from './discLayOut'
import { discFields } from './discFields'
import { form, type FormSpec } from './form'

/** Both discs, and the round that joins them. */
const fields = {
  ...discFields('Rounds of each disc', rounds => (rounds - 1) / 2),
  joinedIn: optional(
    choice(
      'The round that joins them is in',
      [
        { value: 'same', name: 'the discs\' stitch' }, { value: 'sc', name: '{sc}' },
        { value: 'hdc', name: '{hdc}', does: 'A rounder ridge on discs of {sc}.' }, { value: 'dc', name: '{dc}' },
      ],
    ),
  ),
  through: optional(
    choice(
      'It goes through',
      [
        { value: 'bothLayers', name: 'both loops of both' },
        {
          value: 'backAndFar', name: 'back loop of the near, both of the far',
          does: 'The near disc\'s front loops stay free and stand as a line: a sharper ridge.',
        },
      ],
    ),
  ),
} as const

/** A firm floor of two equal discs, joined by one round through both, which stands as a ridge (craft 5). */
type DoubleDiscSpec = FormSpec<'double-disc', typeof fields>

/** Works both discs and the round that joins them. */
/** `Rounds 1 to 6 make`, `Round 1 makes`. */
function roundsMake(from: number, to: number): string {
  return from === to ? `Round ${from} makes` : `Rounds ${from} to ${to} make`
}

function workDoubleDisc(spec: DoubleDiscSpec, setting: Setting): PartResult {
  const first = workDisc(spec, setting)
  const last = first.rounds[first.rounds.length - 1]
  if (!last) return stopped(first.edge, first.size, ...first.findings)
  const count = first.rounds.length
  // Each disc is started afresh, with its right side facing; they are laid together with the wrong sides inside.
  const second = workDisc(spec, setting)
  // The joining round has the right side facing: turned work turns for it only if the disc ended on its wrong side.
  const turns = last.round.facing === 'wrong' ? 2 : 0
  const style = setting.rounds.style === 'turned' && turns === 0 ? 'joined' : setting.rounds.style
  const joinedIn = spec.joinedIn && spec.joinedIn !== 'same' ? spec.joinedIn : spec.stitch
  const steps = [each(joinedIn, last.edge.count, spec.through ?? 'bothLayers')]
  const joining = work(inStyle({ turns, rounds: { ...setting.rounds, style } }, 0, joinedIn, spec.colour, steps), second.edge)
  const rounds = joining.ok ? [...first.rounds, ...second.rounds, joining.worked] : first.rounds
  const reach = first.size.floor!.length.cm / 2 / count
  const onDisc = discLayOut(
    first.rounds,
    reach,
    spec.placing === 'stacked' ? { corners: last.edge.count / count, increaseAt: spec.increaseAt } : undefined,
  )
  return {
    ...first, rounds, edge: joining.ok ? foldedAtStart(joining.worked.edge) : first.edge,
    size: { ...first.size, height: plus(first.size.height, setting.gauge[joinedIn].height) },
    layOut: (round, station) => {
      if (round < 2 * count) return onDisc(round < count ? round : round - count, station)
      const { x, y } = onDisc(count - 1, station)
      return { x: x * (1 + 0.5 / count), y: y * (1 + 0.5 / count) }
    },
    rising: 1, markers: rounds.map(() => [0]),
    advice: [
      `${roundsMake(1, count)} one disc; fasten off and leave an end of ${tape(15)}. ${roundsMake(count + 1, 2 * count)} the other, `
      + 'begun afresh '
      + `in the same way; do not fasten off: its yarn works on. Lay them together, wrong sides inside, and work `
      + `round ${2 * count + 1} through both: it stands as a ridge, and the floor sits square.`,
    ],
  }
}

/** A double disc (craft 5). */
export const doubleDisc = form({
  form: 'double-disc', name: 'double disc', does: 'Two discs joined by a round through both: a firm floor with a ridge that sits square.',
  fields, ...DISC, floors: 2, work: workDoubleDisc, withIncreases: (spec, increases) => ({ ...spec, increases }),
})
