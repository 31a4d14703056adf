import { basename, dirname } from 'node:path'
import Database from 'better-sqlite3'
import { copiesFolder, copyAll, putInPlace, staged } from './copies'

/**
 * Puts a copy in the place of the records, which nobody else may have open; what there was is copied first.
 *
 * @param file the copy: one of those beside the records, or another file
 * @returns the name of the copy of what there was
 */
export function restored(path: string, file: string, now: Date): string {
  // Laid ready before what there is is copied: whatever that lets go, this one is there.
  const part = staged(file, path)
  const db = new Database(path, { fileMustExist: true })
  let kept: string
  try {
    kept = copyAll(db, path, 'before-restore', now, dirname(file) === copiesFolder(path) ? [basename(file)] : [])
    // What was written ahead is in the file before that goes: a power cut between the two loses nothing.
    db.pragma('wal_checkpoint(TRUNCATE)')
  }
  finally {
    db.close()
  }
  putInPlace(part, path)
  return kept
}
