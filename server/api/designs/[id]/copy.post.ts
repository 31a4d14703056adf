import { designs } from '../../../db/repositories'
import { saveIdOf } from '../../../requests/requestShapes'
import { refuseUnknown } from '../../../requests/refuse'
import { drawSoon } from '../../../jobs/portraits'

const MOST_NAME = 80

/** Keeps a design once more, to go on from. */
export default defineEventHandler((event) => {
  const { document } = designs().find(getRouterParam(event, 'id')!) ?? refuseUnknown('design')
  const copy = designs().add({ ...document, name: `${document.name}, again`.slice(0, MOST_NAME) }, saveIdOf(event))
  drawSoon(copy.id)
  setResponseStatus(event, 201)
  return copy
})
