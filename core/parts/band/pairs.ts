import { each, type GroupStep, inOne, skip } from '../../things/round/step'
import type { FabricKind } from '../../things/stitch/dictionary'
import type { Texture } from '../texture/texture'
import { textured } from './textured'

const inGap = (kind: FabricKind, times: number): GroupStep => ({ do: 'group', aim: 'gap', steps: [each(kind, times)] })

/** Two half doubles in one, then two between each two pairs of the round below. */
const pairsTexture: Texture = {
  asks: { multiple: 2, plus: 0 }, gives: 2, main: 'hdc',
  straight: { setUp: [{ repeat: [skip(1), inOne('hdc', 2)] }], cycle: [{ repeat: [inGap('hdc', 2), skip(2)] }] },
  turned: { setUp: [{ repeat: [skip(1), inOne('hdc', 2)] }], cycle: [{ repeat: [skip(1), inGap('hdc', 2), skip(1)] }] },
}

/** The same to and fro: a pair in the middle of each pair, since there is no gap beyond a row's end. */
const pairsInRows: Texture = { ...pairsTexture, straight: pairsTexture.turned!, asWritten: true }

/** Pairs (craft 7). */
export const pairs = textured({
  kind: 'pairs', group: 'Fabric', name: 'pairs',
  does: 'Two {hdc} together, and two between each two of the round below: a close, cushioned fabric.',
  fields: {}, texture: () => pairsTexture, inRows: () => pairsInRows,
})
