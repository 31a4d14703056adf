import { times } from '../measure/length'
import { noFloor } from '../part/floor'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type Setting, type Size, stopped, workUp } from '../part/part'
import { foundation, foundationOf, withSides } from '../round/edge'
import { at, each } from '../round/step'
import type { BaseStitch } from './circle'
import { row, rowStart } from './rectangle'

/** A rectangle over a repeat, folded in half and seamed at two sides (handbook 5, flat and folded). */
export interface FoldedSpec {
  readonly form: 'folded'
  readonly stitch: BaseStitch
  /** The row is a whole number of repeats of this many stitches ... */
  readonly repeat: number
  /** ... and this many at its edges, or fewer (handbook 5: plus or minus an edge). */
  readonly edgeStitches: number
  readonly size: Size<{ readonly widthCm: number, readonly heightCm: number }, { readonly repeats: number, readonly rows: number }>
  readonly colour: string
}

/** Works the rows of a flat bag; its edge is the last row and the chain's underside, after folding and seaming. */
export function folded(spec: FoldedSpec, setting: Setting): PartResult {
  const stitch = setting.gauge[spec.stitch]
  const { repeats, rows: wanted } = 'pin' in spec.size
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
    return stopped(chain, size, { code: 'base-too-big', weight: 'stop', what: `This piece would take ${wanted} rows of ${stitches} stitches. Ask for a smaller one, or check the swatch.` })
  }
  const { rounds, stop } = workUp(chain, wanted, setting, i =>
    row(setting, i, wanted, spec.stitch, spec.colour, [i === 0 ? at('chains', each(spec.stitch, stitches)) : each(spec.stitch, stitches)]))
  const { begin } = rounds[0]!.round
  const [w, h] = [stitch.width.cm, stitch.height.cm]
  return {
    rounds,
    edge: withSides(foundationOf([{ kind: 'stitch', count: stitches }, { kind: 'underside', count: stitches }]), [0, stitches]),
    size,
    findings: stop ? [stop] : [],
    start: rowStart(stitches, stitch, begin.chains),
    layOut: (round, slot) => ({ x: width.cm / 2 - (slot + 0.5) * w, y: (wanted / 2 - round - 1) * h }),
    rising: Math.ceil(rounds.length / 2),
    markers: rounds.map(() => []),
    advice: [`Fold the piece in half across its rows, right sides together, and seam both sides; turn it right side out. The fold is the bottom. ${spec.repeat > 1 ? `The row is ${repeats} repeats of ${spec.repeat}${spec.edgeStitches ? `, ${spec.edgeStitches > 0 ? 'and' : 'less'} ${Math.abs(spec.edgeStitches)}` : ''}.` : ''}`.trim()],
  }
}
