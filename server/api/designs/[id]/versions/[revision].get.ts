import { readDesign } from '../../../../../core/bag/design/read'
import { versions } from '../../../../db/repositories'
import { refuseUnknown, soundOr422 } from '../../../../requests/refuse'

/** A bag as it was. */
export default defineEventHandler((event) => {
  const found = versions().find(getRouterParam(event, 'id')!, Number(getRouterParam(event, 'revision')))
  return found === undefined ? refuseUnknown('version') : soundOr422(readDesign(found))
})
