import { drawMissing } from '../../../jobs/portraits'
import { trashedOr404 } from '../../../requests/trashed'

/** Brings back what was thrown away, as it was. */
export default defineEventHandler((event) => {
  const { aside, id, refuse } = trashedOr404(event)
  if (!aside.bringBack(id)) refuse()
  drawMissing()
  setResponseStatus(event, 204)
  return null
})
