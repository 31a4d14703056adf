import { readShelfYarn } from '../../core/household/shelf/read'
import { readShelfTable, type TableRead, together } from '../../core/household/shelf/table'
import { asJson, NO_TABLE, rowsIn } from './tableText'

function refused(message: string): TableRead {
  return { ok: false, problems: [{ field: 'file', message }] }
}

/** Open documents: one yarn, or a shelf of them. */
function readDocuments(text: string): TableRead {
  const input = asJson(text) as { readonly fairHollow?: unknown, readonly yarns?: unknown } | undefined
  if (!input) return refused('is no JSON: it may be cut short')
  const all = input.fairHollow === 'yarn-shelf' && Array.isArray(input.yarns) ? (input.yarns as unknown[]) : [input]
  return together(all.map(readShelfYarn), i => (all.length > 1 ? `yarn ${i + 1}, ` : ''))
}

/** Reads the yarns of a file: of a table with commas, semicolons or tabs between its fields, or of open documents. */
export function readShelfText(text: string, idFor: (i: number) => string): TableRead {
  if (/^\s*[[{]/.test(text)) return readDocuments(text)
  const rows = rowsIn(text)
  return rows ? readShelfTable(rows, idFor) : refused(NO_TABLE)
}
