import { database, databasePath } from '../../../db/connection'
import { copiesOf } from '../../../house/copies'
import { inWorkshop } from '../../../workshop/workshop'

/** The copy that is just being made: whoever asks meanwhile gets the same. */
let copying: Promise<string> | undefined

/** Copies everything now. */
export default defineEventHandler(async (event) => {
  database()
  const path = databasePath()
  copying ??= inWorkshop('copy', { path, why: 'asked', now: Date.now() }).finally(() => (copying = undefined))
  const name = await copying
  setResponseStatus(event, 201)
  return copiesOf(path).find(copy => copy.name === name)
})
