import { numberIn, plain, type TableRow } from '../../making/log/csv'
import { csvTable } from '../../readers/words/csvTable'
import type { Problem, Reading } from '../../bag/design/read'
import { hundredthsIn, sum } from './money'
import { readShelfYarn } from './read'
import { metresOfClass } from './starter'
import type { Ball, ShelfYarn, YarnClass } from './yarn'

/*
 * The shelf as a table for other programs: comma-separated values (RFC 4180), a line a yarn. Balls stand in one field: `50 lot 12; 18.5`.
 */

const COLUMNS = [
  'id', 'name', 'fibre', 'weight class', 'colour', 'metres in 100 g', 'grams a ball', 'price a ball', 'place', 'balls', 'note',
] as const
type Column = (typeof COLUMNS)[number]

/** Balls stand in one field, with semicolons between: one in the name of a lot has a backslash before it. */
function ballWords({ grams, lot }: Ball): string {
  return lot ? `${grams} lot ${lot.replace(/[\\;]/g, '\\$&')}` : String(grams)
}

/** The yarns of a shelf as a table. */
export function shelfTable(yarns: readonly ShelfYarn[]): string {
  return csvTable([
    COLUMNS,
    ...yarns.map(yarn => [
      yarn.id, yarn.name, yarn.fibre, yarn.weightClass, yarn.colour, yarn.metresPer100g, yarn.ballGrams,
      yarn.ballPrice === undefined ? undefined : sum(yarn.ballPrice).replaceAll(',', ''), yarn.place, yarn.balls.map(ballWords).join('; '),
      yarn.note,
    ]),
  ])
}

function ballsIn(text: string | undefined): Ball[] {
  const balls = (text ?? '').match(/(?:\\.|[^;\\]|\\$)+/g) ?? []
  return balls.map(one => one.trim()).filter(Boolean).map((one) => {
    const [, grams, lot] = /^(.*?)(?:\s+lot\s+(.*))?$/s.exec(one)!
    return { grams: numberIn(grams?.replace(/\s*g$/, '')) ?? Number.NaN, ...(lot ? { lot: lot.replace(/\\(.)/gs, '$1') } : {}) }
  })
}

function yarnIn(row: TableRow, id: string): unknown {
  const at = (column: Column) => plain(row[column])
  const weightClass = numberIn(at('weight class')) ?? 3
  const price = at('price a ball')
  const usual = [0, 1, 2, 3, 4, 5, 6, 7].includes(weightClass) ? metresOfClass(weightClass as YarnClass) : undefined
  return {
    fairHollow: 'yarn', version: 1, id: at('id') || id, name: at('name'), note: at('note'), fibre: at('fibre'), weightClass,
    colour: at('colour') || '#d9c8a5', metresPer100g: numberIn(at('metres in 100 g')) ?? usual,
    ballGrams: numberIn(at('grams a ball')) ?? 50,
    ...(price ? { ballPrice: hundredthsIn(price) ?? Number.NaN } : {}), place: at('place'), balls: ballsIn(at('balls')),
  }
}

/** Yarns of a table, or what must change in which of its lines. */
export type TableRead
  = | { readonly ok: true, readonly yarns: readonly ShelfYarn[] }
    | { readonly ok: false, readonly problems: readonly Problem[] }

/**
 * Reads the rows of a table as yarns: all of them, or none.
 *
 * @param idFor an id for a yarn that has none yet, by its number
 */
export function readShelfTable(rows: readonly TableRow[], idFor: (i: number) => string): TableRead {
  const [first] = rows
  if (!first || !('name' in first)) {
    return { ok: false, problems: [{ field: 'line 1', message: `must name the columns; "name" at least, of: ${COLUMNS.join(', ')}` }] }
  }
  const read = rows.map((row, i) => readShelfYarn(yarnIn(row, idFor(i))))
  // The first line names the columns.
  return together(read, i => `line ${i + 2}, `)
}

/** All yarns that were read, or what must change in those that could not be, each named. */
export function together(read: readonly Reading<ShelfYarn>[], nameOf: (i: number) => string): TableRead {
  const problems = read.flatMap((one, i) => (one.ok ? [] : one.problems.map(trouble => ({ ...trouble, field: nameOf(i) + trouble.field }))))
  return problems.length > 0 ? { ok: false, problems } : { ok: true, yarns: read.flatMap(one => (one.ok ? [one.document] : [])) }
}
