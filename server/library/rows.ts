import type Database from 'better-sqlite3'

/*
 * Reading a damaged table, as far as it can be read.
 */

export type TableRow = Record<string, unknown>

/** So many single rows are tried between those that were read from the front and those from the back. */
const MOST_TRIED = 200_000

/** Answer of a damaged file to a question; nothing if it cannot be answered. */
function tried<T>(question: () => T): T | undefined {
  try {
    return question()
  }
  catch {
    return undefined
  }
}

/** Reads from one end until the damage; says whether it came to the other end. */
function fromEnd(rows: Iterable<TableRow>, isNew: (row: TableRow) => boolean, take: (row: TableRow) => void): boolean {
  return tried(() => {
    for (const row of rows) {
      if (!isNew(row)) break
      take(row)
    }
    return true
  }) ?? false
}

/** How rows of a table are told apart and ordered: by their number, or by their key where a table has no numbers. */
function keyOf(db: Database.Database, table: string): string {
  return tried(() => db.prepare(`SELECT rowid FROM ${table} LIMIT 1`)) ? 'rowid' : 'design || \'.\' || revision'
}

/**
 * Reads a table from the front, from the back up to what was read, and one by one between: a page that cannot be read takes only its own
 * rows with it.
 *
 * @returns how many rows could not be read; 0 of a table that a file of an earlier program does not have
 */
export function rowsOf(db: Database.Database, table: string, take: (row: TableRow) => void): number {
  if (tried(() => db.prepare('SELECT count(*) FROM sqlite_master WHERE name = ?').pluck().get(table)) === 0) return 0
  const key = keyOf(db, table)
  const seen = new Set<unknown>()
  const isNew = ({ row_key: number }: TableRow) => !seen.has(number)
  const found = (row: TableRow) => {
    seen.add(row.row_key)
    take(row)
  }
  const read = (order: string) => fromEnd(
    { [Symbol.iterator]: () => db.prepare(`SELECT ${key} AS row_key, * FROM ${table} ORDER BY ${order}`).iterate() as Iterator<TableRow> },
    isNew, found,
  )
  const natural = key === 'rowid' ? ['rowid ASC', 'rowid DESC'] : ['design ASC, revision ASC', 'design DESC, revision DESC']
  if (read(natural[0]!)) return 0
  const last = [...seen].at(-1)
  read(natural[1]!)
  const missed = key === 'rowid' ? between(db, table, Number(last ?? 0), seen, found) : 1
  // The index of a table often says how many rows there were, though they cannot be read.
  const there = tried(() => Number(db.prepare(`SELECT count(*) FROM ${table}`).pluck().get()))
  return there === undefined ? Math.max(1, missed) : Math.max(there - seen.size, missed > 0 ? 1 : 0)
}

/** Tries the numbers between one by one; says how many could not be read. */
function between(db: Database.Database, table: string, from: number, seen: ReadonlySet<unknown>, found: (row: TableRow) => void): number {
  const after = [...seen].map(Number).filter(number => number > from)
  const upTo = after.length > 0 ? after.reduce((a, b) => Math.min(a, b)) : from + 1
  const one = db.prepare(`SELECT rowid AS row_key, * FROM ${table} WHERE rowid = ?`)
  let missed = 0
  for (let number = from + 1; number < Math.min(upTo, from + MOST_TRIED); number++) {
    try {
      const row = one.get(number) as TableRow | undefined
      if (row) found(row)
    }
    catch {
      missed++
    }
  }
  return missed
}
