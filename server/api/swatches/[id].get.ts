import { oneOf } from '../../requests/documentRoutes'
import { SWATCHES } from '../../requests/resources'

/** One swatch. */
export default oneOf(SWATCHES)
