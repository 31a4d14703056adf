import { readDesign } from '../../../core/bag/design/read'
import { designs } from '../../db/repositories'
import { saveIdOf } from '../../requests/requestShapes'
import { jsonBody } from '../../requests/body'
import { refuseProblems, soundOr422 } from '../../requests/refuse'
import { drawSoon } from '../../jobs/portraits'
import { runJob } from '../../jobs/workerPool'

/** Keeps a new design: one just started, or an open document brought in, if it asks for no more than can be made. */
export default defineEventHandler(async (event) => {
  const save = saveIdOf(event)
  const design = soundOr422(readDesign(await jsonBody(event)))
  const { tooMuch } = await runJob('weigh', { design })
  if (tooMuch) return refuseProblems([{ field: 'bag', message: tooMuch }])
  const kept = designs().add(design, save)
  drawSoon(kept.id)
  setResponseStatus(event, 201)
  return kept
})
