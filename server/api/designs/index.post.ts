import { readDesign } from '../../../core/design/read'
import { designs } from '../../db/shelves'
import { jsonBody } from '../../requests/body'
import { soundOr422 } from '../../requests/refuse'

/** Keeps a new design: one just started, or an open document brought in. */
export default defineEventHandler(async (event) => {
  const kept = designs().add(soundOr422(readDesign(await jsonBody(event))))
  setResponseStatus(event, 201)
  return kept
})
