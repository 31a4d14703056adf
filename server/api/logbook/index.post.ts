import { database, databasePath } from '../../db/connection'
import { bytesOf, MOST_MAKE_BYTES } from '../../requests/body'
import { waitedFor } from '../../requests/jobProgress'
import { refuseProblems } from '../../requests/refuse'
import { learnMissing } from '../../jobs/factsQueue'
import { runJob } from '../../jobs/workerPool'

/** Keeps the bags of a logbook brought in from a file; those that are here already are left alone. All of them, or none. */
export default defineEventHandler(async (event) => {
  const bytes = await bytesOf(event, MOST_MAKE_BYTES)
  database()
  const brought = await runJob('bringLogbook', { path: databasePath(), bytes }, waitedFor(event))
  if (!brought.ok) return refuseProblems(brought.problems)
  learnMissing()
  setResponseStatus(event, 201)
  return { taken: brought.taken, there: brought.there }
})
