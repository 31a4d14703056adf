import { saveOn } from '../../requests/shelved'
import { YARNS } from '../../requests/shelves'

/** Saves a yarn over the revision it started from. */
export default saveOn(YARNS)
