import { between, choice, count, length } from '../field/questions'
import { tenths } from '../field/context'
import type { PartSpec } from '../kind/kind'
import { tape } from '../../things/stitch/translate'
import type { Handle } from '../part/handle'
import type { PartResult, Setting } from '../part/part'
import type { Edge } from '../../things/round/edge'
import { FACE, fitted, oneOrTwo, WHERE } from './onRim'
import { placed } from './placing'
import { gripOf, offPlace, rimStitchCm, sts, used } from './rim'
import { SLOT_CM } from './slotSpec'
import { nothingWorked } from './unworked'

const fields = {
  number: oneOrTwo('How many', 'One on each face.'), face: FACE,
  holds: choice(
    'They hold by',
    [
      { value: 'rings', name: 'rings', does: 'Stitches are worked over each ring into the rim.' },
      { value: 'holes', name: 'holes', does: 'Sewn on through their holes, there and back.' },
    ],
    { begins: 'rings' },
  ),
  lengthCm: length('Along the handle, end to end', between(3, 300), { usually: between(3, 80) }),
  apartCm: length('From end to end across', SLOT_CM, { usually: between(1, 30) }),
  foot: count('Stitches each end takes', between(1, 60), { begins: 3, usually: between(1, 6) }), ...WHERE,
} as const

/** Handles that were bought: how long and how far apart their ends are is given (craft 10). */
type BoughtHandlesSpec = PartSpec<'bought-handles', typeof fields>

function holdingWords({ holds, foot }: BoughtHandlesSpec): string {
  return holds === 'rings'
    ? `Work {sc} over each ring into the ${foot} marked stitches, close together, and once more back over them; the ring must still turn.`
    : `Sew each end on through its holes into the ${foot} marked stitches, with the yarn double: through every hole there, and through `
      + 'every hole back.'
}

function workBoughtHandles(spec: BoughtHandlesSpec, edge: Edge, setting: Setting): PartResult {
  const stitchCm = rimStitchCm(edge, setting)
  const places = Math.max(1, Math.round(spec.apartCm / stitchCm)) + 2 * spec.foot
  if (2 * places > edge.count) {
    const cm = Math.floor((edge.count / 2 - 2 * spec.foot) * stitchCm * 10) / 10
    return nothingWorked(edge, setting, [
      {
        code: 'straps-too-wide', weight: 'stop',
        what:
          `Handles whose ends are ${tape(spec.apartCm)} apart need ${places} stitches on each face, and the rim has ${edge.count} `
          + `in all. ${cm > 1 ? `At most ${tape(cm)} would fit.` : 'Make the rim wider.'}`,
      },
    ])
  }
  const placing = placed(edge, places, 'faces', spec.nudge)
  const on = used(edge, setting, placing, spec)
  const inner = spec.foot / edge.count
  const at = on.map(
    ({ first, face }) =>
      `${sts(first, spec.foot, edge.count)} and `
      + `${sts(first + places - spec.foot, spec.foot, edge.count)}${spec.number === 2 ? ` on the ${face.name}` : ''}`,
  )
  const handles = on.map(({ face: { name, feet } }): Handle => ({
    name: spec.number === 2 ? `Handle, ${name}` : 'Handle', feet: [feet[0] + inner, feet[1] - inner], lies: 'along',
    lengthCm: spec.lengthCm, gapCm: (places - 2 * spec.foot) * stitchCm, widthCm: 1.5, strands: spec.foot, aboveCm: 0,
    colour: spec.colour, bought: true, bears: { strands: 'stitches' },
  }))
  return nothingWorked(
    edge,
    setting,
    [
      { code: 'strap-runs', weight: 'note', what: `Ends on ${at.join('; ')}.` },
      ...offPlace(placing, spec, 'The handles', spec.number === 2),
    ],
    {
      handles, grip: gripOf(edge, setting, placing),
      notions: [`${spec.number === 2 ? 'two ready-made handles' : 'a ready-made handle'} of ${tape(spec.lengthCm)}`],
      advice: [
        `Markers, counted from the start of the last round: ${at.join('; ')}.`, holdingWords(spec),
        'Pin both ends first and hold the bag up by them: they must hang level.',
      ],
    },
  )
}

/** Bought handles (craft 10). */
export const boughtHandles = fitted({
  kind: 'bought-handles', name: 'bought handles', does: 'Handles with rings or holes: where their ends go, and how to fix them.', fields,
  tools: ['where-placed'], refusedAs: 'These handles', sample: { spec: spec => ({ ...spec, lengthCm: 10, apartCm: 4 }) },
  begins: ({ aroundCm }) => ({ lengthCm: 38, apartCm: Math.max(2, Math.min(12, tenths(aroundCm / 6, SLOT_CM))) }),
  place: workBoughtHandles,
})
