import type Database from 'better-sqlite3'

/*
 * Whether a database hangs together. A row whose text is no JSON is no damage to the others: it is set aside (unreadableRows.ts).
 */

/** SQLite's words on a row that breaks a rule of its table, which is about that row alone. */
const OF_A_ROW = /^CHECK constraint failed/

/** Whether all pages of a database can be read and hang together. */
export function isWhole(db: Database.Database): boolean {
  return db.prepare('PRAGMA quick_check(1000)').pluck().all().every(found => found === 'ok' || OF_A_ROW.test(String(found)))
}

/** Whether some row breaks a rule of its table. */
export function hasBrokenRows(db: Database.Database): boolean {
  return db.prepare('PRAGMA quick_check(1)').pluck().all().some(found => OF_A_ROW.test(String(found)))
}
