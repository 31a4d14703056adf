import { addTo } from '../../requests/shelved'
import { SWATCHES } from '../../requests/shelves'

/** Keeps a new swatch: one just started, or an open document brought in. */
export default addTo(SWATCHES)
