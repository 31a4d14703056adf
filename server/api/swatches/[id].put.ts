import { saveOn } from '../../requests/shelved'
import { SWATCHES } from '../../requests/shelves'

/** Saves a swatch over the revision it started from. */
export default saveOn(SWATCHES)
