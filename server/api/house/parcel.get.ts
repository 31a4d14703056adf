import { databasePath } from '../../db/connection'
import { waitedFor } from '../../requests/waitedFor'
import { sendFile } from '../../requests/sendFile'
import { inWorkshop } from '../../workshop/workshop'

/** Everything in one file, to carry elsewhere. */
export default defineEventHandler(async (event) => {
  const bytes = await inWorkshop('pack', { path: databasePath() }, waitedFor(event))
  const day = new Date().toISOString().slice(0, 10)
  return sendFile(event, `Fair Hollow ${day}`, { body: bytes, type: 'application/zip', extension: 'zip' })
})
