import { parseISO } from 'date-fns'
import { type Problem, type Reading, refuse } from '../../bag/design/read'
import { newDesign } from '../../bag/design/starter'
import { type MakeDocument, makeDocument } from '../make/document'
import type { MakeEvent } from '../make/event'
import { readMake } from '../make/read'
import { BAG_COLUMNS, numberIn, plain, type TableRow } from './csv'
import { type LogbookDocument, logbookDocument, MOST_MAKES } from './document'

/*
 * A logbook's table as bags of the logbook: what such a line says is kept as it stands. How the bag was worked is not in it, so nothing is
 * learnt from it, and it takes the plan of a new bag, which nobody is shown.
 */

type Column = (typeof BAG_COLUMNS)[number]

/** A bag of a table; one still in hand has no end, and is no bag of a table. */
type Line = { readonly at: number, readonly row: TableRow }

/** Milliseconds since 1970 of "2026-09-01 18:00" or "2026-09-01", in Greenwich's time; not a number if it is no such day. */
function dayIn(text: string): number {
  const [, day, time = '00:00'] = /^(\d{4}-\d\d-\d\d)(?:[ T](\d\d:\d\d)(?::\d\d)?Z?)?$/.exec(text) ?? []
  return day ? parseISO(`${day}T${time}Z`).getTime() : Number.NaN
}

/** Problems with the days of a line. */
function daysWrong(begun: number, finished: number): Problem[] {
  const no = (field: Column) => [{ field, message: 'must be a day such as 2026-09-01, or a day and time such as 2026-09-01 18:00' }]
  if (Number.isNaN(finished)) return no('finished')
  if (Number.isNaN(begun)) return no('begun')
  return begun > finished ? [{ field: 'finished', message: 'must not be before the day it was begun' }] : []
}

function bagIn({ row }: Line, id: string): Reading<MakeDocument> {
  const text = (column: Column) => plain(row[column])
  const number = (column: Column) => numberIn(row[column]) ?? 0
  const finished = dayIn(text('finished'))
  const begun = text('begun') ? dayIn(text('begun')) : finished
  const wrong = daysWrong(begun, finished)
  if (wrong.length > 0) return { ok: false, problems: wrong }
  const hookMm = numberIn(row['hook mm'])
  const events: readonly MakeEvent[] = [
    { id: `${id}.1`, turn: 1, at: begun, do: 'started', plan: newDesign(text('bag')) },
    {
      id: `${id}.2`, turn: 2, at: finished, do: 'wrote', forWhom: text('for whom'), yarnUsed: text('yarn'), notes: text('notes'),
      ...(hookMm === undefined ? {} : { hookMm }),
      kept: {
        sittings: number('sittings'), minutes: number('minutes'), rounds: number('rounds'), stitches: number('stitches'),
        ripped: number('rounds ripped back'), off: number('counts off'),
      },
    },
    { id: `${id}.3`, turn: 3, at: finished, do: 'finished' },
  ]
  return readMake(makeDocument(text('bag'), events))
}

/** Key of a bag that came in by a table: its name, and the minute it was begun. */
export function sameBag(name: string, begun: number): string {
  return `${name} ${Math.floor(begun / 60_000)}`
}

/**
 * Reads the rows of a table as finished bags of a logbook: all of them, or none; the same bag twice is one. Bags still in hand are left
 * out: how far they are is not in a table.
 *
 * @param idFor the beginning of the ids of a bag's events, by its number
 */
export function readLogTable(rows: readonly TableRow[], idFor: (i: number) => string): Reading<LogbookDocument> {
  const [first] = rows
  if (!first || !('bag' in first) || !('finished' in first))
    return refuse('line 1', `must name the columns; "bag" and "finished" at least, of: ${BAG_COLUMNS.join(', ')}`)
  // The first line names the columns.
  const lines = rows.map((row, i): Line => ({ at: i + 2, row })).filter(({ row }) => plain(row.finished) !== '')
  if (lines.length > MOST_MAKES) return refuse('file', `must hold at most ${MOST_MAKES} bags`)
  const read = lines.map((line, i) => bagIn(line, idFor(i)))
  const problems = read.flatMap((one, i) =>
    one.ok ? [] : one.problems.map((trouble): Problem => ({ ...trouble, field: `line ${lines[i]!.at}, ${asColumn(trouble.field)}` })))
  if (problems.length > 0) return { ok: false, problems }
  const makes = read.flatMap(one => (one.ok ? [one.document] : []))
  const once = new Map(makes.map(make => [sameBag(make.name, make.events[0]!.at), make]))
  return { ok: true, document: logbookDocument([...once.values()]) }
}

const COLUMN_OF: Readonly<Record<string, Column>> = {
  name: 'bag', forWhom: 'for whom', yarnUsed: 'yarn', notes: 'notes', hookMm: 'hook mm', sittings: 'sittings', minutes: 'minutes',
  rounds: 'rounds', stitches: 'stitches', ripped: 'rounds ripped back', off: 'counts off',
}

/** The column that a field of the open document came from. */
function asColumn(field: string): string {
  return COLUMN_OF[field.split('.').at(-1)!] ?? field
}
