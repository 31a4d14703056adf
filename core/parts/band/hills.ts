import { stitch } from '../field/questions'
import { each, type StitchStep } from '../../things/round/step'
import type { FabricKind } from '../../things/stitch/dictionary'
import type { Texture, TextureRound } from '../texture/texture'
import { SOLID_STITCHES, solidTexture } from './solid'
import { textured } from './textured'

/** From one stitch up or down to another and back. */
function hill(...kinds: readonly FabricKind[]): StitchStep[] {
  return kinds.map(kind => each(kind, 1))
}

const UP = hill('sc', 'hdc', 'dc', 'tr', 'dc', 'hdc')
const DOWN = hill('tr', 'dc', 'hdc', 'sc', 'hdc', 'dc')

/**
 * Two plain rounds to change colour on, a round of stitches that grow and fall, and its opposite, which fills its valleys: over each
 * place a short one stands on a tall one (craft 5, flat and folded). To and fro the first stitch comes once more at a row's end, so
 * that every row is the same both ways.
 */
function hillsTexture(plain: FabricKind, inRows: boolean): Texture {
  const plainly: TextureRound = { repeat: [each(plain, 6)], ...(inRows ? { last: [each(plain, 1)] } : {}) }
  const risen = (steps: readonly StitchStep[]): TextureRound => ({ repeat: steps, ...(inRows ? { last: [steps[0]!] } : {}) })
  return {
    ...solidTexture(plain), asks: { multiple: 6, plus: inRows ? 1 : 0 }, gives: 6, ...(inRows ? { asWritten: true as const } : {}),
    straight: { setUp: [], cycle: [plainly, plainly, risen(UP), risen(DOWN)] }, mirrors: true,
  }
}

/** Hills (craft 5). */
export const hills = textured({
  kind: 'hills', group: 'Fabric', name: 'hills',
  does: 'Stitches that grow and fall, then the other way about, with two plain rounds between to change yarn on.',
  fields: { stitch: stitch(SOLID_STITCHES) }, texture: spec => hillsTexture(spec.stitch, false),
  inRows: spec => hillsTexture(spec.stitch, true),
})
