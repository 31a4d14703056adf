import { between, count, length, pin, want, ways } from '../field/ask'
import { DIAMETER_CM, HEIGHT_CM, PINNED_ROUNDS } from '../field/bounds'
import { tenths } from '../field/now'
import { perStitch } from '../gauge/refine'
import { times } from '../measure/length'
import { noFloor } from '../part/floor'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type Setting, stopped, workUp } from '../part/part'
import { foundation, foundationOf, withSides } from '../round/edge'
import { at, each } from '../round/step'
import { many, tape } from '../stitch/tell'
import { flatChoices } from './choice'
import { DECIDES } from './circle'
import { form, type FormSpec, sizesLike } from './form'
import { row, rowStart } from './rectangle'

/** What the questions look at of one another's answers. */
interface Answered {
  readonly repeat: number
  readonly edgeStitches: number
}

const fields = {
  size: ways('Decide by', [
    want(
      'a size',
      {
        widthCm: length('Width of the bag', DIAMETER_CM, { usually: between(1, 40) }),
        heightCm: length('Height of the bag', HEIGHT_CM, { usually: between(1, 40) }),
      },
      {
        does: DECIDES.want,
        from: (_, { part }) => ({
          widthCm: tenths(part?.size.floor?.length.cm ?? 20, DIAMETER_CM),
          heightCm: tenths(part?.size.height.cm ?? 20, DIAMETER_CM),
        }),
      },
    ),
    pin(
      'counts',
      {
        repeats: count('Repeats', between(1, 600), { usually: between(1, 12) }),
        rows: count('Rows', PINNED_ROUNDS, { usually: between(1, 30) }),
      },
      {
        does: DECIDES.pin,
        from: (spec: Answered, { part }) => ({
          repeats: Math.max(1, Math.round(((part?.edge.count ?? 60) / 2 - spec.edgeStitches) / spec.repeat)),
          rows: Math.max(1, part?.rounds.length ?? 1),
        }),
      },
    ),
  ]),
  repeat: count('Stitches of a repeat', between(1, 60), { begins: 6, usually: between(1, 12) }),
  edgeStitches: count('Edge stitches besides', between(-20, 40), {
    begins: 1, usually: between(-4, 6), says: 'A row is repeats times repeat, and these; below 0 so many fewer.',
  }),
} as const

/** A rectangle over a repeat, folded in half and seamed at two sides (craft 5, flat and folded). */
export type FoldedSpec = FormSpec<'folded', typeof fields>

/** How the flat piece becomes a bag, and where the first round goes. */
function folding(stitches: number, rows: number, rowCm: number): string {
  return (
    'When the last row is done, and before the first round: fold the piece in half across its rows, right sides together, and '
    + 'seam both '
    + `sides, a stitch to every row end: ${many(Math.floor(rows / 2), 'row end')} a side, ${tape(rowCm)} each. Turn it right side out; the `
    + 'fold is the bottom. Join the yarn at a side seam with the right side facing: the first round goes into the '
    + `${many(stitches, 'st')} of the last row, then into the ${many(stitches, 'ch', 'chs')} of the underside of the first.`
  )
}

/** What its row is made of, where it is to carry a repeat. */
function rowOf({ repeat, edgeStitches }: FoldedSpec, repeats: number): string {
  const edge = edgeStitches ? `, ${edgeStitches > 0 ? 'and' : 'less'} ${Math.abs(edgeStitches)}` : ''
  return `The row is ${repeats} repeats of ${repeat}${edge}.`
}

/** Works the rows of a flat bag; its edge is the last row and the chain's underside, after folding and seaming. */
function workFolded(spec: FoldedSpec, setting: Setting): PartResult {
  const stitch = setting.gauge[spec.stitch]
  const { repeats, rows: wanted }
    = 'pin' in spec.size
      ? spec.size.pin
      : {
          repeats: Math.max(1, Math.round((spec.size.want.widthCm / stitch.width.cm - spec.edgeStitches) / spec.repeat)),
          rows: Math.max(2, Math.round((2 * spec.size.want.heightCm) / stitch.height.cm)),
        }
  const stitches = Math.max(2, repeats * spec.repeat + spec.edgeStitches)
  const width = times(stitch.width, stitches)
  const size = { height: times(stitch.height, wanted / 2), circumference: times(width, 2), floor: noFloor(width) }
  const chain = foundation('chain', stitches, false)
  if (wanted > MOST_ROUNDS || wanted * stitches > MOST_STITCHES) {
    return stopped(chain, size, {
      code: 'base-too-big', weight: 'stop',
      what: `This piece would take ${wanted} rows of ${stitches} stitches. Ask for a smaller one, or check the swatch.`,
    })
  }
  const { rounds, stop } = workUp(chain, wanted, setting, i =>
    row(setting, i, wanted, spec.stitch, spec.colour, [i === 0 ? at('chains', each(spec.stitch, stitches)) : each(spec.stitch, stitches)]),
  )
  const { begin } = rounds[0]!.round
  const [w, h] = [stitch.width.cm, stitch.height.cm]
  return {
    rounds,
    edge: withSides(
      foundationOf([
        { kind: 'stitch', count: stitches },
        { kind: 'underside', count: stitches },
      ]),
      [0, stitches],
    ),
    size, findings: stop ? [stop] : [], start: rowStart(stitches, stitch, begin.chains),
    layOut: (round, station) => ({ x: width.cm / 2 - (station + 0.5) * w, y: (wanted / 2 - round - 1) * h }),
    rising: Math.ceil(rounds.length / 2), markers: rounds.map(() => []), seam: 'whipSeam',
    advice: [[folding(stitches, wanted, stitch.height.cm), ...(spec.repeat > 1 ? [rowOf(spec, repeats)] : [])].join(' ')],
  }
}

/** A folded piece (craft 5). */
export const folded = form({
  form: 'folded', name: 'folded piece', does: 'A flat piece, folded in half and seamed at two sides.', fields, tall: true,
  begins: (like) => {
    const { longerCm } = sizesLike(like)
    return { size: { want: { widthCm: longerCm, heightCm: Math.max(5, tenths(like.heightCm, DIAMETER_CM)) } } }
  },
  work: workFolded, measures: 'length',
  evidence: (spec, { repeats }, { lengthCm }) => ({
    kind: spec.stitch,
    width: perStitch(lengthCm, repeats * spec.repeat + spec.edgeStitches),
  }),
  choices: (spec, setting, toleranceCm) => {
    const stitchCm = setting.gauge[spec.stitch].width.cm
    const wide = (repeats: number) => repeats * spec.repeat + spec.edgeStitches
    const askedCm = 'want' in spec.size ? spec.size.want.widthCm : wide(spec.size.pin.repeats) * stitchCm
    const rows = 'pin' in spec.size ? spec.size.pin.rows : Math.max(1, workFolded(spec, setting).rounds.length)
    return flatChoices(askedCm, toleranceCm, stitchCm, 1, repeats => ({ ...spec, size: { pin: { repeats, rows } } }), wide)
  },
})
