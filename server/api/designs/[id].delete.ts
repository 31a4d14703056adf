import { designs } from '../../db/repositories'
import { refuseUnknown } from '../../requests/refuse'

/** Lays a design aside. */
export default defineEventHandler((event) => {
  if (!designs().remove(getRouterParam(event, 'id')!)) refuseUnknown('design')
  setResponseStatus(event, 204)
  return null
})
