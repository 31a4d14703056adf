import { oneOf } from '../../requests/documentRoutes'
import { DESIGNS } from '../../requests/resources'

/** One design. */
export default oneOf(DESIGNS)
