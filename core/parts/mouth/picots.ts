import { between, count } from '../field/questions'
import { chain, each } from '../../things/round/step'
import { edged, oneRound } from './edging'

/** Little points of chain (craft 9). */
export const picots = edged({
  kind: 'picots', name: 'picots', does: 'Little points of chain between {sc}.',
  fields: {
    chains: count('Chains of a point', between(2, 12), { begins: 3, beside: true, usually: between(2, 5) }),
    between: count('Stitches between', between(1, 20), { begins: 1, beside: true, usually: between(1, 4) }),
  },
  edging: spec => oneRound({
    asks: { multiple: spec.between, plus: 0 }, gives: spec.between + 1, main: 'sc',
    straight: { setUp: [], cycle: [{ repeat: [each('sc', spec.between), chain(spec.chains)] }] },
  }),
})
