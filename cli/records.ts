import { resolve } from 'node:path'
import { RecordsTrouble, troubleOf } from '../server/db/trouble'

/** Where the records are, as the server finds them. */
export function recordsPath(): string {
  return resolve(process.env.FAIR_HOLLOW_DB || 'data/fair-hollow.sqlite')
}

/** Ends the command with a sentence for the person who called it. */
export function ended(why: unknown): never {
  const trouble = typeof why === 'string' ? why : (troubleOf(why, recordsPath()) ?? why)
  const words = typeof trouble === 'string' ? trouble : trouble instanceof RecordsTrouble ? trouble.words : (trouble as Error).message
  process.stderr.write(`${words}\n`)
  process.exit(2)
}
