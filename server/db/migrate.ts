import type Database from 'better-sqlite3'
import type { Migration } from './migrations'

/** Checks that migrations are numbered 1, 2, 3, ...: a gap would leave some databases without a change. */
function checkNumbers(migrations: readonly Migration[]): void {
  migrations.forEach(({ number }, i) => {
    if (number !== i + 1) throw new Error(`migration ${i + 1} is missing: found ${number} in its place`)
  })
}

/**
 * Brings a database up to the newest tables, each change in a transaction of its own.
 *
 * @throws if the database was written by a later version of the program
 */
export function migrate(db: Database.Database, migrations: readonly Migration[]): void {
  checkNumbers(migrations)
  const done = db.pragma('user_version', { simple: true }) as number
  if (done > migrations.length)
    throw new Error(
      `this database is of version ${done}; this program knows only ${migrations.length}. Start the newer program, or name another `
      + 'file in FAIR_HOLLOW_DB.',
    )
  for (const { number, sql } of migrations.slice(done)) {
    db.transaction(() => {
      db.exec(sql)
      db.pragma(`user_version = ${number}`)
    })()
  }
}
