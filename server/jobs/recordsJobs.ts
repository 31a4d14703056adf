import { join } from 'node:path'
import Database from 'better-sqlite3'
import { open } from '../db/connection'
import { copiesFolder, copyAll } from '../library/copies'
import { restored } from '../library/restore'
import type { Reason } from '../library/retention'
import { salvage, type SalvageResult } from '../library/salvage'

/*
 * Work on the records as a whole: copying them, and replacing them while nobody else has them open.
 */

/** When a job is done, in milliseconds since 1970, and with which records. */
export interface AtRecords {
  readonly path: string
  readonly now: number
}

/** Copies everything while others go on; gives the copy's name. */
export function copied({ path, why, now }: AtRecords & { readonly why: Reason }): string {
  const db = new Database(path, { readonly: true, fileMustExist: true })
  try {
    return copyAll(db, path, why, new Date(now))
  }
  finally {
    db.close()
  }
}

/** Returns everything to a copy, and brings its tables up to date; gives the name of the copy of what there was. */
export function returned({ path, copy, now }: AtRecords & { readonly copy: string }): string {
  const kept = restored(path, join(copiesFolder(path), copy), new Date(now))
  open(path, (db, at, why) => void copyAll(db, at, why, new Date(now))).close()
  return kept
}

/** Puts the last good copy in the place of damaged records, with all that can be read of them. */
export function salvaged({ path, now }: AtRecords): SalvageResult {
  return salvage(path, new Date(now), file => open(file))
}
