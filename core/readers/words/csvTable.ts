import { withoutFormula } from './ownWords'

/** A field of a table; nothing is an empty field. */
export type TableField = string | number | undefined

/** A field as RFC 4180 wants it: in quotes where it holds what parts fields or lines. */
function quoted(field: TableField): string {
  const text = String(withoutFormula(field) ?? '')
  return /[",\r\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text
}

/**
 * Rows as comma-separated values (RFC 4180: comma, CRLF), with nothing that a spreadsheet would run: the only writer of tables. The usual
 * package for it needs Node's buffers, which the page does not have.
 */
export function csvTable(rows: readonly (readonly TableField[])[]): string {
  return rows.map(row => row.map(quoted).join(',') + '\r\n').join('')
}
