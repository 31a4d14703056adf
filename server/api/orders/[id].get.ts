import { oneOf } from '../../requests/documentRoutes'
import { ORDERS } from '../../requests/resources'

/** One order. */
export default oneOf(ORDERS)
