import { each, inOne, skip } from '../../things/round/step'
import type { Texture } from '../texture/texture'
import { textured } from './textured'

const fan = inOne('dc', 3)
const single = each('sc', 1)

/** Fans of three doubles with a single between: fans stand on singles, singles on the middles of fans. */
const wavesTexture: Texture = {
  asks: { multiple: 4, plus: 0 }, gives: 4, main: 'dc', interlocks: true,
  straight: {
    setUp: [{ repeat: [single, skip(1), fan, skip(1)] }],
    cycle: [{ repeat: [fan, skip(1), single, skip(1)] }, { repeat: [skip(1), single, skip(1), fan] }],
  },
  turned: {
    setUp: [{ repeat: [single, skip(1), fan, skip(1)] }, { repeat: [fan, skip(1), single, skip(1)] }],
    cycle: [{ repeat: [skip(1), fan, skip(1), single] }],
  },
}

/** The same to and fro: half a fan at either end of every second row. */
const wavesInRows: Texture = {
  asks: { multiple: 4, plus: 5 }, gives: 4, main: 'dc', interlocks: true, asWritten: true,
  straight: {
    setUp: [],
    cycle: [
      { first: [single, skip(1), fan, skip(1)], repeat: [single, skip(1), fan, skip(1)], last: [single] },
      {
        first: [inOne('dc', 2), skip(1), single], repeat: [skip(1), fan, skip(1), single], last: [skip(1), inOne('dc', 2)],
      },
    ],
  },
}

/** Waves (craft 7). */
export const waves = textured({
  kind: 'waves', group: 'Fabric', name: 'waves',
  does: 'Fans of three {dc} with one {sc} between, each standing on the other.',
  fields: {}, texture: () => wavesTexture, inRows: () => wavesInRows,
})
