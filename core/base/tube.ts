import { times } from '../measure/length'
import { noFloor } from '../part/floor'
import type { PartResult, Setting, Size } from '../part/part'
import { workUp } from '../part/part'
import { foundation, halves, withSides } from '../round/edge'
import { at, each } from '../round/step'
import { inStyle } from '../round/style'
import type { BaseStitch } from './circle'

/** A bag worked up from a chain joined into a ring, and closed below afterwards (handbook 5, tube). */
export interface TubeSpec {
  readonly form: 'tube'
  readonly stitch: BaseStitch
  readonly size: Size<{ readonly flatWidthCm: number }, { readonly stitches: number }>
  readonly colour: string
}

/** Works a tube's first round, into its ring of chains. */
export function tube(spec: TubeSpec, setting: Setting): PartResult {
  const stitch = setting.gauge[spec.stitch]
  const stitches = 'pin' in spec.size ? spec.size.pin.stitches : Math.max(3, Math.round((2 * spec.size.want.flatWidthCm) / stitch.width.cm))
  const { rounds, edge, stop } = workUp(foundation('chain', stitches), 1, setting, () =>
    inStyle(setting.rounds, setting.turns, spec.stitch, spec.colour, [at('chains', each(spec.stitch, stitches))]))
  const circumference = times(stitch.width, stitches)
  const width = circumference.cm / 2
  return {
    rounds,
    edge: withSides(edge, halves(stitches)),
    size: { height: stitch.height, circumference, floor: noFloor(times(circumference, 0.5)) },
    findings: stop ? [stop] : [],
    start: { kind: 'chain-loop', chains: stitches, beforeCm: circumference.cm * (1 + 1 / 26) },
    // Seen from above a tube is two lines, one behind the other.
    layOut: (round, slot) => {
      const share = (slot + 0.5) / stitches
      const y = round < 0 ? 0 : stitch.height.cm
      return share < 0.5 ? { x: width / 2 - 2 * share * width, y: -y } : { x: -width / 2 + (2 * share - 1) * width, y }
    },
    markers: [[0, Math.floor(stitches / 2)]],
    advice: ['Place the start of the rounds at the bag\'s side. When the bag is done, close its lower edge by slip stitch or sewing, through both layers, one chain to one chain.'],
  }
}
