import { oneOf } from '../../requests/documentRoutes'
import { SWATCHES } from '../../requests/documentKinds'

/** One swatch. */
export default oneOf(SWATCHES)
