import { parse } from 'csv-parse/sync'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { shelfTable } from '../../core/household/shelf/table'
import { DEMO_YARNS } from '../../server/db/demoWorld'
import { readShelfText } from '../../server/jobs/readShelf'

const ids = (i: number) => `new-${i}`
const table = (...lines: string[]) => readShelfText(lines.join('\n'), ids)

describe('the yarn shelf as a table', () => {
  it('goes out and comes back as it was, but for what no column holds', () => {
    const read = readShelfText(shelfTable(DEMO_YARNS), ids)
    const told = DEMO_YARNS.map(({ unravelled: _, weighed: _w, ...yarn }) => yarn)
    expect(read).toEqual({ ok: true, yarns: told })
  })

  it('is a table to another program too, a line a yarn, balls in one field', () => {
    const rows = parse(shelfTable(DEMO_YARNS), { columns: true }) as Record<string, string>[]
    expect(rows).toHaveLength(DEMO_YARNS.length)
    const leaf = rows.find(({ id }) => id === 'leaf-worsted')!
    expect(leaf).toMatchObject({ 'balls': '100 lot L4; 100 lot L4; 38 lot L2', 'price a ball': '4.20', 'metres in 100 g': '170' })
  })

  it('comes back whatever yarns and lots are called', () => {
    const word = fc.string({ unit: 'grapheme', minLength: 1, maxLength: 12 })
    const begins = fc.constantFrom('', '=', '+', '-', '@', '\'=', ' =', '\u00a0@', '＝', ';', '\\', ' lot ', '"', ',')
    // Blanks at either end are not told from those that a table's reader leaves out.
    const named = fc.tuple(begins, word).map(all => all.join('').replace(/\p{Cc}/gu, 'x').trim()).filter(text => text !== '')
    const balls = fc.array(fc.tuple(fc.integer({ min: 1, max: 900 }), fc.option(named)), { maxLength: 4 })
    fc.assert(fc.property(named, balls, (name, some) => {
      const lots = some.map(([grams, lot]) => ({ grams, ...(lot === null ? {} : { lot }) }))
      const { unravelled: _, weighed: _w, ...yarn } = { ...DEMO_YARNS[0]!, name, place: name, balls: lots }
      expect(readShelfText(shelfTable([yarn]), ids)).toEqual({ ok: true, yarns: [yarn] })
    }), { numRuns: 400 })
  })

  it('takes a table that somebody typed: a name will do, commas or semicolons, decimal commas, columns in any order', () => {
    const typed = table('Name;Balls;Price a ball', 'rowan red;"50 lot R; 18,5";4,5')
    expect(typed.ok && typed.yarns[0]).toMatchObject({ balls: [{ grams: 50, lot: 'R' }, { grams: 18.5 }], ballPrice: 450 })
    const read = table('balls,name,weight class', '"50; 20,5 g",rowan red,4', ',plain white,')
    expect(read.ok && read.yarns).toMatchObject([
      { id: 'new-0', name: 'rowan red', weightClass: 4, metresPer100g: 200, balls: [{ grams: 50 }, { grams: 20.5 }] },
      { id: 'new-1', name: 'plain white', weightClass: 3, metresPer100g: 250, balls: [] },
    ])
  })

  it.each([
    ['a table without a name in its head', ['colour,balls', '#ffffff,50'], 'line 1'],
    ['a line without a name', ['name,balls', 'white,50', ',20'], 'line 3, name'],
    ['a ball that is no weight', ['name,balls', 'white,plenty'], 'line 2, balls.0.grams'],
    ['a price that is no sum', ['name,price a ball', 'white,cheap'], 'line 2, ballPrice'],
    ['a quote without an end', ['name', '"white'], 'file'],
  ])('refuses %s, saying where', (_, lines, field) => {
    const read = table(...lines)
    expect(read.ok ? [] : read.problems.map(problem => problem.field)).toContain(field)
  })

  it('keeps a name that looks like a formula a name', () => {
    const [yarn] = DEMO_YARNS
    const text = shelfTable([{ ...yarn!, name: '=1+1' }])
    expect(text).toContain('\'=1+1')
    const read = readShelfText(text, ids)
    expect(read.ok && read.yarns[0]!.name).toBe('=1+1')
  })

  it('comes in as open documents too: a shelf of them, or one; or says which of them is off', () => {
    const shelf = JSON.stringify({ fairHollow: 'yarn-shelf', version: 1, yarns: DEMO_YARNS })
    expect(readShelfText(shelf, ids)).toEqual({ ok: true, yarns: DEMO_YARNS })
    expect(readShelfText(JSON.stringify(DEMO_YARNS[0]), ids)).toEqual({ ok: true, yarns: [DEMO_YARNS[0]] })
    const yarns = [DEMO_YARNS[0], { ...DEMO_YARNS[1], ballGrams: 0 }]
    const broken = readShelfText(JSON.stringify({ fairHollow: 'yarn-shelf', yarns }), ids)
    expect(broken.ok ? [] : broken.problems.map(({ field }) => field)).toEqual(['yarn 2, ballGrams'])
    expect(readShelfText('{"cut', ids).ok).toBe(false)
  })
})
