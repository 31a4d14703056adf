import { designs } from '../../../db/shelves'
import { saveIdOf } from '../../../requests/asked'
import { refuseUnknown } from '../../../requests/refuse'
import { drawSoon } from '../../../workshop/portraits'

const MOST_NAME = 80

/** Keeps a design once more, to go on from. */
export default defineEventHandler((event) => {
  const { document } = designs().find(getRouterParam(event, 'id')!) ?? refuseUnknown('design')
  const copy = designs().add({ ...document, name: `${document.name}, again`.slice(0, MOST_NAME) }, saveIdOf(event))
  drawSoon(copy.id)
  setResponseStatus(event, 201)
  return copy
})
