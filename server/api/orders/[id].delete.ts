import { removeFrom } from '../../requests/shelved'
import { ORDERS } from '../../requests/shelves'

/** Throws an order away. */
export default removeFrom(ORDERS)
