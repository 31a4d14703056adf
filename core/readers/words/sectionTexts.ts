import type { Draft, DraftPart } from '../../bag/draft/draft'
import { wallPartOf } from '../../bag/draft/fold/draftPart'
import { CM_PER_INCH, formatCm, type Units } from '../../things/measure/format'
import type { Piece } from '../../parts/part/piece'
import { gramsOf } from '../../things/stitch/translate'
import { END_CM } from '../../bag/yarn/yarn'

/*
 * Texts of a part or a piece before its rounds or rows, and after them. The pattern and the hook say the same: both
 * take it from here, so that nothing is missing from either. What must be known before the yarn is cut comes before it is cut.
 */

/** A seam takes about so many lengths of itself in yarn, there and back (handbook 11: three times the seam's length). */
const SEAM_LENGTHS = 3

/** The shortest tail that is handy to sew with (from memory). */
const LEAST_TO_SEW_CM = 30

/** A tail as long as it needs, up to the next 5 cm or whole inch. */
function tailWords(cm: number, units: Units): string {
  const step = units === 'in' ? CM_PER_INCH : 5
  return formatCm(Math.ceil(cm / step - 1e-9) * step, units)
}

/** The text of a part that uses its yarn up. */
function usedUp({ design: { yarns } }: Draft, part: DraftPart): string[] {
  const spec = wallPartOf(part)
  if (!spec?.useUp) return []
  const { by, leaveGrams } = spec.useUp
  const colour = by === 'cords' ? (spec as { readonly cords?: { readonly colour: string } }).cords?.colour : spec.colour
  const name = yarns.find(({ id }) => id === colour)?.name ?? 'it'
  const left = leaveGrams > 0 ? `about ${gramsOf(leaveGrams)} of ${name} are left` : `all of ${name} is used`
  return [
    `This part uses its yarn up: written so that ${left}. Weigh what is left before the last rounds or rows, and end sooner or later `
    + 'as it tells you.',
  ]
}

/** Told before a part's rounds. */
export function beforeRounds(draft: Draft, part: DraftPart): string[] {
  return [...part.advice, ...usedUp(draft, part)]
}

/** The last part that has rounds: the yarn of the bag itself is cut when it is done. */
function lastWithRounds({ parts }: Draft): DraftPart | undefined {
  return parts.findLast(({ rounds }) => rounds.length > 0)
}

/** Told after a part's rounds: of the last one, that the yarn is cut; not where a strap goes on with it. */
export function afterRounds(draft: Draft, part: DraftPart): string[] {
  const last = part.rounds.at(-1)?.round
  const goesOn = draft.parts.some(({ pieces }) => pieces.some(piece => piece.goesOn))
  if (!last || part !== lastWithRounds(draft) || goesOn || draft.findings.some(({ weight }) => weight === 'stop')) return []
  const even = last.join === 'spiral' && !last.closing
    ? ['Work one {slst} in each of the next two sts, so that the step at the end of the spiral is evened.']
    : []
  const tail = tailWords(END_CM, draft.design.units)
  return [...even, `Fasten off: cut the yarn ${tail} from the hook, draw the end through the last loop and pull it close.`]
}

/** Told before a piece's rows: how large it should become, and what its kind says. */
export function beforeRows(draft: Draft, piece: Piece): string[] {
  const { units } = draft.design
  const size = piece.rows.length > 0
    ? [`It should measure ${formatCm(piece.lengthCm, units)} by ${formatCm(piece.widthCm, units)} when its rows are done.`]
    : []
  return [...piece.advice, ...size]
}

/** Told after a piece's rows: how its yarn is cut, and then how it is joined to the bag. */
export function afterRows(draft: Draft, piece: Piece): string[] {
  if (piece.rows.length === 0) return [...piece.finish]
  const { units } = draft.design
  const cut = piece.free
    ? `Fasten off, leaving a ${tailWords(END_CM, units)} tail to weave in.`
    : `Fasten off, leaving a ${tailWords(Math.max(LEAST_TO_SEW_CM, 2 * piece.widthCm * SEAM_LENGTHS), units)} tail to sew with.`
  return [cut, ...piece.finish]
}
