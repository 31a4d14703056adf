import { each } from '../../things/round/step'
import { aimed } from './aimedStitch'
import type { Texture } from '../texture/texture'
import { textured } from './textured'

const single = each('sc', 1)

/** Singles, and doubles that reach down a round, alternating; long ones over short ones. */
const mossTexture: Texture = {
  asks: { multiple: 2, plus: 0 }, gives: 2, main: 'sc',
  straight: {
    setUp: [{ repeat: [each('sc', 2)] }],
    cycle: [{ repeat: [single, aimed('dc', 'below')] }, { repeat: [aimed('dc', 'below'), single] }],
  },
}

/** Moss (craft 7). */
export const moss = textured({
  kind: 'moss', group: 'Fabric', name: 'moss',
  does: 'Short stitches and long ones that reach down a round, alternating: dense, pebbled.',
  fields: {}, texture: () => mossTexture, inRows: () => mossTexture,
})
