import { drawMissing } from '../../../jobs/portraits'
import { trashedOr404 } from '../../../requests/trashed'

/** Brings back what was deleted, as it was. */
export default defineEventHandler((event) => {
  const { trash, id, refuse } = trashedOr404(event)
  if (!trash.bringBack(id)) refuse()
  drawMissing()
  setResponseStatus(event, 204)
  return null
})
