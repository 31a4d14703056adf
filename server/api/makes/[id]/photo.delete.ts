import { logbook } from '../../../db/shelves'
import { refuseUnknown } from '../../../requests/refuse'

/** Throws the photo of a bag away. */
export default defineEventHandler((event) => {
  if (!logbook().dropPhoto(getRouterParam(event, 'id')!)) refuseUnknown('photo')
  setResponseStatus(event, 204)
})
