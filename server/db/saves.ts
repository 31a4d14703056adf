import type Database from 'better-sqlite3'

/** A save that was answered: of which document, and which revision it came to. */
export interface KnownSave {
  readonly document: string
  readonly revision: number
  readonly savedAt: string
}

/** Saves by the ids that pages gave them. */
export interface Saves {
  readonly find: (id: string) => KnownSave | undefined
  readonly keep: (id: string, document: string, revision: number, now: string) => void
}

/** A page that has had no answer for so long has long been closed. */
const REMEMBERED_DAYS = 14
/** Old ones are looked for once in so many saves. */
const SWEPT_EVERY = 500

/** The saves that the house remembers. */
export function savesIn(db: Database.Database): Saves {
  const find = db.prepare<[string], { document: string, revision: number, saved_at: string }>(
    'SELECT document, revision, saved_at FROM saves WHERE id = ?',
  )
  const keep = db.prepare<[string, string, number, string]>('INSERT INTO saves (id, document, revision, saved_at) VALUES (?, ?, ?, ?)')
  const sweep = db.prepare<[string]>('DELETE FROM saves WHERE saved_at < ?')
  let kept = 0
  return {
    find: (id) => {
      const row = find.get(id)
      return row && { document: row.document, revision: row.revision, savedAt: row.saved_at }
    },
    keep: (id, document, revision, now) => {
      keep.run(id, document, revision, now)
      if (++kept % SWEPT_EVERY === 0) sweep.run(new Date(Date.parse(now) - REMEMBERED_DAYS * 86_400_000).toISOString())
    },
  }
}
