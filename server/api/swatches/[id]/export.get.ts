import { fileOf } from '../../../requests/shelved'
import { SWATCHES } from '../../../requests/shelves'

/** A swatch as a file: the open document. */
export default fileOf(SWATCHES)
