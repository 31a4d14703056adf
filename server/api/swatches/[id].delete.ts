import { removeFrom } from '../../requests/documentRoutes'
import { SWATCHES } from '../../requests/resources'

/** Throws a swatch away. */
export default removeFrom(SWATCHES)
