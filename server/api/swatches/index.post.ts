import { addTo } from '../../requests/documentRoutes'
import { SWATCHES } from '../../requests/resources'

/** Keeps a new swatch: one just started, or an open document brought in. */
export default addTo(SWATCHES)
