import { oneOf } from '../../requests/documentRoutes'
import { ORDERS } from '../../requests/documentKinds'

/** One order. */
export default oneOf(ORDERS)
