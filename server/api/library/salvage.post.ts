import { basename } from 'node:path'
import { barredFor } from '../../db/connection'
import { startFromCopy } from '../../library/startRecords'
import { drawMissing } from '../../jobs/portraits'

/** Starts from the last good copy, the records being damaged. */
export default defineEventHandler(async () => {
  if (barredFor()?.code !== 'corrupt') throw createError({ statusCode: 409, message: 'The records are sound: there is nothing to mend.' })
  const salvaged = await startFromCopy(new Date())
  drawMissing()
  return { ...salvaged, broken: basename(salvaged.broken) }
})
