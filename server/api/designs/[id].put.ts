import { saveOn } from '../../requests/documentRoutes'
import { DESIGNS } from '../../requests/resources'

/** Saves a design over the revision it started from. */
export default saveOn(DESIGNS)
