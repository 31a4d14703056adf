import { oneOf } from '../../requests/documentRoutes'
import { YARNS } from '../../requests/resources'

/** One yarn. */
export default oneOf(YARNS)
