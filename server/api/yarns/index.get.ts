import { listOf } from '../../requests/shelved'
import { YARNS } from '../../requests/shelves'

/** Every yarn, the last changed first. */
export default listOf(YARNS)
