import { listOf } from '../../requests/documentRoutes'
import { ORDERS } from '../../requests/documentKinds'

/** Every order, the last changed first. */
export default listOf(ORDERS)
