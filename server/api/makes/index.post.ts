import { randomUUID } from 'node:crypto'
import { readMake } from '../../../core/make/read'
import { makes } from '../../db/shelves'
import { jsonBody, MOST_MAKE_BYTES } from '../../requests/body'
import { soundOr422 } from '../../requests/refuse'

/** Keeps a make brought in from a file, as one of its own. */
export default defineEventHandler(async (event) => {
  const { events } = soundOr422(readMake(await jsonBody(event, MOST_MAKE_BYTES)))
  const id = randomUUID()
  makes().keep(id, events)
  setResponseStatus(event, 201)
  return makes().find(id)
})
