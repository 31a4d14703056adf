import { trashedOr404 } from '../../../requests/trashed'

/** Throws away for good what lies trash. */
export default defineEventHandler((event) => {
  const { trash, id, refuse } = trashedOr404(event)
  if (!trash.forget(id)) refuse()
  setResponseStatus(event, 204)
  return null
})
