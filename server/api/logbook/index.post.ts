import { randomUUID } from 'node:crypto'
import { readLogbook } from '../../../core/log/document'
import { database } from '../../db/connection'
import { keepMake, makes } from '../../db/shelves'
import { jsonBody, MOST_MAKE_BYTES } from '../../requests/body'
import { soundOr422 } from '../../requests/refuse'
import { learnMissing } from '../../workshop/lessons'
import { inWorkshop } from '../../workshop/workshop'

/** Keeps the bags of a logbook brought in from a file; those that are here already are left alone. All of them, or none. */
export default defineEventHandler(async (event) => {
  const { makes: brought } = soundOr422(readLogbook(await jsonBody(event, MOST_MAKE_BYTES)))
  const fresh = brought.filter(({ events }) => !events.some(({ id, do: what }) => what === 'started' && makes().hasEvent(id)))
  const progress = await inWorkshop('progress', { makes: fresh.map(({ events }) => events) })
  database().transaction(() => fresh.forEach((make, i) => keepMake(randomUUID(), make, progress[i])))()
  learnMissing()
  setResponseStatus(event, 201)
  return { taken: fresh.length, there: brought.length - fresh.length }
})
