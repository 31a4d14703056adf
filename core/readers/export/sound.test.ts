import { DOMParser } from '@xmldom/xmldom'
import { parse } from 'csv-parse/sync'
import fc from 'fast-check'
import MarkdownIt from 'markdown-it'
import { describe, expect, it } from 'vitest'
import { SEED } from '../../../tests/arbitraries/designs'
import tote from '../../../demo/apple-tote.json'
import { readDesign } from '../../bag/design/read'
import { draft } from '../../bag/draft/draft'
import { exportDraft, type ExportAs } from './exportDraft'

/*
 * Whatever a maker calls a bag, a yarn or a repeat, what is written out is sound in its form, as parsers say that know nothing of this
 * program: XML by xmldom, tables by csv-parse, Markdown by markdown-it.
 */

const NASTY = [
  '<script>alert(1)</script>', '</title></svg>', '"><img src=x onerror=alert(1)>', '&lt;&amp;', ']]>', '# Heading', '- list', '1. one',
  '> quote', '```', '    code', '[a](http://example.invalid)', '![a](b)', 'http://example.invalid',
  'www.example.invalid', '<http://x.invalid>',
  'a\n\n# b', 'a\r\n---', '---', '===', '| a | b |', '=1+1', '+1', '-1', '@SUM(A1)', '\t=1', '＝1', '"quoted", and',
  'a\u0000b\u0008c\u001b[31m',
  '\ud800', 'x\udc00', '\ufffe', '\u2028', '`', '\\', '*', '_a_', '~~a~~', '&copy;', 'mailto:a@b.invalid', ' ', '🧶',
]

function bagCalled(name: string) {
  const own = name.slice(0, 80) || 'x'
  const reading = readDesign({
    ...tote, name: own, note: name, yarns: tote.yarns.map(yarn => ({ ...yarn, name: own })),
    repeats: [{ id: 'own', name: own, lines: ['sc in next'] }],
    wall: [...tote.wall.slice(0, 1), { id: 'part-own', kind: 'own', repeat: 'own', size: { pin: { rounds: 2 } }, colour: 'main' }],
  })
  if (!reading.ok) throw new Error(JSON.stringify(reading.problems))
  return draft(reading.document)
}

const plain = bagCalled('plain')

/** The kinds of blocks and spans that a Markdown text is made of, those that only hold text left out. */
function shapeOf(markdown: string): string[] {
  const tokens = new MarkdownIt({ html: true, linkify: true }).parse(markdown, {})
  return tokens
    .flatMap(token => [token, ...(token.children ?? [])])
    .map(({ type, tag }) => `${type} ${tag}`)
    .filter(shape => !/^(text|inline|softbreak|text_special)\b/.test(shape))
}

const write = (name: string, as: ExportAs) => exportDraft(bagCalled(name), as, 'us').body

const anyName = fc.oneof(
  fc.constantFrom(...NASTY),
  fc.array(fc.oneof(fc.constantFrom(...NASTY), fc.string({ unit: 'binary', maxLength: 6 })), { minLength: 1, maxLength: 5 })
    .map(all => all.join('')),
).filter(name => name.length > 0)

/** Faults that a parser finds. */
function unsound(level: string, message: string): never {
  throw new Error(`${level}: ${message}`)
}

function holds(name: string, check: (name: string) => void) {
  try {
    check(name)
  }
  catch (error) {
    throw new Error(`called ${JSON.stringify(name)}: ${(error as Error).message}`, { cause: error })
  }
}

describe('what is written out, whatever a bag is called', () => {
  it('is well-formed XML', () => {
    const parser = new DOMParser({ onError: unsound })
    const check = (name: string) => {
      const root = parser.parseFromString(write(name, 'svg'), 'image/svg+xml').documentElement!
      expect(root.getElementsByTagName('script').length + root.getElementsByTagName('img').length).toBe(0)
    }
    for (const name of NASTY) holds(name, check)
    fc.assert(fc.property(anyName, name => holds(name, check)), { ...SEED, numRuns: 60 })
  })

  it('is a table with as many cells in every line, none of which a spreadsheet runs', () => {
    const check = (name: string) => {
      const rows = parse(write(name, 'csv'), { relax_column_count: false }) as string[][]
      expect(rows.length).toBe(plain.rounds.length + 1)
      for (const cell of rows.flat()) expect(cell).not.toMatch(/^\s*[=+\-@＝＋－＠]/)
    }
    for (const name of NASTY) holds(name, check)
    fc.assert(fc.property(anyName, name => holds(name, check)), { ...SEED, numRuns: 60 })
  })

  it('is Markdown of the same shape: no heading, list, link, code or HTML comes of a name', () => {
    const shape = shapeOf(exportDraft(plain, 'md', 'us').body)
    const check = (name: string) => {
      const own = shapeOf(write(name, 'md'))
      expect(own.filter(one => /html|link|image|code|table|hr|fence|blockquote|strong|em |s /.test(one))).toEqual(
        shape.filter(one => /html|link|image|code|table|hr|fence|blockquote|strong|em |s /.test(one)),
      )
      expect(own.filter(one => /heading/.test(one))).toEqual(shape.filter(one => /heading/.test(one)))
    }
    for (const name of NASTY) holds(name, check)
    fc.assert(fc.property(anyName, name => holds(name, check)), { ...SEED, numRuns: 60 })
  })

  it('is text of as many lines, without signs that a terminal would act on', () => {
    const lines = exportDraft(plain, 'text', 'us').body.split('\n').length
    for (const name of NASTY) {
      const text = write(name, 'text')
      // A name of blanks alone is no note.
      expect(text.split('\n').length - lines).toBeOneOf([0, -1])
      // eslint-disable-next-line no-control-regex -- these are the signs that must not be there
      expect(text).not.toMatch(/[\u0000-\u0009\u000b-\u001f]/)
      expect(JSON.parse(write(name, 'json'))).toMatchObject({ finished: true })
    }
  })
})
