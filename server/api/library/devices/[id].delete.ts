import { devices } from '../../../db/repositories'
import { fromHereOr403 } from '../../../requests/localOnly'
import { refuseUnknown } from '../../../requests/refuse'

/** Sends a machine away: it has to be let in again. */
export default defineEventHandler((event) => {
  fromHereOr403(event)
  if (!devices().sendAway(getRouterParam(event, 'id')!)) refuseUnknown('device')
  setResponseStatus(event, 204)
  return null
})
