import { swatches } from '../../db/shelves'
import { refuseUnknown } from '../../requests/refuse'

/** Throws a swatch away. */
export default defineEventHandler((event) => {
  if (!swatches().remove(getRouterParam(event, 'id')!)) refuseUnknown('swatch')
  setResponseStatus(event, 204)
  return null
})
