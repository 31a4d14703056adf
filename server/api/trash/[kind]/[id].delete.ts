import { trashedOr404 } from '../../../requests/trashed'

/** Throws away for good what lies aside. */
export default defineEventHandler((event) => {
  const { aside, id, refuse } = trashedOr404(event)
  if (!aside.forget(id)) refuse()
  setResponseStatus(event, 204)
  return null
})
