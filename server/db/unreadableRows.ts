import type Database from 'better-sqlite3'

/*
 * A row whose text is cut short or otherwise no JSON: its text is kept aside as it is, and the row stands as what cannot be read, so that
 * all others are served. SQLite's json_valid is what judges.
 */

/** A text that was set aside. */
interface BrokenText {
  /** The table that it lay in. */
  readonly sort: string
  readonly name: string
  readonly foundAt: string
}

/** A place for a text in a table: how its row is known, what it is called, and what takes the text's place. */
interface Place {
  readonly table: string
  readonly column: string
  readonly id: string
  readonly name: string
  /** SQL that mends the row; rows whose text can be worked out again are not kept aside. */
  readonly mend: string
  readonly isKept: boolean
}

/** A document that says what it was called, and that it is none. */
const STUB = 'json_object(\'fairHollow\', \'broken\', \'name\', name)'
const NAME_OF_MAKE = '(SELECT name FROM makes WHERE makes.id = make)'

const PLACES: readonly Place[] = [
  ...['designs', 'swatches', 'yarns', 'orders'].map(table => (
    { table, column: 'document', id: 'id', name: 'name', mend: `UPDATE ${table} SET document = ${STUB}`, isKept: true })),
  ...['designs', 'swatches', 'yarns', 'orders'].map(table => (
    { table, column: 'saves', id: 'id', name: 'name', mend: `UPDATE ${table} SET saves = '[]'`, isKept: false })),
  {
    table: 'designs', column: 'portrait', id: 'id', name: 'name', isKept: false,
    mend: 'UPDATE designs SET portrait = NULL, portrait_of = 0',
  },
  { table: 'design_versions', column: 'document', id: 'design || \'.\' || revision', mend: 'DELETE FROM design_versions', isKept: true,
    name: '(SELECT name FROM designs WHERE designs.id = design) || \', earlier\'' },
  { table: 'makes', column: 'progress', id: 'id', name: 'name', mend: 'UPDATE makes SET progress = NULL', isKept: false },
  { table: 'make_events', column: 'event', id: 'make || \'.\' || id', name: NAME_OF_MAKE, mend: 'DELETE FROM make_events', isKept: true },
  ...['listed', 'facts'].map(column => (
    { table: 'make_facts', column, id: 'make', name: NAME_OF_MAKE, mend: 'DELETE FROM make_facts', isKept: false })),
]

const TABLE = `CREATE TABLE IF NOT EXISTS broken_rows (number INTEGER PRIMARY KEY, sort TEXT NOT NULL, of_row TEXT NOT NULL,
  name TEXT NOT NULL, text TEXT, found_at TEXT NOT NULL) STRICT`

/** Tables and columns that a database of an earlier program may not have yet. */
function has(db: Database.Database, { table, column }: Place): boolean {
  return db.prepare('SELECT 1 FROM pragma_table_info(?) WHERE name = ?').get(table, column) !== undefined
}

/**
 * Sets aside every text that is no JSON.
 *
 * @returns how many rows were mended
 */
export function setBrokenAside(db: Database.Database, now: Date): number {
  const places = PLACES.filter(place => has(db, place))
  // A row may be broken in two places: it breaks its table's rules until both are mended.
  db.pragma('ignore_check_constraints = ON')
  try {
    return db.transaction(() => {
      db.exec(TABLE)
      let mended = 0
      for (const { table, column, id, name, mend, isKept } of places) {
        const broken = `WHERE ${column} IS NOT NULL AND NOT json_valid(${column})`
        if (isKept) {
          db.prepare(`INSERT INTO broken_rows (sort, of_row, name, text, found_at)
            SELECT '${table}', ${id}, coalesce(${name}, ''), ${column}, ? FROM ${table} ${broken}`).run(now.toISOString())
        }
        mended += db.prepare(`${mend} ${broken}`).run().changes
      }
      return mended
    })()
  }
  finally {
    db.pragma('ignore_check_constraints = OFF')
  }
}

/** The texts that were set aside, the last found first. */
export function brokenTexts(db: Database.Database): BrokenText[] {
  return db.prepare<[], BrokenText>('SELECT sort, name, found_at AS foundAt FROM broken_rows ORDER BY number DESC LIMIT 200').all()
}
