import { barredFor, database, databasePath, isAlone, lookAfterFile, unsettledRecords } from '../db/connection'
import { emptyTrash } from './emptyTrash'
import { RecordsTrouble } from '../db/trouble'
import { learnMissing } from '../jobs/factsQueue'
import { drawAhead } from '../jobs/portraits'
import { runJob, openWorkerPool } from '../jobs/workerPool'
import { openOnceThereIsRoom } from './startRecords'
import { copiesOf, lastChange } from './copies'
import { watchdog } from './watchdog'

/*
 * The program's own chores: copying the records once a day, emptying the trash, looking after the file, drawing ahead.
 */

const HOUR_MS = 3_600_000
/** A copy is made once a day, where anything changed; just started, one that is not an hour old will do. */
const DAILY_MS = 23 * HOUR_MS

/** Copies everything if anything changed since the last copy and that is old enough. */
export async function copyIfDue(now: Date, oldEnoughMs: number): Promise<string | undefined> {
  const db = database()
  const path = databasePath()
  const [last] = copiesOf(path)
  // A copy that seems to be of days to come was made while the clock was wrong.
  const ageMs = last && Math.abs(now.getTime() - Date.parse(last.madeAt))
  const due = ageMs === undefined || (ageMs > oldEnoughMs && (lastChange(db) > last!.madeAt || Date.parse(last!.madeAt) > now.getTime()))
  return due ? runJob('copy', { path, why: 'daily', now: now.getTime() }) : undefined
}

function quietly(chore: () => unknown): void {
  // A chore that cannot be done now is tried again; what stands in its way is told by the next thing that is saved.
  void Promise.resolve().then(chore).catch((error: unknown) => {
    process.stderr.write(`a chore failed: ${error instanceof RecordsTrouble ? error.words : (error as Error).name}\n`)
  })
}

const LOOK_MS = 2_000
/** Begins the chores; returns what ends them. */
export function beginChores(): () => void {
  quietly(() => copyIfDue(new Date(), HOUR_MS))
  quietly(() => emptyTrash(new Date()))
  const timers = [
    setInterval(() => quietly(() => copyIfDue(new Date(), DAILY_MS)), HOUR_MS / 2),
    setInterval(() => quietly(() => emptyTrash(new Date())), HOUR_MS),
    setInterval(() => quietly(() => {
      if (barredFor()?.code === 'full' || isAlone()) openOnceThereIsRoom()
      lookAfterFile()
      const path = unsettledRecords()
      if (path !== undefined) return runJob('settle', { path }, { ahead: true })
    }), LOOK_MS),
  ]
  for (const timer of timers) timer.unref()
  openWorkerPool()
  const endsDrawing = drawAhead()
  learnMissing()
  watchdog.begin(process.env.FAIR_HOLLOW_WATCH === 'close')
  return () => {
    watchdog.end()
    timers.forEach(clearInterval)
    endsDrawing()
  }
}
