import { logbook, makes } from '../../../db/repositories'
import { refuseUnknown } from '../../../requests/refuse'

/** The photo of a bag. */
export default defineEventHandler((event) => {
  const id = getRouterParam(event, 'id')!
  const jpeg = makes().find(id) && logbook().photo(id)
  if (!jpeg) return refuseUnknown('photo')
  setResponseHeaders(event, { 'Content-Type': 'image/jpeg', 'Cache-Control': 'no-cache' })
  return jpeg
})
