import type { Draft } from '../draft/draft'
import { roundLines, rowLines } from './pattern'
import type { Terms } from '../stitch/dictionary'

/** A field as RFC 4180 wants it; one that a spreadsheet would run as a formula gets an apostrophe before it. */
function field(value: string | number): string {
  const text = typeof value === 'string' && /^[=+\-@\t\r]/.test(value) ? `'${value}` : String(value)
  return /[",\r\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text
}

/** A pattern as a table, a round a line (RFC 4180: comma, CRLF, a header line). */
export function asCsv(draft: Draft, terms: Terms): string {
  const rows = roundLines(draft, terms).map((line, i) => {
    const { part, worked } = draft.rounds[i]!
    return [line.from, part, worked.edge.count, worked.round.colour, worked.round.facing, line.words, line.note ?? '']
  })
  const pieces = draft.parts.flatMap(({ id, pieces }) =>
    pieces.flatMap(piece =>
      rowLines(piece, terms).map((line, i) => [
        line.from, `${id}.${piece.id}`, line.stitches, piece.colour, piece.rows[i]!.round.facing, line.words, '',
      ]),
    ),
  )
  return [['round', 'part', 'stitches', 'yarn', 'facing', 'words', 'note'], ...rows, ...pieces]
    .map(row => row.map(field).join(',') + '\r\n')
    .join('')
}
