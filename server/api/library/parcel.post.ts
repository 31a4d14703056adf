import { database, databasePath } from '../../db/connection'
import { bytesOf } from '../../requests/body'
import { waitedFor } from '../../requests/jobProgress'
import { learnMissing } from '../../jobs/factsQueue'
import { drawMissing } from '../../jobs/portraits'
import { runJob } from '../../jobs/workerPool'

/** As large as a parcel of many years. */
const MOST_PARCEL_BYTES = 60_000_000

/**
 * Reads a parcel: without `take` it says what is in it and what of that is here already; with `take` it keeps the files whose numbers are
 * named, with commas between. All of them are kept, or none.
 */
export default defineEventHandler(async (event) => {
  const { take } = getQuery(event)
  const bytes = await bytesOf(event, MOST_PARCEL_BYTES)
  database()
  const chosen = take === undefined ? {} : { take: String(take).split(',').map(Number) }
  const read = await runJob('parcel', { path: databasePath(), bytes, ...chosen }, waitedFor(event))
  if (!read.ok) throw createError({ statusCode: 422, message: read.why })
  if (read.taken === undefined) return { files: read.files }
  drawMissing()
  learnMissing()
  return { files: read.files, taken: read.taken }
})
