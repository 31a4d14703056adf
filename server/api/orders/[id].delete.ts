import { removeFrom } from '../../requests/documentRoutes'
import { ORDERS } from '../../requests/documentKinds'

/** Throws an order away. */
export default removeFrom(ORDERS)
