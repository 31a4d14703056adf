import { removeFrom } from '../../requests/documentRoutes'
import { YARNS } from '../../requests/resources'

/** Throws a yarn away. */
export default removeFrom(YARNS)
