import { between, choice, length } from '../field/questions'
import { tenths } from '../field/context'
import type { PartSpec } from '../kind/kind'
import { tape } from '../../things/stitch/translate'
import type { Fix } from '../part/finding'
import type { Handle } from '../part/handle'
import type { PartResult, Setting } from '../part/part'
import type { Piece } from '../part/piece'
import type { Edge } from '../../things/round/edge'
import { FACE, fitted, oneOrTwo, strapsTooWide, WHERE } from './onRim'
import { placed, placesNear, type Placing } from './placing'
import { gripOf, offPlace, rimStitchCm, sts, used } from './rim'
import { STRAP_STITCH, strapLength, underInstead, widened } from './strapLength'
import { acrossOf, strapFor, strapWidthCm, withEdging } from './strap'
import { runsAcross } from './strip'
import { LINES, sewnBy, SEWN_BY, SEWN_WITH, strandsOf, STRIP } from './strips'
import { nothingWorked } from './unworked'

/** Ways that make a strap bear more, and how each is sewn. A further one is a further row. */
const REINFORCED = [
  { value: 'none', name: 'nothing', sewn: [] },
  {
    value: 'patch', name: 'a patch behind each foot', does: 'Spreads the pull over the bag\'s fabric.',
    sewn: [
      'Behind each foot sew a small square of fabric, worked double or cut from firm cloth, with the same stitches: the pull spreads '
      + 'over it.',
    ],
  },
  {
    value: 'tape', name: 'a woven tape', does: 'Sewn along the back: takes the pull, and the strap no longer lengthens.',
    sewn: [
      'Sew a woven tape along the back of each strap, from the end of one foot to the end of the other, before you sew it on: the tape '
      + 'takes the pull, and the strap no longer lengthens.',
    ],
  },
] as const

const IN_CM = between(0, 100)

const fields = {
  ...STRIP, stitch: STRAP_STITCH, length: strapLength('Its length'), number: oneOrTwo('How many', 'One on each face.'), face: FACE,
  inCm: length('In from each side', IN_CM, {
    begins: 5, beside: true, usually: between(0, 15), says: 'How far in from each side of the bag its outer edges are sewn.',
  }),
  overlapCm: length('Lies on the bag', between(0, 30), {
    begins: 4, beside: true, usually: between(0, 8), says: 'How much of each end lies on the bag.',
  }),
  reinforced: choice(
    'Made stronger by',
    REINFORCED.map(({ sewn: _, ...option }) => option),
    { begins: 'none' },
  ),
  sewn: SEWN_BY, lines: SEWN_WITH, ...WHERE,
} as const

/** Straps worked on their own and sewn on, one on each face, or one alone (craft 10). */
type SewnStrapsSpec = PartSpec<'sewn-straps', typeof fields>

/** How the feet are sewn on, in words. */
function sewingOf({ sewn, lines }: SewnStrapsSpec): string {
  return sewn === undefined || sewn === 'back' ? `there and back, with ${LINES[lines]}` : sewnBy(sewn).by
}

/** How far in from the bag's sides the feet stand: on both sides alike, or moved to one. */
function inFromSides({ gaps }: Placing, unit = ''): string {
  const [near, far] = [Math.min(...gaps), Math.max(...gaps)].map(gap => Math.floor(gap / 2)) as [number, number]
  return far - near <= 1 ? `${near}${unit} in from the sides` : `${near}${unit} in from one side and ${far} from the other`
}

/** Works straps that are sewn on. */
function workSewnStraps(spec: SewnStrapsSpec, edge: Edge, setting: Setting): PartResult {
  const stitchCm = rimStitchCm(edge, setting)
  const across = acrossOf(spec, setting)
  if ('trouble' in across) return nothingWorked(edge, setting, [{ code: 'bands-disagree', weight: 'stop', what: across.trouble }])
  const { wide } = across
  const widthCm = strapWidthCm(spec, wide, setting)
  const foot = Math.max(1, Math.round(widthCm / stitchCm))
  const places = Math.min(Math.floor(edge.count / 2), placesNear(edge.count, edge.count / 2 - (2 * spec.inCm) / stitchCm, 'faces'))
  if (places < 2 * foot + 1) {
    const inCm = Math.floor((((edge.count / 2 - 2 * foot - 3) * stitchCm) / 2) * 10) / 10
    if (inCm < 0)
      return nothingWorked(edge, setting, [
        strapsTooWide(`Two feet of a strap ${tape(widthCm)} wide do not fit beside each other on a face of this rim. Make it narrower.`),
      ])
    return nothingWorked(edge, setting, [
      strapsTooWide(`Sewn so far in from the sides, the feet of a strap ${tape(widthCm)} wide would meet.`, {
        label: `${tape(inCm)} in from the sides`,
        changes: [{ path: ['inCm'], value: inCm }],
      }),
    ])
  }
  const placing = placed(edge, places, 'faces', spec.nudge)
  const gap = places - 2 * foot
  const { strip: made, freeCm, stop } = strapFor(spec, wide, gap * stitchCm, [spec.overlapCm, spec.overlapCm], setting)
  if (stop) return nothingWorked(edge, setting, [stop])
  const on = used(edge, setting, placing, spec)
  const at = on.map(({ first }) => [sts(first, foot, edge.count), sts(first + places - foot, foot, edge.count)])
  const piece: Piece = {
    id: 'strap', name: spec.number === 2 ? 'Straps' : 'Strap', times: spec.number, ...made, along: !runsAcross(spec),
    colour: spec.colour, seam: sewnBy(spec.sewn).card,
    advice: [
      runsAcross(spec)
        ? `Short rows across: the edges are the row ends.${spec.edged ? '' : ' An edging of {sc} along both keeps it from curling.'}`
        : spec.worked === 'bumps'
          ? 'The first row goes into the bumps on the back of the chain: both long edges then look alike.'
          : 'Long rows: chain loosely, or with a larger hook, or the first edge pulls.',
    ],
    finish: [
      `Right side out, lay ${tape(spec.overlapCm)} of each end flat on the bag, its outer edge ${inFromSides(placing, ' stitches')}. `
      + 'Pin all ends and hold the bag up by them before you sew: they must hang level.',
      (
        `Sew around each foot: down one side, across, up the other and along the rim, ${sewingOf(spec)}. `
        + `${(spec.sewn ?? 'back') === 'back' && spec.lines === 1 ? 'A second line inside the first holds more.' : ''}`
      ).trim(),
      ...REINFORCED.find(({ value }) => value === spec.reinforced)!.sewn,
    ],
  }
  const inner = foot / edge.count
  const handles = on.map(({ face: { name, feet } }): Handle => ({
    name: spec.number === 2 ? `Strap, ${name}` : 'Strap', feet: [feet[0] + inner, feet[1] - inner], lies: 'along',
    lengthCm: freeCm, gapCm: gap * stitchCm, widthCm, strands: wide, onBagCm: spec.overlapCm, aboveCm: 0,
    colour: spec.colour, bears: { strands: strandsOf(spec), ...(spec.reinforced === 'tape' ? { taped: true } : {}) },
  }))
  return nothingWorked(
    edge,
    setting,
    [
      {
        code: 'strap-runs', weight: 'note',
        what:
          `Feet of ${foot} stitches, ${inFromSides(placing)}, ${gap} stitches between them: `
          + `${at.map(pair => pair.join(' and ')).join('; ')}.`,
      },
      ...offPlace(placing, spec, 'The straps', spec.number === 2),
    ],
    {
      pieces: withEdging(piece, spec, wide, setting), handles, grip: gripOf(edge, setting, placing),
      ...(spec.reinforced === 'tape' ? { notions: ['woven tape and sewing thread'] } : {}),
      advice: [
        'Markers, counted from the start of the last round: '
        + `${at.map((pair, i) => `${pair.join(' and ')}${spec.number === 2 ? ` on the ${on[i]!.face.name}` : ''}`).join('; ')}.`,
      ],
    },
  )
}

/** Ways to make them bear more: wider, taped, or another strap under the whole bag. */
function stronger(spec: SewnStrapsSpec, strands: number | undefined): Fix[] {
  const tape: Fix = { label: 'A woven tape along the back', changes: [{ path: ['reinforced'], value: 'tape' }] }
  const wider = widened('wide', strands, wide => `Straps of ${wide} ${strandsOf(spec)}`)
  return [...wider, ...(strands !== undefined && spec.reinforced !== 'tape' ? [tape] : []), underInstead(spec.colour)]
}

/** Sewn straps (craft 10). */
export const sewnStraps = fitted({
  kind: 'sewn-straps', name: 'sewn straps', does: 'Straps worked on their own and sewn on, so far in from each side.', fields,
  tools: ['where-placed'], refusedAs: 'These straps',
  sample: { spec: spec => ({ ...spec, wide: 3, inCm: 2.5, length: { want: { dropCm: 4.6 } } }) },
  begins: ({ stitch, aroundCm }) => ({ stitch, length: { want: { dropCm: 24 } }, inCm: Math.max(1, tenths(aroundCm / 12, IN_CM)) }),
  place: workSewnStraps, strengthen: stronger,
})
