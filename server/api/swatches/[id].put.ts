import { readSwatch } from '../../../core/design/read'
import { swatches } from '../../db/shelves'
import { askedToSave, saveIdOf } from '../../requests/asked'
import { jsonBody } from '../../requests/body'
import { refuseOvertaken, refuseUnknown, soundOr422 } from '../../requests/refuse'

/** Saves a swatch over the revision it started from. */
export default defineEventHandler(async (event) => {
  const save = saveIdOf(event)
  const { revision, document } = askedToSave(await jsonBody(event))
  const saved = swatches().save(getRouterParam(event, 'id')!, revision, soundOr422(readSwatch(document)), save)
  if (saved.kept) return { revision: saved.revision, updatedAt: saved.updatedAt }
  return saved.why === 'gone' ? refuseUnknown('swatch') : refuseOvertaken('swatch')
})
