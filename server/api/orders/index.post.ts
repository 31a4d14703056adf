import { addTo } from '../../requests/documentRoutes'
import { ORDERS } from '../../requests/resources'

/** Keeps a new order: one just started, or an open document brought in. */
export default addTo(ORDERS)
