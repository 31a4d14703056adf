import { csvTable, type TableField } from '../../readers/words/csvTable'
import { fromTable } from '../../readers/words/ownWords'
import { type BagFacts, lineFigures } from './bagFacts'

/*
 * The logbook as tables for other programs: comma-separated values (RFC 4180), a line a bag, or a line each thing that a bag tells.
 */

/** A row of a table, by the names of its columns. */
export type TableRow = Readonly<Record<string, string>>

/** A number as tables write it: with a point or a comma; nothing of an empty field. */
export function numberIn(text: string | undefined): number | undefined {
  const typed = text?.trim().replace(',', '.')
  return typed ? Number(typed) : undefined
}

/** The text of a field, without blanks around it. */
export function plain(text: string | undefined): string {
  return fromTable(text).trim()
}

/** A day and time as "2026-09-01 18:00", in Greenwich's time: the Swedish way of writing it is ISO 8601's. */
const DAY = new Intl.DateTimeFormat('sv-SE', { timeZone: 'UTC', dateStyle: 'short', timeStyle: 'short' })

function day(at: number | undefined): string {
  return at === undefined ? '' : DAY.format(at)
}

const ROUND_TO = 100
const round = (value: number) => Math.round(value * ROUND_TO) / ROUND_TO

/** Columns of a logbook's table, a line a bag. */
export const BAG_COLUMNS = [
  'bag', 'begun', 'finished', 'sittings', 'minutes', 'hook mm', 'yarn', 'for whom', 'rounds', 'stitches', 'rounds ripped back',
  'counts off', 'notes',
] as const

function bagLine(bag: BagFacts): readonly (string | number)[] {
  const { sittings, minutes, rounds, stitches, ripped, off } = lineFigures(bag)
  const yarn = bag.yarnUsed || (bag.kept ? '' : bag.yarns.map(({ name }) => name).join('; '))
  return [
    bag.name, day(bag.begun), day(bag.finished), sittings, round(minutes), bag.hookMm, yarn, bag.forWhom, rounds, stitches, ripped, off,
    bag.notes,
  ]
}

/** A line a bag. */
export function bagsCsv(bags: readonly BagFacts[]): string {
  return csvTable([BAG_COLUMNS, ...bags.map(bagLine)])
}

type CsvRow = readonly TableField[]

/** A line each thing that a bag tells: sizes, paces, yarn, counts, changes. */
export function bagCsv({ sizes, pace, yarn, off, sittings, changed }: BagFacts): string {
  const rows: readonly CsvRow[] = [
    ...sizes.map(({ what, part, rounds, saidCm, plusMinusCm, cm }): CsvRow =>
      [`size: ${what}`, `${part} after ${rounds}`, round(saidCm), round(plusMinusCm), cm, 'cm']),
    ...pace.map(({ key, rounds, minutes, stitches }): CsvRow =>
      [`pace: ${key}`, `${rounds} rounds`, undefined, undefined, round((60 * minutes) / stitches), 's a stitch']),
    ...yarn.map(({ name, whole, saidMetres, grams }): CsvRow =>
      [`yarn: ${name}`, whole ? 'whole bag' : 'a stretch', round(saidMetres), undefined, grams, 'm; g']),
    ...off.map((one): CsvRow => ['count', `round ${one.round}`, one.planned, undefined, one.found, one.choice]),
    ...sittings.map((one): CsvRow => ['sitting', day(one.from), undefined, undefined, round(one.minutes), 'min']),
    ...changed.map((one): CsvRow => ['changed', day(one.at), undefined, undefined, one.what, '']),
  ]
  return csvTable([['what', 'where', 'said', 'plus or minus', 'found', 'unit'], ...rows])
}
