import { shelfTable } from '../../../core/household/shelf/table'
import { yarns } from '../../db/repositories'
import { asked, ShelfQuery } from '../../requests/requestShapes'
import { sendFile } from '../../requests/sendFile'

/** The whole shelf as a file: a table, or the open documents in one. */
export default defineEventHandler((event) => {
  const { as } = asked(ShelfQuery, getQuery(event))
  const all = yarns().list().flatMap(({ document, unreadable }) => (unreadable ? [] : [document]))
  if (as === 'csv') return sendFile(event, 'Yarn shelf', { body: shelfTable(all), type: 'text/csv', extension: 'csv' })
  const body = `${JSON.stringify({ fairHollow: 'yarn-shelf', version: 1, yarns: all }, null, 2)}\n`
  return sendFile(event, 'Yarn shelf', { body, type: 'application/json', extension: 'yarn-shelf.json' })
})
