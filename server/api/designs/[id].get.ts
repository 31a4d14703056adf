import { designs } from '../../db/shelves'
import { refuseUnknown } from '../../requests/refuse'

/** One design. */
export default defineEventHandler(event => designs().find(getRouterParam(event, 'id')!) ?? refuseUnknown('design'))
