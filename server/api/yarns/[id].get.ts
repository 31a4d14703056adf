import { oneOf } from '../../requests/shelved'
import { YARNS } from '../../requests/shelves'

/** One yarn. */
export default oneOf(YARNS)
