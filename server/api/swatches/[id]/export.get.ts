import { fileOf } from '../../../requests/documentRoutes'
import { SWATCHES } from '../../../requests/resources'

/** A swatch as a file: the open document. */
export default fileOf(SWATCHES)
