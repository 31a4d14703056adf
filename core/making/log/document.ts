import { isObject, type Problem, type Reading, refuse } from '../../bag/design/read'
import type { MakeDocument } from '../make/document'
import { readMake } from '../make/read'

/** Version of the open logbook document that this program writes. */
const LOGBOOK_VERSION = 1

/** A logbook as an open document: the makes in it, each a document of its own. */
export interface LogbookDocument {
  readonly fairHollow: 'logbook'
  readonly version: typeof LOGBOOK_VERSION
  readonly name: string
  readonly makes: readonly MakeDocument[]
}

/** More bags than this no logbook has. */
export const MOST_MAKES = 5_000

/** Makes as one open document. */
export function logbookDocument(makes: readonly MakeDocument[]): LogbookDocument {
  return { fairHollow: 'logbook', version: LOGBOOK_VERSION, name: 'Logbook', makes }
}

/** Reads a logbook from what a file held; a single make is a logbook of one. All makes are sound, or nothing is taken. */
export function readLogbook(input: unknown): Reading<LogbookDocument> {
  if (isObject(input) && input.fairHollow === 'make') return readLogbook({ ...logbookDocument([]), makes: [input] })
  if (!isObject(input) || input.fairHollow !== 'logbook')
    return refuse('fairHollow', 'this is no Fair Hollow logbook: its "fairHollow" field must say "logbook" or "make"')
  if (typeof input.version === 'number' && input.version > LOGBOOK_VERSION)
    return refuse('version', `is ${String(input.version)}, from a later version of this program; open it there and export it anew`)
  if (!Array.isArray(input.makes)) return refuse('makes', 'must be a list of makes')
  if (input.makes.length > MOST_MAKES) return refuse('makes', `must hold at most ${MOST_MAKES} makes`)
  const makes: MakeDocument[] = []
  for (const [i, make] of input.makes.entries()) {
    const reading = readMake(make)
    if (!reading.ok) return { ok: false, problems: reading.problems.map((one): Problem => ({ ...one, field: `makes.${i}.${one.field}` })) }
    makes.push(reading.document)
  }
  return { ok: true, document: logbookDocument(makes) }
}
