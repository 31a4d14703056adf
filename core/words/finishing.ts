import { liningOf, pieceWords } from '../draft/meshFindings'
import type { Draft, DraftPart } from '../draft/draft'
import { draftYarnChanges } from '../draft/wallFindings'
import { casingsOf } from '../draft/casing'
import { formatCm } from '../measure/format'
import { END_CM } from '../yarn/yarn'

/** A row end or a stitch eats about so many lengths of a seam in sewing yarn, there and back (craft 11). */
const SEAM_LENGTHS = 3

/** The ends of yarn there are to weave in: two for every yarn joined, in rounds and in pieces. */
function endsToWeave(draft: Draft): number {
  const rounds = Object.values(draftYarnChanges(draft.parts).ends).reduce((sum, ends) => sum + ends, 0)
  const pieces = draft.parts.flatMap(part => part.pieces).reduce((sum, { times, goesOn }) => sum + (goesOn ? 0 : 2 * times), 0)
  return rounds + pieces
}

/** Pieces are sewn on after all are made: with how much yarn, where a seam is sewn. */
function sewing({ pieces }: DraftPart, draft: Draft): string[] {
  return pieces
    .filter(({ rows }) => rows.length > 0)
    .map((piece) => {
      const tail = formatCm(Math.max(30, Math.round((piece.widthCm * SEAM_LENGTHS * 2) / 5) * 5), draft.design.units)
      const each = piece.times > 1 ? 'each of them' : 'it'
      if (piece.free)
        return `${piece.name}: fasten off at the end of ${each}, and leave ${formatCm(END_CM, draft.design.units)} to weave in.`
      return `${piece.name}: leave ${tail} of yarn at the end of ${each} to sew with, and sew on as told there.`
    })
}

function fastenOff(draft: Draft): string[] {
  const last = draft.rounds.at(-1)?.worked.round
  // A strap that goes on from the rim has the yarn already.
  if (!last || draft.parts.some(({ pieces }) => pieces.some(({ goesOn }) => goesOn))) return []
  const tail = formatCm(END_CM, draft.design.units)
  const even
    = last.join === 'spiral' && !last.closing
      ? 'Work one {slst} in each of the next two sts, so that the step at the end of the spiral is evened. '
      : ''
  return [`${even}Cut the yarn ${tail} from the hook, draw the end through the last loop and pull it close.`]
}

function lined(draft: Draft): string[] {
  const pieces = liningOf(draft.design, draft.parts, draft.sizes)
  if (pieces.length === 0) return []
  return [
    `Cut the lining (${pieces.map(pieceWords).join('; ')}), sew it to a bag, turn the hem under, put `
    + 'it in wrong side to wrong side, and sew it to the inside below the mouth with small stitches.',
  ]
}

/** The step that sends the maker to what is told of the cords. */
export const CORDS_STEP = 'Make the cords, thread them and finish their ends, as told under Cords.'

/** What is done when the last round is worked, in order, as steps. */
export function finishingOf(draft: Draft): string[] {
  const ends = endsToWeave(draft)
  const tail = formatCm(END_CM / 3, draft.design.units)
  return [
    ...fastenOff(draft), ...draft.parts.flatMap(part => sewing(part, draft)),
    ...(ends > 0
      ? [`Weave in the ${ends} ends: each ${tail} one way under stitches of its own colour, then back another way; cut off what is left.`]
      : []),
    ...(casingsOf(draft.parts, draft.gauge).length > 0 ? [CORDS_STEP] : []),
    ...lined(draft),
    'Pin the bag to its measures, damp it or steam it from the back, and let it dry. Steam melts acrylic: damp that only.',
  ]
}
