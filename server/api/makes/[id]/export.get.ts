import { databasePath } from '../../../db/connection'
import { makes } from '../../../db/repositories'
import { refuseUnknown } from '../../../requests/refuse'
import { sendFile } from '../../../requests/sendFile'
import { runJob } from '../../../jobs/workerPool'

/** A make as an open document, to keep or to bring in elsewhere. */
export default defineEventHandler(async (event) => {
  const id = getRouterParam(event, 'id')!
  if (!makes().find(id)) refuseUnknown('make')
  const file = await runJob('logbook', { path: databasePath(), as: 'json', bag: id }) ?? refuseUnknown('make')
  return sendFile(event, file.name, { body: file.body, type: 'application/json', extension: 'make.json' })
})
