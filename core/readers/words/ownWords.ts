/*
 * Makers' names for things are theirs: any sign may stand in a name. What leaves the program must still be sound in its own form, so names
 * are made harmless where they are written out, and never where they are kept.
 */

/** Signs that XML, terminals and printers choke on (XML 1.0, 2.2: control characters, halves of pairs, non-characters). */
// eslint-disable-next-line no-control-regex -- these are the very signs that are taken out
const UNPRINTABLE = /[\u0000-\u001f\u007f-\u009f\u2028\u2029\ufffe\uffff]+/g
const HALVES = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g

/** A maker's words on one line, without signs that nothing can print. */
export function oneLine(text: string): string {
  return text.replace(UNPRINTABLE, ' ').replace(HALVES, ' ')
}

/** A maker's words in XML. */
export function inXml(text: string): string {
  return oneLine(text).replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;')
}

/** Signs that mean something to Markdown wherever they stand (CommonMark 0.31, 2.4: all of them can be escaped). */
const MEANS = /([\\`*_[\]{}<>#|~!&$^@])/g

/** A maker's words, and asterisks of repeats, kept from turning into Markdown: no heading, list, link or HTML comes of them. */
export function inMarkdown(text: string): string {
  return oneLine(text)
    .trim()
    .replace(MEANS, '\\$1')
    .replace(/^([-+=:])/, '\\$1')
    .replace(/^(\d+)([.)])/, '$1\\$2')
    .replace(/(?<=\w):(?=\/\/)/g, '\\:')
    .replace(/(?<=\w)\.(?=[a-z]{2})/gi, '\\.')
}

/**
 * Fields that a spreadsheet would run as a formula, behind blanks of whatever sort, signs without width and apostrophes: full-width signs
 * are taken for the others.
 */
const FORMULA = /^[\s\u00ad\u200b-\u200f\u2060']*[=+\-@＝＋－＠﹢﹣﹫﹦]|^[\t\r\n]/

/** A field of a table; one that a spreadsheet would run as a formula gets an apostrophe before it. */
export function withoutFormula<V>(value: V): V | string {
  return typeof value === 'string' && FORMULA.test(value) ? `'${value}` : value
}

/** The text of a field of a table: the apostrophe that stands before what looks like a formula is not part of it. */
export function fromTable(text: string | undefined): string {
  const field = text ?? ''
  return field.startsWith('\'') && FORMULA.test(field.slice(1)) ? field.slice(1) : field
}
