import { between, count, stitch } from '../field/questions'
import { each, type Loop, type StitchStep } from '../../things/round/step'
import type { FabricKind } from '../../things/stitch/dictionary'
import { always, type Texture } from '../texture/texture'
import { textured } from './textured'

/** Stitches with a post tall enough to go around. */
const RIB_STITCHES = ['hdc', 'dc'] as const
const RIB = between(1, 12)
const usually = between(1, 3)

function around(kind: FabricKind, times: number, loop: Loop): StitchStep[] {
  return times > 0 ? [each(kind, times, loop)] : []
}

/** Columns of stitches around the post, so many standing out and so many standing back. */
function ribTexture(stitch: FabricKind, front: number, back: number): Texture {
  const out = around(stitch, front, 'frontPost')
  const inward = around(stitch, back, 'backPost')
  return {
    asks: { multiple: front + back, plus: 0 }, gives: front + back, main: stitch, straight: always(...out, ...inward),
    turned: {
      setUp: [],
      cycle: [
        { repeat: [...out, ...inward] },
        { repeat: [...around(stitch, 1, 'frontPost'), ...inward, ...around(stitch, front - 1, 'frontPost')] },
      ],
    },
  }
}

/** The same to and fro, on a plain row of its own: there has to be a post to go around. */
function ribInRows(stitch: FabricKind, front: number, back: number): Texture {
  const { turned: _, straight, ...texture } = ribTexture(stitch, front, back)
  return { ...texture, straight: { ...straight, setUp: [{ repeat: [each(stitch, front + back)] }] } }
}

/** Ribs around the post (craft 7). */
export const rib = textured({
  kind: 'rib', group: 'Fabric', name: 'rib', does: 'Columns around the post, some standing out, some standing back: thick, and it gives.',
  fields: {
    stitch: stitch(RIB_STITCHES),
    front: count('Front post stitches', RIB, {
      why: 'Worked around the post from the front: they stand out as a column.', card: 'frontPost', begins: 1, beside: true, usually }),
    back: count('Back post stitches', RIB, {
      why: 'Worked around the post from behind: they lie back, and the others stand out.', card: 'backPost', begins: 1, beside: true,
      usually }),
  },
  begins: ({ stitch }) => ({ stitch: stitch === 'sc' ? 'hdc' : stitch }), texture: spec => ribTexture(spec.stitch, spec.front, spec.back),
  inRows: spec => ribInRows(spec.stitch, spec.front, spec.back),
})
