import { barredFor, database, databasePath } from '../../../db/connection'
import { brokenTexts } from '../../../db/unreadableRows'
import { copiesFolder, copiesOf, mostCopyBytes } from '../../../library/copies'
import { KEPT } from '../../../library/retention'

/** The copies of everything that there are, how they are kept, and what of the records was found broken. */
export default defineEventHandler(() => {
  const path = databasePath()
  const copies = copiesOf(path)
  return {
    copies, kept: KEPT, bytes: copies.reduce((sum, { bytes }) => sum + bytes, 0), mostBytes: mostCopyBytes(), folder: copiesFolder(path),
    barred: barredFor()?.words, isDamaged: barredFor()?.code === 'corrupt', broken: barredFor() ? [] : brokenTexts(database()),
  }
})
