import { liningOf, pieceWords } from '../../bag/draft/findings/meshFindings'
import type { Draft } from '../../bag/draft/draft'
import { draftYarnChanges } from '../../bag/draft/findings/wallFindings'
import { casingsOf } from '../../bag/draft/casing'
import { formatCm } from '../../things/measure/format'
import { END_CM } from '../../bag/yarn/yarn'

/** The ends of yarn there are to weave in: two for every yarn joined, in rounds and in pieces. */
function endsToWeave(draft: Draft): number {
  const rounds = Object.values(draftYarnChanges(draft.parts).ends).reduce((sum, ends) => sum + ends, 0)
  const pieces = draft.parts.flatMap(part => part.pieces).reduce((sum, { times, goesOn }) => sum + (goesOn ? 0 : 2 * times), 0)
  return rounds + pieces
}

/** A step of finishing, known by what it is; `times` where it is done so often. */
export interface FinishingStep {
  readonly id: 'ends' | 'cords' | 'lining' | 'block'
  readonly text: string
  readonly times: number
}

function weaving(draft: Draft): FinishingStep[] {
  const ends = endsToWeave(draft)
  if (ends === 0) return []
  const tail = formatCm(END_CM / 3, draft.design.units)
  const text = `Weave in the ${ends} ends: each ${tail} one way under stitches of its own colour, then back another way; cut off what is `
    + 'left.'
  return [{ id: 'ends', text, times: ends }]
}

function lined(draft: Draft): FinishingStep[] {
  const pieces = liningOf(draft.design, draft.parts, draft.sizes)
  if (pieces.length === 0) return []
  const text = `Cut the lining (${pieces.map(pieceWords).join('; ')}), sew it to a bag, turn the hem under, put `
    + 'it in wrong side to wrong side, and sew it to the inside below the mouth with small stitches.'
  return [{ id: 'lining', text, times: 1 }]
}

/** Finishing steps, in order. */
export function finishingOf(draft: Draft): FinishingStep[] {
  return [
    ...weaving(draft),
    ...(casingsOf(draft.parts, draft.gauge).length > 0
      ? [{ id: 'cords', text: 'Make the cords, thread them and finish their ends, as told under Cords.', times: 1 } as const]
      : []),
    ...lined(draft),
    {
      id: 'block', times: 1,
      text: 'Pin the bag to its measures, damp it or steam it from the back, and let it dry. Steam melts acrylic: damp that only.',
    },
  ]
}
