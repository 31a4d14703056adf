import { oneOf } from '../../requests/shelved'
import { ORDERS } from '../../requests/shelves'

/** One order. */
export default oneOf(ORDERS)
