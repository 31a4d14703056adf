import { removeFrom } from '../../requests/documentRoutes'
import { ORDERS } from '../../requests/resources'

/** Throws an order away. */
export default removeFrom(ORDERS)
