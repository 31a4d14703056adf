import { listOf } from '../../requests/documentRoutes'
import { YARNS } from '../../requests/resources'

/** Every yarn, the last changed first. */
export default listOf(YARNS)
