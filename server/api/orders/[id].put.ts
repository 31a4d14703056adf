import { saveOn } from '../../requests/shelved'
import { ORDERS } from '../../requests/shelves'

/** Saves an order over the revision it started from. */
export default saveOn(ORDERS)
