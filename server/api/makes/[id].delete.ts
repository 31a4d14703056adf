import { makes } from '../../db/repositories'
import { removeFrom } from '../../requests/documentRoutes'

/** Deletes a make, with all that happened to it. */
export default removeFrom({ what: 'make', kept: makes })
