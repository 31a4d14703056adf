import { between, count } from '../../core/parts/field/questions'
import { edged, oneRound } from '../../core/parts/mouth/edging'
import { chain, each, skip } from '../../core/things/round/step'
import { always } from '../../core/parts/texture/texture'

const fields = { chains: count('Chains of a peg', between(3, 9), { begins: 5, usually: between(3, 7) }) } as const

/** An exercise in adding an edging: loops of chain that stand over a skipped stitch. */
export const pegs = edged({
  kind: 'pegs', name: 'pegs', does: 'Loops of chain along the edge, for a cord to catch.', fields,
  edging: ({ chains }) => oneRound({
    asks: { multiple: 4, plus: 0 }, gives: 4, main: 'sc', straight: always(each('sc', 3), chain(chains), skip(1)),
  }),
})
