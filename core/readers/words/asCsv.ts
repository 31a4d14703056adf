import type { Draft } from '../../bag/draft/draft'
import { translate } from '../../things/stitch/translate'
import type { RepeatStyle } from './openingWords'
import { csvTable } from './csvTable'
import { roundLines, rowLines } from './pattern'
import type { Terms } from '../../things/stitch/dictionary'

/** A pattern as a table, a round a line (RFC 4180: comma, CRLF, a header line). */
export function asCsv(draft: Draft, terms: Terms, repeats: RepeatStyle = 'brackets'): string {
  const rows = roundLines(draft, terms, repeats).map((line, i) => {
    const { part, worked } = draft.rounds[i]!
    return [line.from, part, line.stitches, line.spaces, line.chains, worked.round.colour, worked.round.facing, line.words, line.note ?? '']
  })
  const pieces = draft.parts.flatMap(({ id, pieces }) =>
    pieces.flatMap(piece =>
      rowLines(piece, terms, repeats).map((line, i) => [
        line.from, `${id}.${piece.id}`, line.stitches, line.spaces, line.chains, piece.colour, piece.rows[i]!.round.facing, line.words,
        '',
      ]),
    ),
  )
  const stops = draft.findings
    .filter(({ weight }) => weight === 'stop')
    .map(({ part = '', what }) => ['', part, '', '', '', '', '', 'NOT FINISHED', translate(what, { terms, units: draft.design.units })])
  return csvTable([['round', 'part', 'stitches', 'spaces', 'chains', 'yarn', 'facing', 'words', 'note'], ...rows, ...pieces, ...stops])
}
