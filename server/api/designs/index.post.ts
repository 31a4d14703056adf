import { addTo } from '../../requests/documentRoutes'
import { DESIGNS } from '../../requests/resources'

/** Keeps a new design: one just started, or an open document brought in. */
export default addTo(DESIGNS)
