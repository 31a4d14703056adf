import { makes } from '../../db/repositories'
import { refuseUnknown } from '../../requests/refuse'

/** Throws a make away, with all that happened to it. */
export default defineEventHandler((event) => {
  if (!makes().remove(getRouterParam(event, 'id')!)) refuseUnknown('make')
  setResponseStatus(event, 204)
  return null
})
