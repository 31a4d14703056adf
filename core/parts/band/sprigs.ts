import { choice } from '../field/questions'
import { each, type GroupStep, skip } from '../../things/round/step'
import type { Texture } from '../texture/texture'
import { textured } from './textured'

const sprig: GroupStep = { do: 'group', steps: [each('sc', 1), each('hdc', 2)] }

/** A single and two half doubles in one, two skipped; with a single of its own at the seam if the maker joins there. */
function sprigsTexture(seamStitch: boolean): Texture {
  const first = seamStitch ? [each('sc', 1)] : []
  return {
    asks: { multiple: 3, plus: first.length }, gives: 3, main: 'hdc',
    straight: { setUp: [], cycle: [{ first, repeat: [sprig, skip(2)] }] },
    ...(seamStitch ? { turned: { setUp: [], cycle: [{ first, repeat: [skip(2), sprig] }] } } : {}),
  }
}

/** The same to and fro: each sprig in the single of the one below, and a single in the last stitch. */
const sprigsInRows: Texture = {
  asks: { multiple: 3, plus: 1 }, gives: 3, main: 'hdc', asWritten: true,
  straight: { setUp: [], cycle: [{ repeat: [sprig, skip(2)], last: [each('sc', 1)] }] },
}

/** Sprigs (craft 7). */
export const sprigs = textured({
  kind: 'sprigs', group: 'Fabric', name: 'sprigs', does: 'One {sc} and two {hdc} in one place, two skipped: a slanting, speckled fabric.',
  fields: {
    seamStitch: choice('At the seam', [
      { value: false, name: 'nothing more', does: 'The repeat goes all the way round.' },
      { value: true, name: 'one {sc} of its own', does: 'Keeps the join out of the sprigs; takes one stitch more.' },
    ], { begins: false }),
  },
  texture: spec => sprigsTexture(spec.seamStitch), inRows: () => sprigsInRows,
})
