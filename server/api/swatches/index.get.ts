import { listOf } from '../../requests/shelved'
import { SWATCHES } from '../../requests/shelves'

/** Every swatch, the last changed first. */
export default listOf(SWATCHES)
