import { stitch } from '../field/questions'
import { ANY } from '../part/asks'
import { each } from '../../things/round/step'
import type { FabricKind } from '../../things/stitch/dictionary'
import { always, type Texture } from '../texture/texture'
import { textured } from './textured'
import type { SpecOf } from '../kind/kind'

/** Stitches that a plain band can be worked in. */
export const SOLID_STITCHES = ['sc', 'hdc', 'dc'] as const

/** One stitch in every place, round upon round. */
export function solidTexture(stitch: FabricKind): Texture {
  return { asks: ANY, gives: 1, main: stitch, straight: always(each(stitch, 1)) }
}

/** The same in the back loop alone: the front loops stand as ridges. */
function ridgesTexture(stitch: FabricKind): Texture {
  return { asks: ANY, gives: 1, main: stitch, straight: always(each(stitch, 1, 'back')) }
}

const fields = { stitch: stitch(SOLID_STITCHES) }

/** Plain rounds (craft 7). */
export const solid = textured({
  kind: 'solid', group: 'Fabric', name: 'plain', does: 'A stitch in every stitch, round upon round.', title: () => '',
  fields, plain: true, begins: ({ stitch }) => ({ stitch }), texture: spec => solidTexture(spec.stitch),
  inRows: spec => solidTexture(spec.stitch),
})

/** Plain rounds in the back loop (craft 7). */
export const ridges = textured({
  kind: 'ridges', group: 'Fabric', name: 'ridges', does: 'The same in the back loop alone: the free loops stand as fine ridges.',
  fields, plain: true, begins: ({ stitch }) => ({ stitch }), texture: spec => ridgesTexture(spec.stitch),
  inRows: spec => ({ ...ridgesTexture(spec.stitch), asWritten: true }),
})

export type SolidSpec = SpecOf<typeof solid> | SpecOf<typeof ridges>
