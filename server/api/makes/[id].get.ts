import { makes } from '../../db/repositories'
import { asked, EventsQuery } from '../../requests/requestShapes'
import { refuseUnknown } from '../../requests/refuse'

/** A make's events, those after a number if one is named; in pieces where there are many. */
export default defineEventHandler((event) => {
  const id = getRouterParam(event, 'id')!
  const { after } = asked(EventsQuery, { after: Number(getQuery(event).after ?? 0) })
  const make = makes().find(id) ?? refuseUnknown('make')
  return { ...make, ...makes().eventsAfter(id, after) }
})
