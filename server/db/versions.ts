import type Database from 'better-sqlite3'

/** A bag as it was at the end of a sitting. */
interface Version {
  readonly revision: number
  readonly savedAt: string
  readonly name: string
}

/** An earlier state of a bag. */
export interface Versions {
  readonly beforeSave: (id: string, revision: number, now: string) => void
  readonly list: (id: string) => Version[]
  readonly find: (id: string, revision: number) => unknown
  /** Keeps the state that a bag is in, whenever it was saved last. */
  readonly keepNow: (id: string) => void
}

/** Whoever has not touched a bag for so long has got up from it: what it was then is kept. */
export const SITTING_MINUTES = 20
/** All of the newest are kept, and of older ones the last of each day; so many in all. */
const NEWEST = 15
const MOST = 60

/** The kept versions of the bags. */
export function versionsIn(db: Database.Database): Versions {
  const keep = db.prepare<[string, number, string]>(
    `INSERT OR IGNORE INTO design_versions (design, revision, document, saved_at)
      SELECT id, revision, document, updated_at FROM designs WHERE id = ? AND revision = ? AND updated_at < ?`,
  )
  const now = db.prepare<[string]>(
    `INSERT OR IGNORE INTO design_versions (design, revision, document, saved_at)
      SELECT id, revision, document, updated_at FROM designs WHERE id = ?`,
  )
  // Of every day but those of the newest, all but the last; and the oldest beyond what is kept in all.
  const thin = db.prepare<{ id: string, newest: number, most: number }>(
    `WITH numbered AS (
       SELECT revision, row_number() OVER (ORDER BY revision DESC) AS place,
              row_number() OVER (PARTITION BY substr(saved_at, 1, 10) ORDER BY revision DESC) AS in_day
         FROM design_versions WHERE design = @id
     )
     DELETE FROM design_versions WHERE design = @id
       AND revision IN (SELECT revision FROM numbered WHERE (place > @newest AND in_day > 1) OR place > @most)`,
  )
  const list = db.prepare<[string], { revision: number, saved_at: string, name: string }>(
    `SELECT revision, saved_at, json_extract(document, '$.name') AS name FROM design_versions WHERE design = ? ORDER BY revision DESC`,
  )
  const find = db.prepare<[string, number], { document: string }>(
    'SELECT document FROM design_versions WHERE design = ? AND revision = ?',
  )
  const thinned = (id: string) => thin.run({ id, newest: NEWEST, most: MOST })
  return {
    beforeSave: (id, revision, at) => {
      const got = keep.run(id, revision, new Date(Date.parse(at) - SITTING_MINUTES * 60_000).toISOString())
      if (got.changes > 0) thinned(id)
    },
    keepNow: (id) => {
      if (now.run(id).changes > 0) thinned(id)
    },
    list: id => list.all(id).map(({ revision, saved_at: savedAt, name }) => ({ revision, savedAt, name: String(name) })),
    find: (id, revision) => {
      const row = find.get(id, revision)
      return row && (JSON.parse(row.document) as unknown)
    },
  }
}
