import { parse } from 'csv-parse/sync'
import { readShelfYarn } from '../../core/shelf/read'
import { readShelfTable, type TableRead, type TableRow, together } from '../../core/shelf/table'

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown
  }
  catch {
    return undefined
  }
}

function refused(message: string): TableRead {
  return { ok: false, problems: [{ field: 'file', message }] }
}

/** Open documents: one yarn, or a shelf of them. */
function readDocuments(text: string): TableRead {
  const input = parsed(text) as { readonly fairHollow?: unknown, readonly yarns?: unknown } | undefined
  if (!input) return refused('is no JSON: it may be cut short')
  const all = input.fairHollow === 'yarn-shelf' && Array.isArray(input.yarns) ? (input.yarns as unknown[]) : [input]
  return together(all.map(readShelfYarn), i => (all.length > 1 ? `yarn ${i + 1}, ` : ''))
}

/** What stands between the fields of a table: whichever its first line has most of. */
function delimiterOf(text: string): string {
  const [head = ''] = text.split(/\r?\n/, 1)
  const often = (mark: string) => head.split(mark).length
  return [',', ';', '\t'].reduce((most, mark) => (often(mark) > often(most) ? mark : most))
}

function rowsIn(text: string): TableRow[] | undefined {
  try {
    return parse(text, {
      bom: true, columns: (names: string[]) => names.map(name => name.trim().toLowerCase()), skip_empty_lines: true,
      relax_column_count: true, delimiter: delimiterOf(text),
    })
  }
  catch {
    return undefined
  }
}

/** Reads the yarns of a file: of a table with commas, semicolons or tabs between its fields, or of open documents. */
export function readShelfText(text: string, idFor: (i: number) => string): TableRead {
  if (/^\s*[[{]/.test(text)) return readDocuments(text)
  const rows = rowsIn(text)
  return rows ? readShelfTable(rows, idFor) : refused('is no table: a field in quotes has no end, perhaps')
}
