import { asCsv } from '../words/asCsv'
import { exported } from './kind'

/** A line a round, for spreadsheets. */
export const table = exported({ as: 'csv', name: 'Rounds as a table', type: 'text/csv', extension: 'csv', write: asCsv })
