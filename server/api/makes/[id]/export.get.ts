import type { MakeEvent } from '../../../../core/make/event'
import { makeDocument } from '../../../../core/make/document'
import { makes } from '../../../db/shelves'
import { refuseUnknown } from '../../../requests/refuse'
import { sendDocument } from '../../../requests/sendFile'

/** A make as an open document, to keep or to bring in elsewhere. */
export default defineEventHandler((event) => {
  const id = getRouterParam(event, 'id')!
  const make = makes().find(id) ?? refuseUnknown('make')
  const events: MakeEvent[] = []
  for (let upTo = 0, more = true; more;) {
    const from = makes().eventsAfter(id, upTo)
    events.push(...from.events)
    more = from.upTo > upTo
    upTo = from.upTo
  }
  return sendDocument(event, makeDocument(make.name, events))
})
