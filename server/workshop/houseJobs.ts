import { join } from 'node:path'
import Database from 'better-sqlite3'
import { open } from '../db/connection'
import { copiesFolder, copyAll, putInPlace, staged } from '../house/copies'
import type { Reason } from '../house/retention'
import { bringOver, replaceBroken, type Salvaged } from '../house/salvage'

/*
 * What is done with the records as a whole: copying them, and replacing them while nobody else has them open.
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

/** Opens records once, so that their tables are of this program. */
function broughtUpToDate(path: string, now: Date): void {
  open(path, (db, at, why) => void copyAll(db, at, why, now)).close()
}

/** Returns everything to a copy, by its name or as a file; gives the name of the copy of what there was. */
export function restored({ path, copy, now }: AtRecords & { readonly copy: string }): string {
  const at = new Date(now)
  // Laid ready before what there is is copied: whatever that lets go, this one is there.
  const part = staged(copy.includes('/') ? copy : join(copiesFolder(path), copy), path)
  const db = new Database(path, { fileMustExist: true })
  let kept: string
  try {
    kept = copyAll(db, path, 'before-restore', at, [copy])
    // What was written ahead is in the file before that goes: a power cut between the two loses nothing.
    db.pragma('wal_checkpoint(TRUNCATE)')
  }
  finally {
    db.close()
  }
  putInPlace(part, path)
  broughtUpToDate(path, at)
  return kept
}

/** Puts the last good copy in the place of damaged records, and brings over what can be read of them. */
export function salvaged({ path, now }: AtRecords): Salvaged {
  const at = new Date(now)
  const replaced = replaceBroken(path, at)
  const db = open(path, (old, to, why) => void copyAll(old, to, why, at))
  try {
    const copy = replaced.copy && join(copiesFolder(path), replaced.copy)
    return { ...replaced, ...bringOver(replaced.broken, db, copy) }
  }
  finally {
    db.close()
  }
}
