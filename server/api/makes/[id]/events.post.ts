import { readEvents, readProgress } from '../../../../core/making/make/read'
import { makes } from '../../../db/repositories'
import { asked, EventsRequest } from '../../../requests/requestShapes'
import { jsonBody } from '../../../requests/body'
import { learnSoon } from '../../../jobs/factsQueue'
import { refuseGone, refuseUnknown, soundOr422 } from '../../../requests/refuse'

/**
 * Takes in what a device did, and answers what others did meanwhile. Sent twice, an event is kept once; a make is begun by the event
 * that takes a bag up.
 */
export default defineEventHandler(async (event) => {
  const id = getRouterParam(event, 'id')!
  const { after, events: sent, progress } = asked(EventsRequest, await jsonBody(event))
  const { events } = soundOr422(readEvents(sent))
  const told = progress === undefined ? undefined : soundOr422(readProgress(progress))
  if (makes().wasRemoved(id)) refuseGone('make')
  if (!/^[\w-]{1,64}$/.test(id) || !makes().keep(id, events, told)) refuseUnknown('make')
  learnSoon(id)
  return makes().eventsAfter(id, after)
})
