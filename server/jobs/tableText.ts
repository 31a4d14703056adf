import { parse } from 'csv-parse/sync'
import type { TableRow } from '../../core/making/log/csv'

/** The message for a file that cannot be read as a table. */
export const NO_TABLE = 'is no table: a field in quotes has no end, perhaps'

/** A text parsed as JSON; nothing if it is none. */
export function asJson(text: string): unknown {
  try {
    return JSON.parse(text) as unknown
  }
  catch {
    return undefined
  }
}

/** The delimiter of a table: whichever its first line has most of. */
function delimiterOf(text: string): string {
  const [head = ''] = text.split(/\r?\n/, 1)
  const often = (mark: string) => head.split(mark).length
  return [',', ';', '\t'].reduce((most, mark) => (often(mark) > often(most) ? mark : most))
}

/** The rows of a table with commas, semicolons or tabs between its fields, by the names of its columns; nothing if it is none. */
export function rowsIn(text: string): TableRow[] | undefined {
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
