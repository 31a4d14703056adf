import { database, databasePath } from '../../../db/connection'
import { copiesOf } from '../../../library/copies'
import { returnTo } from '../../../library/startRecords'
import { refuseUnknown } from '../../../requests/refuse'
import { drawMissing } from '../../../jobs/portraits'

/** Returns everything to a copy; what there is now is copied first. */
export default defineEventHandler(async (event) => {
  database()
  const copy = copiesOf(databasePath()).find(({ name }) => name === getRouterParam(event, 'name')) ?? refuseUnknown('copy')
  const kept = await returnTo(copy.name, new Date())
  drawMissing()
  return { kept }
})
