import { between, count, pin, ways } from '../field/questions'
import { perStitch } from '../../things/gauge/refine'
import { times } from '../../things/measure/length'
import { noFloor } from '../part/floor'
import type { PartResult, Setting } from '../part/part'
import { workUp } from '../part/part'
import { foundation, halves, withSides } from '../../things/round/edge'
import { at, each } from '../../things/round/step'
import { inStyle } from '../../things/round/style'
import { FLAT_WIDTH } from './boat'
import { flatChoices } from './baseChoice'
import { DECIDES } from './discFields'
import { form, type FormSpec, sizesLike } from './form'

const fields = {
  size: ways('You give', [
    FLAT_WIDTH,
    pin(
      'counts',
      { stitches: count('Stitches around', between(2, 1200), { usually: between(2, 120) }) },
      {
        does: DECIDES.pin,
        from: (_, { part }) => ({ stitches: part?.edge.count ?? 60 }),
      },
    ),
  ]),
} as const

/** A bag worked up from a chain joined into a ring, and closed below afterwards (craft 5, tube). */
type TubeSpec = FormSpec<'tube', typeof fields>

/** Works a tube's first round, into its ring of chains. */
function workTube(spec: TubeSpec, setting: Setting): PartResult {
  const stitch = setting.gauge[spec.stitch]
  const stitches = 'pin' in spec.size ? spec.size.pin.stitches : Math.max(3, Math.round((2 * spec.size.want.flatWidthCm) / stitch.width.cm))
  const { rounds, edge, stop } = workUp(foundation('chain', stitches), 1, setting, () =>
    inStyle(setting, 0, spec.stitch, spec.colour, [at('chains', each(spec.stitch, stitches))]),
  )
  const circumference = times(stitch.width, stitches)
  const width = circumference.cm / 2
  return {
    rounds,
    edge: withSides(edge, halves(stitches)),
    size: { height: stitch.height, circumference, floor: noFloor(times(circumference, 0.5)) },
    findings: stop ? [stop] : [],
    start: { kind: 'chain-loop', chains: stitches, beforeCm: circumference.cm * (1 + 1 / 26) },
    // Seen from above a tube is two lines, one behind the other.
    layOut: (round, station) => {
      const share = (station + 0.5) / stitches
      const y = round < 0 ? 0 : stitch.height.cm
      return share < 0.5 ? { x: width / 2 - 2 * share * width, y: -y } : { x: -width / 2 + (2 * share - 1) * width, y }
    },
    markers: [[0, Math.floor(stitches / 2)]],
    seam: 'slipSeam',
    advice: [
      'Place the start of the rounds at the bag\'s side. When the bag is done, close its lower edge by slip stitch or sewing, through '
      + 'both layers, one chain to one chain.',
    ],
  }
}

/** A tube (craft 5). */
export const tube = form({
  form: 'tube', name: 'tube', does: 'No floor: a ring of chains worked up, and closed below when it is done.', fields,
  begins: like => ({ size: { want: { flatWidthCm: sizesLike(like).longerCm } } }), work: workTube, measures: 'length',
  evidence: (spec, { stitches }, { lengthCm }) => ({ kind: spec.stitch, width: perStitch(2 * lengthCm, stitches) }),
  choices: (spec, { gauge }, toleranceCm) => {
    const stitchCm = gauge[spec.stitch].width.cm
    const askedCm = 'want' in spec.size ? spec.size.want.flatWidthCm : (spec.size.pin.stitches / 2) * stitchCm
    return flatChoices(
      askedCm,
      toleranceCm,
      stitchCm,
      3,
      stitches => ({ ...spec, size: { pin: { stitches } } }),
      stitches => stitches / 2,
    )
  },
})
