import { listOf } from '../../requests/documentRoutes'
import { SWATCHES } from '../../requests/resources'

/** Every swatch, the last changed first. */
export default listOf(SWATCHES)
