import { database, databasePath } from '../../db/connection'
import { makes } from '../../db/shelves'
import { bytesOf, MOST_MAKE_BYTES } from '../../requests/body'
import { endOf } from '../../requests/endOf'
import { soundOr422 } from '../../requests/refuse'
import { learnSoon } from '../../workshop/lessons'
import { inWorkshop } from '../../workshop/workshop'

/** Keeps a make brought in from a file, as one of its own. */
export default defineEventHandler(async (event) => {
  const bytes = await bytesOf(event, MOST_MAKE_BYTES)
  database()
  const { id } = soundOr422(await inWorkshop('bringMake', { path: databasePath(), bytes }, { calledOff: endOf(event) }))
  learnSoon(id)
  setResponseStatus(event, 201)
  return makes().find(id)
})
