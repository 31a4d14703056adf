import { listOf } from '../../requests/documentRoutes'
import { ORDERS } from '../../requests/resources'

/** Every order, the last changed first. */
export default listOf(ORDERS)
