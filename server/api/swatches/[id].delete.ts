import { removeFrom } from '../../requests/shelved'
import { SWATCHES } from '../../requests/shelves'

/** Throws a swatch away. */
export default removeFrom(SWATCHES)
