import { inOne, skip } from '../../things/round/step'
import { aimed } from './aimedStitch'
import type { Texture } from '../texture/texture'
import { textured } from './textured'

/** Three doubles in a gap; the middle one reaches down to what the round below skipped. */
const threeInGap = [aimed('dc', 'gap'), aimed('dc', 'gapBelow'), aimed('dc', 'gap')] as const

/** Three doubles and three skipped, then three into each gap with a long one in their middle. */
const groupsTexture: Texture = {
  asks: { multiple: 4, plus: 0 }, gives: 3, main: 'dc',
  straight: { setUp: [{ repeat: [inOne('dc', 3), skip(3)] }], cycle: [{ repeat: [...threeInGap, skip(3)] }] },
  turned: { setUp: [{ repeat: [inOne('dc', 3), skip(3)] }], cycle: [{ repeat: [skip(1), ...threeInGap, skip(2)] }] },
}

/** Groups of three (craft 7). */
export const groups = textured({
  kind: 'groups', group: 'Fabric', name: 'groups of three',
  does: 'Three {dc} into each gap, the middle one reaching down a round. Gaps serve as eyelets.',
  fields: {}, texture: () => groupsTexture,
})
