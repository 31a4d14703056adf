import { flatChoices } from '../../core/parts/base/baseChoice'
import { form, sizesLike } from '../../core/parts/base/form'
import { FLAT_WIDTH } from '../../core/parts/base/boat'
import { between, count, pin, ways } from '../../core/parts/field/questions'
import { times } from '../../core/things/measure/length'
import { noFloor } from '../../core/parts/part/floor'
import { workUp } from '../../core/parts/part/part'
import { foundation, halves, withSides } from '../../core/things/round/edge'
import { at, each } from '../../core/things/round/step'
import { inStyle } from '../../core/things/round/style'

/** The exercise of a new form of base: a ring of foundation stitches, always of an even number of them. */
export const strip = form({
  form: 'strip', name: 'ring of stitches', does: 'A ring of chains, always even.',
  fields: {
    size: ways('Decide by', [
      FLAT_WIDTH,
      pin(
        'counts',
        { stitches: count('Pairs of stitches', between(2, 600), { usually: between(4, 60) }) },
        { from: (_, { part }) => ({ stitches: (part?.edge.count ?? 60) / 2 }) },
      ),
    ]),
  },
  begins: like => ({ size: { want: { flatWidthCm: sizesLike(like).longerCm } } }),
  work: (spec, setting) => {
    const { width, height } = setting.gauge[spec.stitch]
    const stitches = 2 * ('pin' in spec.size ? spec.size.pin.stitches : Math.max(2, Math.round(spec.size.want.flatWidthCm / width.cm)))
    const { rounds, edge, stop } = workUp(foundation('chain', stitches), 1, setting, () =>
      inStyle(setting, 0, spec.stitch, spec.colour, [at('chains', each(spec.stitch, stitches))]),
    )
    return {
      rounds, edge: withSides(edge, halves(stitches)), findings: stop ? [stop] : [], start: { kind: 'chain-loop', chains: stitches },
      size: { height, circumference: times(width, stitches), floor: noFloor(times(width, stitches / 2)) },
      layOut: (_, station) => ({ x: (station - stitches / 2) * width.cm, y: 0 }),
    }
  },
  choices: (spec, { gauge }, toleranceCm) => {
    const stitchCm = gauge[spec.stitch].width.cm
    const askedCm = 'want' in spec.size ? spec.size.want.flatWidthCm : spec.size.pin.stitches * stitchCm
    return flatChoices(
      askedCm,
      toleranceCm,
      stitchCm,
      2,
      stitches => ({ ...spec, size: { pin: { stitches } } }),
      stitches => stitches,
    )
  },
})
