import { readDesign } from '../../../core/bag/design/read'
import { designs } from '../../db/repositories'
import { askedToSave, saveIdOf } from '../../requests/requestShapes'
import { jsonBody } from '../../requests/body'
import { refuseOvertaken, refuseUnknown, soundOr422 } from '../../requests/refuse'
import { drawSoon } from '../../jobs/portraits'

/** Saves a design over the revision it started from. */
export default defineEventHandler(async (event) => {
  const save = saveIdOf(event)
  const { revision, document } = askedToSave(await jsonBody(event))
  const id = getRouterParam(event, 'id')!
  const saved = designs().save(id, revision, soundOr422(readDesign(document)), save)
  if (!saved.kept) return saved.why === 'gone' ? refuseUnknown('design') : refuseOvertaken('design')
  drawSoon(id)
  return { revision: saved.revision, updatedAt: saved.updatedAt }
})
