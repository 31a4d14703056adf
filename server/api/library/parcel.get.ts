import { databasePath } from '../../db/connection'
import { waitedFor } from '../../requests/jobProgress'
import { sendFile } from '../../requests/sendFile'
import { runJob } from '../../jobs/workerPool'

/** Everything in one file, to carry elsewhere. */
export default defineEventHandler(async (event) => {
  const bytes = await runJob('pack', { path: databasePath() }, waitedFor(event))
  const day = new Date().toISOString().slice(0, 10)
  return sendFile(event, `Fair Hollow ${day}`, { body: bytes, type: 'application/zip', extension: 'zip' })
})
