import { logbook } from '../../../db/repositories'
import { refuseUnknown } from '../../../requests/refuse'

/** Throws the photo of a bag away. */
export default defineEventHandler((event) => {
  if (!logbook().dropPhoto(getRouterParam(event, 'id')!)) refuseUnknown('photo')
  setResponseStatus(event, 204)
})
