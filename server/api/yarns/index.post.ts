import { addTo } from '../../requests/documentRoutes'
import { YARNS } from '../../requests/resources'

/** Keeps a new yarn: one just started, or an open document brought in. */
export default addTo(YARNS)
