import { database, databasePath } from '../../../db/connection'
import { copiesOf, copyNow } from '../../../house/copies'

/** Copies everything now. */
export default defineEventHandler(async (event) => {
  const name = await copyNow(database(), databasePath(), 'asked', new Date())
  setResponseStatus(event, 201)
  return copiesOf(databasePath()).find(copy => copy.name === name)
})
