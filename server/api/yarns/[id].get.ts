import { oneOf } from '../../requests/documentRoutes'
import { YARNS } from '../../requests/documentKinds'

/** One yarn. */
export default oneOf(YARNS)
