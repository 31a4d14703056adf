import { makeDocument } from '../../../../core/make/document'
import { logbook, makes } from '../../../db/shelves'
import { refuseUnknown } from '../../../requests/refuse'
import { sendDocument } from '../../../requests/sendFile'

/** A make as an open document, to keep or to bring in elsewhere. */
export default defineEventHandler((event) => {
  const id = getRouterParam(event, 'id')!
  const make = makes().find(id) ?? refuseUnknown('make')
  return sendDocument(event, makeDocument(make.name, makes().allEvents(id).events, logbook().photoAsText(id)))
})
