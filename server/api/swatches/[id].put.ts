import { saveOn } from '../../requests/documentRoutes'
import { SWATCHES } from '../../requests/resources'

/** Saves a swatch over the revision it started from. */
export default saveOn(SWATCHES)
