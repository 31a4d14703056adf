import { removeFrom } from '../../requests/shelved'
import { YARNS } from '../../requests/shelves'

/** Throws a yarn away. */
export default removeFrom(YARNS)
