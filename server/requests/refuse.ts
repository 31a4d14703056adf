import type { Problem, Reading } from '../../core/bag/design/read'
import type { DocumentWord } from '../db/documentTables'
import { problemLines } from '../../core/bag/design/problem'

/** More than a few are listed apart. */
const MOST_SAID = 5

function said(lines: readonly string[]): string {
  const more = lines.length - MOST_SAID
  return [...lines.slice(0, MOST_SAID), ...(more > 0 ? [`and ${more} more`] : [])].join('; ')
}

/** Answers 422 with the fields that must change. */
export function refuseProblems(problems: readonly Problem[]): never {
  throw createError({
    statusCode: 422, statusMessage: 'Needs a change', message: said(problemLines(problems)), data: { problems },
  })
}

/** The document of a reading, or a refusal. */
export function soundOr422<D>(reading: Reading<D>): D {
  return reading.ok ? reading.document : refuseProblems(reading.problems)
}

/** Answers 404. */
export function refuseUnknown(what: DocumentWord | 'make' | 'copy' | 'device' | 'version' | 'photo'): never {
  throw createError({ statusCode: 404, statusMessage: 'Not here', message: `There is no such ${what} here; it may have been deleted.` })
}

/** Answers 410 to a device that still has what was thrown away. */
export function refuseGone(what: 'make'): never {
  throw createError({ statusCode: 410, statusMessage: 'Gone', message: `This ${what} was thrown away.` })
}

/** Answers 409 to a save that started from an older state than the one kept. */
export function refuseOvertaken(what: DocumentWord): never {
  throw createError({
    statusCode: 409, statusMessage: 'Overtaken',
    message: `This ${what} was changed elsewhere, in another window perhaps. Open it anew to see that, or keep yours as a copy.`,
  })
}
