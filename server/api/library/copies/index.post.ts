import { database, databasePath } from '../../../db/connection'
import { copiesOf } from '../../../library/copies'
import { waitedFor } from '../../../requests/jobProgress'
import { runJob } from '../../../jobs/workerPool'

/** The copy that is just being made: whoever asks meanwhile gets the same. */
let copying: Promise<string> | undefined

/** Copies everything now. */
export default defineEventHandler(async (event) => {
  database()
  const path = databasePath()
  const { name: job } = waitedFor(event)
  copying ??= runJob('copy', { path, why: 'asked', now: Date.now() }, { name: job }).finally(() => (copying = undefined))
  const name = await copying
  setResponseStatus(event, 201)
  return copiesOf(path).find(copy => copy.name === name)
})
