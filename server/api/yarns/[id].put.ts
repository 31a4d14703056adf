import { saveOn } from '../../requests/documentRoutes'
import { YARNS } from '../../requests/documentKinds'

/** Saves a yarn over the revision it started from. */
export default saveOn(YARNS)
