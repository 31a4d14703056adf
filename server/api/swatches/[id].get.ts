import { swatches } from '../../db/shelves'
import { refuseUnknown } from '../../requests/refuse'

/** One swatch. */
export default defineEventHandler(event => swatches().find(getRouterParam(event, 'id')!) ?? refuseUnknown('swatch'))
