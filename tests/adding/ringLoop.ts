import { between, length } from '../../core/parts/field/questions'
import { fitted, WHERE } from '../../core/parts/handle/onRim'
import { placed } from '../../core/parts/handle/placing'
import { sts } from '../../core/parts/handle/rim'
import { fractionRound } from '../../core/things/round/fractionRound'
import { facingBelow } from '../../core/things/round/style'
import { nothingWorked } from '../../core/parts/handle/unworked'
import { tape } from '../../core/things/stitch/translate'

/** The exercise of a new handle: a ring to hang the bag on a hook by, sewn to the rim at its first side. */
export const ringLoop = fitted({
  kind: 'ring-loop', name: 'ring', does: 'A ring to hang the bag up by.', refusedAs: 'A ring', tools: ['where-placed'],
  fields: { acrossCm: length('The ring, across', between(1, 20), { begins: 4, usually: between(2, 8) }), ...WHERE },
  begins: () => ({ acrossCm: 4 }),
  place: (spec, edge, setting) => {
    const {
      firsts: [first],
    } = placed(edge, 1, 'sides', spec.nudge)
    const way = fractionRound(edge, first, facingBelow(setting))
    const ring = {
      name: 'Ring', feet: [way, way] as const, lies: 'around' as const, lengthCm: Math.PI * spec.acrossCm, gapCm: 0, widthCm: 0.3,
      strands: 4, aboveCm: 0, colour: spec.colour, bought: true, bears: { strands: 'stitches' as const },
    }
    return nothingWorked(edge, setting, [], {
      handles: [ring],
      advice: [`Sew a ring of ${tape(spec.acrossCm)} to ${sts(first, 1, edge.count)}.`],
    })
  },
})
