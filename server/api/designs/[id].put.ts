import { readDesign } from '../../../core/design/read'
import { designs } from '../../db/shelves'
import { asked, saveIdOf, SaveRequest } from '../../requests/asked'
import { jsonBody } from '../../requests/body'
import { refuseOvertaken, refuseUnknown, soundOr422 } from '../../requests/refuse'
import { drawSoon } from '../../workshop/portraits'

/** Saves a design over the revision it started from. */
export default defineEventHandler(async (event) => {
  const save = saveIdOf(event)
  const { revision, document } = asked(SaveRequest, await jsonBody(event))
  const saved = designs().save(getRouterParam(event, 'id')!, revision, soundOr422(readDesign(document)), save)
  if (!saved.kept) return saved.why === 'gone' ? refuseUnknown('design') : refuseOvertaken('design')
  drawSoon()
  return { revision: saved.revision, updatedAt: saved.updatedAt }
})
