import { randomUUID } from 'node:crypto'
import { readMake } from '../../../core/make/read'
import { keepMake, makes } from '../../db/shelves'
import { jsonBody, MOST_MAKE_BYTES } from '../../requests/body'
import { soundOr422 } from '../../requests/refuse'
import { inWorkshop } from '../../workshop/workshop'

/** Keeps a make brought in from a file, as one of its own. */
export default defineEventHandler(async (event) => {
  const made = soundOr422(readMake(await jsonBody(event, MOST_MAKE_BYTES)))
  const id = randomUUID()
  const [progress] = await inWorkshop('progress', { makes: [made.events] })
  keepMake(id, made, progress)
  setResponseStatus(event, 201)
  return makes().find(id)
})
