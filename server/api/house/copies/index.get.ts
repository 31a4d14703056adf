import { barredFor, databasePath } from '../../../db/connection'
import { copiesFolder, copiesOf, MOST_COPIES } from '../../../house/copies'

/** The copies of everything that there are. */
export default defineEventHandler(() => ({
  copies: copiesOf(databasePath()), most: MOST_COPIES, folder: copiesFolder(databasePath()), barred: barredFor()?.words,
}))
