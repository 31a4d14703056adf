import { removeFrom } from '../../requests/documentRoutes'
import { DESIGNS } from '../../requests/resources'

/** Deletes a design. */
export default removeFrom(DESIGNS)
