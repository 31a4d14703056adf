import { join } from 'node:path'
import { barRecords, closeShared, database, databasePath, openShared } from '../db/connection'
import { layOutDemoWorld } from '../db/demoWorld'
import { RecordsTrouble, troubleOf } from '../db/trouble'
import { copiesFolder, copyAtOnce, putInPlace } from './copies'
import { bringOver, replaceBroken, type Salvaged } from './salvage'

/*
 * How the house begins: it opens the records, or says why it cannot.
 */

/** How it began: with nothing to say, or with words; and whether the program goes on, to say them on the page. */
export interface Begun {
  readonly words?: string
  readonly goesOn: boolean
}

function opened(): void {
  const db = openShared((before, path) => void copyAtOnce(before, path, 'before-update', new Date()))
  if (process.env.FAIR_HOLLOW_DEMO !== 'no') layOutDemoWorld(db)
}

/** Opens the records. Damaged ones are barred, and the page asks what to do. */
export function begin(): Begun {
  try {
    opened()
    return { goesOn: true }
  }
  catch (error) {
    const trouble = error instanceof RecordsTrouble ? error : troubleOf(error, databasePath())
    if (!trouble) throw error
    if (trouble.code !== 'corrupt') return { words: trouble.words, goesOn: false }
    barRecords(trouble)
    return { words: `${trouble.words} Open the page, or: npm run restore`, goesOn: true }
  }
}

/** Starts from the last good copy, the maker agreeing; what can be read of the damaged file is brought over. */
export function startFromCopy(now: Date): Salvaged {
  const path = databasePath()
  closeShared()
  const replaced = replaceBroken(path, now)
  opened()
  return { ...replaced, ...bringOver(replaced.broken, database()) }
}

/** Returns everything to a copy; what there was is copied first, and told by its name. */
export function returnTo(copy: string, now: Date): string {
  const path = databasePath()
  const kept = copyAtOnce(database(), path, 'before-restore', now)
  closeShared()
  try {
    putInPlace(join(copiesFolder(path), copy), path)
  }
  finally {
    opened()
  }
  return kept
}
