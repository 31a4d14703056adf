import { database, databasePath } from '../../db/connection'
import { makes } from '../../db/repositories'
import { bytesOf, MOST_MAKE_BYTES } from '../../requests/body'
import { waitedFor } from '../../requests/jobProgress'
import { soundOr422 } from '../../requests/refuse'
import { learnSoon } from '../../jobs/factsQueue'
import { runJob } from '../../jobs/workerPool'

/** Keeps a make brought in from a file, as one of its own. */
export default defineEventHandler(async (event) => {
  const bytes = await bytesOf(event, MOST_MAKE_BYTES)
  database()
  const { id } = soundOr422(await runJob('bringMake', { path: databasePath(), bytes }, waitedFor(event)))
  learnSoon(id)
  setResponseStatus(event, 201)
  return makes().find(id)
})
