import { saveOn } from '../../requests/documentRoutes'
import { ORDERS } from '../../requests/resources'

/** Saves an order over the revision it started from. */
export default saveOn(ORDERS)
