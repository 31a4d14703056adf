import { between, count } from '../../core/parts/field/questions'
import { chain, each, skip } from '../../core/things/round/step'
import { textured } from '../../core/parts/band/textured'

/** The exercise of a new band: so many single crochet, one chain over one skipped; shifted by nothing, for it is an exercise. */
export const bricks = textured({
  kind: 'bricks', group: 'Fabric', name: 'bricks', does: 'So many {sc}, one chain over one skipped: rows of bricks with a joint between.',
  fields: { long: count('A brick is', between(1, 12), { begins: 3, suffix: 'sts', usually: between(1, 5) }) },
  texture: ({ long }) => ({
    asks: { multiple: long + 1, plus: 0 }, gives: long + 1, main: 'sc',
    straight: { setUp: [], cycle: [{ repeat: [each('sc', long), chain(1), skip(1)] }] },
  }),
})
