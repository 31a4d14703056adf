import { between, count, stitch } from '../field/questions'
import { each, inOne, skip, type Step } from '../../things/round/step'
import type { FabricKind } from '../../things/stitch/dictionary'
import type { TextureRound } from '../texture/texture'
import { edged, type Edging } from './edging'

function gcd(a: number, b: number): number {
  return b === 0 ? a : gcd(b, a % b)
}

/** The first round: so many in each space of a round of boxes, or in every second stitch of a plain one: half the places either way. */
function opening(stitch: FabricKind, inEach: number, boxes: number, onSpaces: boolean): TextureRound {
  const box: Step[] = onSpaces ? [{ ...inOne(stitch, inEach), aim: 'space' }] : [inOne(stitch, inEach), skip(1)]
  return { repeat: boxes === 1 ? box : [{ do: 'repeat', times: boxes, steps: box }] }
}

/** An increase in every so many stitches; of three, the middle one is doubled: 1, 2, 1. */
function increasing(stitch: FabricKind, every: number, times: number): TextureRound {
  const before = Math.floor(every / 2)
  const after = every - before - 1
  const unit: Step[] = [...(before > 0 ? [each(stitch, before)] : []), inOne(stitch, 2), ...(after > 0 ? [each(stitch, after)] : [])]
  return { repeat: times === 1 ? unit : [{ do: 'repeat', times, steps: unit }] }
}

function ruffleOf(stitch: FabricKind, inEach: number, every: number, onSpaces: boolean): Edging {
  // So many boxes that their stitches divide by where the increases come.
  const boxes = every > 0 ? every / gcd(inEach, every) : 1
  const stitches = boxes * inEach
  const times = every > 0 ? stitches / every : 0
  const second = every > 0 ? [increasing(stitch, every, times)] : []
  const straight = { setUp: [opening(stitch, inEach, boxes, onSpaces), ...second], cycle: [{ repeat: [each(stitch, 1)] }] }
  return {
    texture: { asks: { multiple: 2 * boxes, plus: 0 }, gives: stitches + times, main: stitch, straight },
    rounds: 1 + second.length, advice: [],
  }
}

/** So many stitches in each box, then an increase in every so many (craft 9). */
export const ruffle = edged({
  kind: 'ruffle', name: 'ruffle', does: 'So many stitches in each box or every second stitch, then increases: it ripples.',
  fields: {
    inEach: count('Stitches in each box', between(1, 8), { begins: 3, beside: true, usually: between(1, 5) }),
    every: count('Then one increase every', between(0, 12), {
      begins: 3, beside: true, suffix: 'sts', usually: between(0, 5),
      says: 'One increase in every so many stitches of a second round; 0: no second round.',
    }),
    stitch: stitch(['sc', 'hdc', 'dc']),
  },
  begins: ({ stitch }) => ({ stitch }), edging: (spec, onSpaces) => ruffleOf(spec.stitch, spec.inEach, spec.every, onSpaces),
})
