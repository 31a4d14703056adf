import { database, databasePath } from '../../db/connection'
import { bytesOf } from '../../requests/body'
import { waitedFor } from '../../requests/jobProgress'
import { refuseProblems } from '../../requests/refuse'
import { runJob } from '../../jobs/workerPool'

/** As large as a shelf of a thousand yarns. */
const MOST_SHELF_BYTES = 5_000_000

/** Brings yarns in from a file: a table, one yarn, or a whole shelf. All of them, or none; those that are here already stay as they are. */
export default defineEventHandler(async (event) => {
  const bytes = await bytesOf(event, MOST_SHELF_BYTES)
  database()
  const brought = await runJob('bringYarns', { path: databasePath(), bytes }, waitedFor(event))
  if (!brought.ok) return refuseProblems(brought.problems)
  return { brought: brought.taken, there: brought.there }
})
