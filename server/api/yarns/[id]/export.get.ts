import { fileOf } from '../../../requests/shelved'
import { YARNS } from '../../../requests/shelves'

/** A yarn as a file: the open document. */
export default fileOf(YARNS)
