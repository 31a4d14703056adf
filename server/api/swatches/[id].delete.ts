import { removeFrom } from '../../requests/documentRoutes'
import { SWATCHES } from '../../requests/documentKinds'

/** Throws a swatch away. */
export default removeFrom(SWATCHES)
