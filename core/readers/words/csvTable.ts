import { stringify } from 'csv-stringify/sync'
import { withoutFormula } from './ownWords'

/** A field of a table; nothing is an empty field. */
export type TableField = string | number | undefined

/** Rows as comma-separated values (RFC 4180: comma, CRLF), with nothing that a spreadsheet would run. */
export function csvTable(rows: readonly (readonly TableField[])[]): string {
  return stringify(rows.map(row => row.map(withoutFormula)), { record_delimiter: 'windows', quoted_match: /[\r\n]/ })
}
