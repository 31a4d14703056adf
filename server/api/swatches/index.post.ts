import { readSwatch } from '../../../core/design/read'
import { swatches } from '../../db/shelves'
import { saveIdOf } from '../../requests/asked'
import { jsonBody } from '../../requests/body'
import { soundOr422 } from '../../requests/refuse'

/** Keeps a new swatch: one just started, or an open document brought in. */
export default defineEventHandler(async (event) => {
  const save = saveIdOf(event)
  const kept = swatches().add(soundOr422(readSwatch(await jsonBody(event))), save)
  setResponseStatus(event, 201)
  return kept
})
