import { databasePath } from '../../db/connection'
import { makes } from '../../db/repositories'
import { asked, LogbookQuery } from '../../requests/requestShapes'
import { refuseUnknown } from '../../requests/refuse'
import { sendFile } from '../../requests/sendFile'
import { factsOf } from '../../jobs/factsQueue'
import { runJob } from '../../jobs/workerPool'

const KINDS = {
  csv: { type: 'text/csv; charset=utf-8', extension: 'csv' }, json: { type: 'application/json', extension: 'make.json' },
  all: { type: 'application/json', extension: 'logbook.json' },
}

/** The logbook as a file: whole, or one bag of it; as open documents, or as a table. */
export default defineEventHandler(async (event) => {
  const { as, bag } = asked(LogbookQuery, getQuery(event))
  if (bag !== '') {
    if (!makes().find(bag)) refuseUnknown('make')
    if (as === 'csv') await factsOf(bag)
  }
  const file = await runJob('logbook', { path: databasePath(), as, ...(bag === '' ? {} : { bag }) }) ?? refuseUnknown('make')
  const kind = KINDS[as === 'json' && bag === '' ? 'all' : as]
  return sendFile(event, file.name, { body: file.body, ...kind })
})
