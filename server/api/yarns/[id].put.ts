import { saveOn } from '../../requests/documentRoutes'
import { YARNS } from '../../requests/resources'

/** Saves a yarn over the revision it started from. */
export default saveOn(YARNS)
