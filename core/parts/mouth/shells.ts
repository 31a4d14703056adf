import { between, count } from '../field/questions'
import { each, inOne, skip } from '../../things/round/step'
import { edged, oneRound } from './edging'

/** Shells with singles between, over six stitches (craft 9). */
export const shells = edged({
  kind: 'shells', name: 'shells', does: 'A shell of {dc}, one {sc} between, over six stitches.',
  fields: { stitches: count('Stitches of a shell', between(3, 9), { begins: 4, usually: between(3, 7) }) },
  edging: spec => oneRound({
    asks: { multiple: 6, plus: 0 }, gives: 1 + spec.stitches, main: 'dc',
    straight: { setUp: [], cycle: [{ repeat: [each('sc', 1), skip(2), inOne('dc', spec.stitches), skip(2)] }] },
  }),
})
