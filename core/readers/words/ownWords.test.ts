import { parse } from 'csv-parse/sync'
import { describe, expect, it } from 'vitest'
import { csvTable } from './csvTable'
import { cleaned } from '../../bag/design/cleanText'
import { readDesign } from '../../bag/design/read'
import { newDesign } from '../../bag/design/starter'
import { fromTable } from './ownWords'

/** A field as it is written, and as a reader of tables finds it that knows nothing of this program. */
const readBack = (text: string) => {
  const [[field]] = parse(csvTable([['first', text]]).replace(/^first,/, '')) as [[string]]
  return field
}

describe('a field of a table', () => {
  // What spreadsheets begin a formula with, and what they skip before it: common practice, no source.
  it.each([
    '=1+1', '+1', '-1', '@SUM(A1)', ' =1', '\u00a0=1', '\u2003=1', '\u200b=1', '\ufeff=1', '＝1', '＋1', '－1', '＠x', '\t=1',
    '\r=1', '\n', '\'=1', '\'\'=1'])('%j is no formula to a spreadsheet, and is read back as it was', (text) => {
    expect(readBack(text)).toBe(`'${text}`)
    expect(fromTable(readBack(text))).toBe(text)
  })

  it.each(['plain', 'a=b', '2-ply', '\'tis', '', ' x', 'a,b', 'say "x"', 'a\rb'])('%j is left as it is', text =>
    expect(readBack(text)).toBe(text))

  it('is quoted where it holds what parts fields, and numbers are numbers', () => {
    expect(csvTable([['a,b', 'say "x"', -5, undefined, 'two\nlines']])).toBe('"a,b","say ""x""",-5,,"two\nlines"\r\n')
  })
})

describe('what makers write', () => {
  it('comes in without signs that cannot be seen; a name is one line, a note may be many', () => {
    const reading = readDesign({ ...newDesign('To\u0000te\r\nX-WR-CALNAME:evil\u001b[31m'), note: 'one\r\ntwo\u0007', tags: 'a\tb' })
    expect(reading.ok && [reading.document.name, reading.document.note, reading.document.tags])
      .toEqual(['To te X-WR-CALNAME:evil [31m', 'one\ntwo ', 'a b'])
  })

  it('is the very same where there is nothing to clean', () => {
    const design = { ...newDesign('Tote 🧶 ﷽'), note: 'two\nlines' }
    expect(cleaned(design)).toBe(design)
  })
})
