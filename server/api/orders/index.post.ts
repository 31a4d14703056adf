import { addTo } from '../../requests/shelved'
import { ORDERS } from '../../requests/shelves'

/** Keeps a new order: one just started, or an open document brought in. */
export default addTo(ORDERS)
