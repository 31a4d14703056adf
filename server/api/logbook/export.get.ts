import { bagCsv, bagsCsv } from '../../../core/log/csv'
import { logbookDocument } from '../../../core/log/document'
import { makeDocument } from '../../../core/make/document'
import { logbook, makes } from '../../db/shelves'
import { asked, LogbookQuery } from '../../requests/asked'
import { refuseUnknown } from '../../requests/refuse'
import { sendDocument, sendFile } from '../../requests/sendFile'
import { factsOf } from '../../workshop/lessons'

const CSV = { type: 'text/csv', extension: 'csv' }

/** The logbook as a file: whole, or one bag of it; as open documents, or as a table. */
export default defineEventHandler(async (event) => {
  const { as, bag } = asked(LogbookQuery, getQuery(event))
  if (bag === '') {
    if (as === 'csv') return sendFile(event, 'Logbook', { body: bagsCsv(logbook().allFacts()), ...CSV })
    const all = makes().list().map(({ id, name }) => makeDocument(name, makes().allEvents(id).events, logbook().photoAsText(id)))
    return sendDocument(event, logbookDocument(all))
  }
  const make = makes().find(bag) ?? refuseUnknown('make')
  if (as === 'json') return sendDocument(event, makeDocument(make.name, makes().allEvents(bag).events, logbook().photoAsText(bag)))
  const facts = await factsOf(bag)
  return sendFile(event, make.name, { body: facts ? bagCsv(facts) : '', ...CSV })
})
