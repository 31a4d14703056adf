import { removeFrom } from '../../requests/documentRoutes'
import { YARNS } from '../../requests/documentKinds'

/** Throws a yarn away. */
export default removeFrom(YARNS)
