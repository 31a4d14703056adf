import type { Reading } from '../../core/bag/design/read'
import { refuse } from '../../core/bag/design/read'
import { type LogbookDocument, readLogbook } from '../../core/making/log/document'
import { readLogTable } from '../../core/making/log/fromTable'
import { asJson, NO_TABLE, rowsIn } from './tableText'

/** Reads the bags of a file: of a logbook or a make as an open document, or of a table with a line a bag. */
export function readLogbookText(text: string, idFor: (i: number) => string): Reading<LogbookDocument> {
  if (/^\s*[[{]/.test(text)) {
    const input = asJson(text)
    return input === undefined ? refuse('file', 'is no JSON: it may be cut short') : readLogbook(input)
  }
  const rows = rowsIn(text)
  return rows ? readLogTable(rows, idFor) : refuse('file', NO_TABLE)
}
