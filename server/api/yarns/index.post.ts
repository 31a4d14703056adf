import { addTo } from '../../requests/shelved'
import { YARNS } from '../../requests/shelves'

/** Keeps a new yarn: one just started, or an open document brought in. */
export default addTo(YARNS)
