import { calibrationOf } from '../../core/making/log/calibration'
import { bagCsv, bagsCsv } from '../../core/making/log/csv'
import { logbookDocument } from '../../core/making/log/document'
import { bagFacts } from '../../core/making/log/facts'
import type { Skill } from '../../core/making/log/skill'
import { skillFromBags } from '../../core/making/log/skillFromBags'
import { gaugeOffers } from '../../core/making/log/gaugeOffers'
import { overTime } from '../../core/making/log/overTime'
import { makeDocument } from '../../core/making/make/document'
import { factTexts, type FactTexts, type Logbook, logbookIn } from '../db/logbook'
import { type Makes, makesIn } from '../db/makes'
import { looking } from './recordsConnection'

/*
 * Facts and skill, read and reckoned by a worker: years of taps are too much for the thread that answers.
 */

/** The maker's hands as all makes have taught them, and the answer as JSON. */
export interface SkillAnswer {
  readonly hands: Skill
  readonly text: string
}

/** The facts of a make, up to which of its events; nothing of one that was never taken up. The server keeps it: it alone writes often. */
export async function factsFound({ path, id }: { readonly path: string, readonly id: string }):
Promise<{ readonly upTo: number, readonly texts: FactTexts } | undefined> {
  const { events, upTo } = await looking(path, db => makesIn(db).allEvents(id))
  const facts = bagFacts(events)
  return facts && { upTo, texts: factTexts(facts) }
}

/** Works out the hands from all makes. */
export async function skillIn({ path }: { readonly path: string }): Promise<SkillAnswer> {
  const bags = await looking(path, db => logbookIn(db).allFacts())
  const hands = skillFromBags(bags)
  return {
    hands, text: JSON.stringify({ hands, offers: gaugeOffers(hands), calibration: calibrationOf(bags), overTime: overTime(bags) }),
  }
}

/** A file of the logbook. */
interface LogbookFile {
  readonly name: string
  readonly body: Uint8Array
}

/** Which file is wanted: of all bags, or of one. */
interface LogbookWish {
  readonly path: string
  readonly as: 'json' | 'csv'
  readonly bag?: string
}

function ofAll(makes: Makes, logbook: Logbook, as: LogbookWish['as']): string {
  if (as === 'csv') return bagsCsv(logbook.allFacts())
  const all = makes.list().map(({ id, name }) => makeDocument(name, makes.allEvents(id).events, logbook.photoAsText(id)))
  return written(logbookDocument(all))
}

function written(document: unknown): string {
  return JSON.stringify(document, null, 2) + '\n'
}

/** The logbook as a file, or one bag of it; nothing if there is no such bag. */
export function logbookFile({ path, as, bag }: LogbookWish): Promise<LogbookFile | undefined> {
  const file = (name: string, text: string): LogbookFile => ({ name, body: new TextEncoder().encode(text) })
  return looking(path, (db) => {
    const [makes, logbook] = [makesIn(db), logbookIn(db)]
    if (bag === undefined) return file('Logbook', ofAll(makes, logbook, as))
    const make = makes.find(bag)
    if (!make) return undefined
    if (as === 'json') return file(make.name, written(makeDocument(make.name, makes.allEvents(bag).events, logbook.photoAsText(bag))))
    const facts = logbook.facts(bag)
    return file(make.name, facts ? bagCsv(facts) : '')
  })
}
