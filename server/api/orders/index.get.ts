import { listOf } from '../../requests/shelved'
import { ORDERS } from '../../requests/shelves'

/** Every order, the last changed first. */
export default listOf(ORDERS)
