import { boxOpening } from '../mesh/openings'
import { chain, each, type GroupStep, skip } from '../../things/round/step'
import type { Texture } from '../texture/texture'
import { textured } from './textured'

const vee = (aim?: 'space'): GroupStep => ({ do: 'group', ...(aim ? { aim } : {}), steps: [each('dc', 1), chain(2), each('dc', 1)] })

/** A double, two chains and a double over every three stitches; then the same into each space. */
const veesTexture: Texture = {
  asks: { multiple: 3, plus: 0 }, gives: 3, main: 'dc',
  straight: { setUp: [{ repeat: [skip(1), vee(), skip(1)] }], cycle: [{ repeat: [vee('space')] }] },
}

/** The same to and fro, between a double at either end. */
const veesInRows: Texture = {
  asks: { multiple: 3, plus: 2 }, gives: 3, main: 'dc', asWritten: true,
  straight: {
    setUp: [{ first: [each('dc', 1)], repeat: [skip(1), vee(), skip(1)], last: [each('dc', 1)] }],
    cycle: [{ first: [each('dc', 1)], repeat: [vee('space')], last: [skip(1), each('dc', 1)] }],
  },
}

/** Open V's (craft 7). */
export const vees = textured({
  kind: 'vees', group: 'Mesh', name: 'open V\'s',
  does: 'Two {dc} with two chains between, over three stitches: airy.',
  fields: {}, texture: () => veesTexture, inRows: () => veesInRows, opening: (_, gauge) => boxOpening(1, gauge),
})
