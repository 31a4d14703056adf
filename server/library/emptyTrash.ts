import { database } from '../db/connection'
import { TRASHES } from '../db/repositories'

/** Days that what was deleted stays in the trash. */
export const TRASH_DAYS = 60

const DAY_MS = 86_400_000

/**
 * The time by a clock that goes on by a day at most from one look to the next: one that is set years ahead by mistake for a while deletes
 * nothing.
 */
function steady(db: ReturnType<typeof database>, now: Date): number {
  const noted = db.prepare('SELECT value FROM house WHERE key = \'steady-clock\'').pluck().get()
  const at = noted === undefined ? now.getTime() : Math.min(now.getTime(), Date.parse(String(noted)) + DAY_MS)
  db.prepare('INSERT OR REPLACE INTO house (key, value) VALUES (\'steady-clock\', ?)').run(new Date(at).toISOString())
  return at
}

/** Deletes for good what has been in the trash for so long. Looked at every hour. */
export function emptyTrash(now: Date): void {
  const before = new Date(steady(database(), now) - TRASH_DAYS * DAY_MS).toISOString()
  for (const trash of Object.values(TRASHES)) {
    const { inTrash, forget } = trash()
    for (const { id, removedAt } of inTrash()) if (removedAt < before) forget(id)
  }
}
