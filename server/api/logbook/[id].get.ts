import { logbook, makes } from '../../db/repositories'
import { answerText } from '../../requests/answer'
import { refuseUnknown } from '../../requests/refuse'
import { factsOf } from '../../jobs/factsQueue'

/** A bag's page of the logbook: everything that it tells. */
export default defineEventHandler(async (event) => {
  const id = getRouterParam(event, 'id')!
  const make = makes().find(id) ?? refuseUnknown('make')
  const facts = await factsOf(id)
  const known = JSON.stringify({ id, name: make.name, photo: logbook().photo(id) !== undefined })
  return answerText(event, `${known.slice(0, -1)},"facts":${facts ?? 'null'}}`)
})
