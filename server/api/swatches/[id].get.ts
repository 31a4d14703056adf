import { oneOf } from '../../requests/shelved'
import { SWATCHES } from '../../requests/shelves'

/** One swatch. */
export default oneOf(SWATCHES)
