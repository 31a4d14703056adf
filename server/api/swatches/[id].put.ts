import { saveOn } from '../../requests/documentRoutes'
import { SWATCHES } from '../../requests/documentKinds'

/** Saves a swatch over the revision it started from. */
export default saveOn(SWATCHES)
