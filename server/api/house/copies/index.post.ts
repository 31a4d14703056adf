import { database, databasePath } from '../../../db/connection'
import { copiesOf } from '../../../house/copies'
import { waitedFor } from '../../../requests/waitedFor'
import { inWorkshop } from '../../../workshop/workshop'

/** The copy that is just being made: whoever asks meanwhile gets the same. */
let copying: Promise<string> | undefined

/** Copies everything now. */
export default defineEventHandler(async (event) => {
  database()
  const path = databasePath()
  const { name: job } = waitedFor(event)
  copying ??= inWorkshop('copy', { path, why: 'asked', now: Date.now() }, { name: job }).finally(() => (copying = undefined))
  const name = await copying
  setResponseStatus(event, 201)
  return copiesOf(path).find(copy => copy.name === name)
})
