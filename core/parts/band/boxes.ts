import { between, choice, count } from '../field/questions'
import { boxOpening } from '../mesh/openings'
import { chain, each, inOne, skip } from '../../things/round/step'
import type { Texture } from '../texture/texture'
import { textured } from './textured'

/**
 * A double, so many chains and as many skipped; then doubles on doubles. Closed off, if asked, by a round with a stitch in each
 * double and as many in each space as it has chains.
 */
function boxesTexture(chains: number, finish: boolean): Texture {
  return {
    asks: { multiple: 1 + chains, plus: 0 }, gives: finish ? 1 + chains : 2, main: 'dc',
    straight: {
      setUp: [{ repeat: [each('dc', 1), chain(chains), skip(chains)] }],
      cycle: [{ repeat: [each('dc', 1), chain(chains), skip(1)] }],
    },
    ...(finish ? { finish: { repeat: chains === 1 ? [each('sc', 2)] : [each('sc', 1), inOne('sc', chains)] } } : {}),
  }
}

/** The same to and fro, between doubles at either end. */
function boxesInRows(chains: number, finish: boolean): Texture {
  const end = [each('dc', 1)]
  return {
    asks: { multiple: 1 + chains, plus: 1 }, gives: finish ? 1 + chains : 2, main: 'dc', asWritten: true,
    straight: {
      setUp: [{ first: end, repeat: [chain(chains), skip(chains), each('dc', 1)] }],
      cycle: [{ first: end, repeat: [chain(chains), skip(1), each('dc', 1)] }],
    },
    ...(finish
      ? { finish: { first: [each('sc', 1)], repeat: chains === 1 ? [each('sc', 2)] : [inOne('sc', chains), each('sc', 1)] } }
      : {}),
  }
}

/** Box mesh (craft 8). */
export const boxes = textured({
  kind: 'boxes', group: 'Mesh', name: 'boxes', does: 'One {dc}, chains, as many skipped: a square mesh that keeps its width.',
  fields: {
    chains: count('Chains in a box', between(1, 12), { begins: 1, usually: between(1, 4) }),
    finish: choice(
      'On top',
      [
        { value: false, name: 'boxes to the end' },
        { value: true, name: 'a solid round', does: 'One {sc} in each {dc} and in each chain: closes the boxes off.' },
      ],
      { begins: false, says: 'A solid round closes the boxes off.' },
    ),
  },
  texture: spec => boxesTexture(spec.chains, spec.finish),
  inRows: spec => boxesInRows(spec.chains, spec.finish), opening: (spec, gauge) => boxOpening(spec.chains, gauge),
})
