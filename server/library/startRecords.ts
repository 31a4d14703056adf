import { barRecords, barredFor, closeShared, databasePath, isOpen, type KeepCopy, openShared } from '../db/connection'
import { layOutDemoWorld } from '../db/demoWorld'
import { clearIncoming } from '../db/incoming'
import { RecordsTrouble, troubleOf, troubleWith } from '../db/trouble'
import { whenIdle, runJob } from '../jobs/workerPool'
import { clearUnfinished, copiesOf, copyAll } from './copies'
import { type Claim, claim, ownerWords } from './owner'
import type { SalvageResult } from './salvage'

/*
 * How the program begins: it claims the records, opens them, or says why it cannot; and how they are replaced while it goes on.
 */

/** How it began: with nothing to say, or with words; and whether the program goes on, to say them on the page. */
interface Begun {
  readonly words?: string
  readonly goesOn: boolean
}

const keepCopy: KeepCopy = (db, path, why) => void copyAll(db, path, why, new Date())

function opened(isChecked = false): void {
  const db = openShared(keepCopy, isChecked)
  clearIncoming(db)
  if (process.env.FAIR_HOLLOW_DEMO !== 'no') layOutDemoWorld(db)
}

/** The lock ends with what holds it, so it is held here. */
let mine: Claim | undefined

/** Claims the records for as long as this program runs. */
function claimed(path: string, address: string): string | undefined {
  if (mine?.granted) return undefined
  const found = mine = claim(path, { pid: process.pid, address })
  return found.granted ? undefined : troubleWith('held', path).words + ownerWords(found.owner)
}

/** Trouble as it was met; of a file that is none of ours but has copies beside it, that it is damaged. */
function troubleMet(error: unknown, path: string): RecordsTrouble {
  const trouble = error instanceof RecordsTrouble ? error : troubleOf(error, path)
  if (!trouble) throw error
  return trouble.code === 'no-database' && copiesOf(path).length > 0 ? troubleWith('corrupt', path, error) : trouble
}

/** Opens the records, and bars those that cannot be used, so that the page can say why and what helps. */
function openOrBar(path: string, isChecked = false): Begun {
  try {
    opened(isChecked)
    return { goesOn: true }
  }
  catch (error) {
    const trouble = troubleMet(error, path)
    // What was saved can be read on a full disk, and saving goes on once there is room.
    if (trouble.code === 'full' && isOpen()) return { words: trouble.words, goesOn: true }
    if (trouble.code !== 'corrupt' && trouble.code !== 'full') return { words: trouble.words, goesOn: false }
    barRecords(trouble)
    return { words: trouble.code === 'full' ? trouble.words : `${trouble.words} Open the page, or: npm run restore`, goesOn: true }
  }
}

/**
 * Opens the records. Damaged ones are barred, and the page asks what to do.
 *
 * @param address where this program can be asked, for another that wants the same records
 */
export function begin(address: string): Begun {
  const path = databasePath()
  try {
    const held = claimed(path, address)
    if (held) return { words: held, goesOn: false }
    clearUnfinished(path)
  }
  catch (error) {
    return { words: troubleMet(error, path).words, goesOn: false }
  }
  return openOrBar(path)
}

/** Opens records anew that were barred, or are nobody else's, because there was no room: perhaps there is some now. */
export function openOnceThereIsRoom(): void {
  closeShared()
  openOrBar(databasePath())
}

/** Has something done while nobody is at the records. What a page sends meanwhile is refused, and sent again by it. */
async function whileAway<T>(work: (path: string) => Promise<T>): Promise<T> {
  const path = databasePath()
  if (barredFor()?.code === 'away') throw barredFor()!
  closeShared()
  barRecords(troubleWith('away', path))
  let isChecked = false
  try {
    await whenIdle()
    const done = await work(path)
    isChecked = true
    return done
  }
  finally {
    const { words, goesOn } = openOrBar(path, isChecked)
    if (!goesOn) barRecords(troubleWith('io', path, words))
  }
}

/** Starts from the last good copy, the maker agreeing; what can be read of the damaged file is brought over. */
export function startFromCopy(now: Date): Promise<SalvageResult> {
  return whileAway(path => runJob('salvage', { path, now: now.getTime() }))
}

/** Returns everything to a copy; what there was is copied first, and told by its name. */
export function returnTo(copy: string, now: Date): Promise<string> {
  return whileAway(path => runJob('restore', { path, copy, now: now.getTime() }))
}
