import { fileOf } from '../../../requests/documentRoutes'
import { YARNS } from '../../../requests/resources'

/** A yarn as a file: the open document. */
export default fileOf(YARNS)
