import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { newDesign } from '../core/bag/design/starter'
import { bagFacts } from '../core/making/log/facts'
import { skillFromBags } from '../core/making/log/skillFromBags'
import type { MakeEvent } from '../core/making/make/event'
import { factTexts, logbookIn } from '../server/db/logbook'
import { makesIn } from '../server/db/makes'
import { migrate } from '../server/db/migrate'

/**
 * `npm run bench:logbook`: a logbook of 500 makes with 300,000 events: its list, a bag's page, what the hands have taught, and what a make
 * tells worked out anew, each beside a bare query of the same rows.
 */

/** The tables' changes, read as they lie in their folder. */
const MIGRATIONS = readdirSync('server/db/migrations').filter(file => file.endsWith('.sql')).sort()
  .map((file, i) => ({ number: i + 1, sql: readFileSync(join('server/db/migrations', file), 'utf8') }))

const MAKES = 500
const EVENTS = 600

function median(work: () => unknown, times = 15): number {
  const all = Array.from({ length: times }, () => {
    const from = performance.now()
    work()
    return performance.now() - from
  }).sort((a, b) => a - b)
  return all[times >> 1]!
}

/** A make of so many taps, a round of the pouch in every few. */
function events(make: number): MakeEvent[] {
  const at = Date.UTC(2024, 0, 1, 18) + make * 86_400_000
  const list: MakeEvent[] = [{ id: `${make}.0`, turn: 1, at, do: 'started', plan: newDesign(`Pouch ${make}`) }]
  for (let i = 1; i < EVENTS; i++) {
    const round = Math.ceil(i / 15)
    const beats = i % 15 === 0 ? ('all' as const) : i % 15
    const to = { leg: `r${round}`, beats }
    list.push({ id: `${make}.${i}`, turn: i + 1, at: at + i * 12_000, do: 'moved', to, after: [`${make}.${i - 1}`] })
  }
  return list
}

const folder = mkdtempSync(join(tmpdir(), 'fair-hollow-bench-'))
try {
  const db = new Database(join(folder, 'book.sqlite'))
  db.pragma('journal_mode = WAL')
  db.pragma('foreign_keys = ON')
  migrate(db, MIGRATIONS)
  const [makes, logbook] = [makesIn(db), logbookIn(db)]
  let learning = 0
  for (let make = 0; make < MAKES; make++) {
    makes.keep(String(make), events(make))
    const { events: own, upTo } = makes.allEvents(String(make))
    const from = performance.now()
    const facts = bagFacts(own)!
    learning += performance.now() - from
    logbook.keepFacts(String(make), upTo, factTexts(facts))
  }
  const count = db.prepare('SELECT count(*) FROM make_events').pluck().get() as number
  const bareList = db.prepare('SELECT listed FROM make_facts').pluck()
  const bareFacts = db.prepare('SELECT facts FROM make_facts WHERE make = ?').pluck()
  const [list, listBare] = [median(() => JSON.stringify(logbook.list())), median(() => bareList.all())]
  const [page, pageBare] = [median(() => JSON.stringify(logbook.facts('250'))), median(() => bareFacts.get('250'))]
  const anew = median(() => bagFacts(makes.allEvents('250').events))
  const hands = median(() => skillFromBags(logbook.allFacts()), 5)
  const ms = (value: number) => `${value.toFixed(2)} ms`
  process.stdout.write([
    `${MAKES} makes, ${count.toLocaleString('en')} events`,
    `the list                    ${ms(list)}, ${(list / listBare).toFixed(1)} times a bare query (goal: 200 ms)`,
    `a bag's page, as it is kept ${ms(page)}, ${(page / pageBare).toFixed(1)} times a bare query (goal: 300 ms)`,
    `a bag's page, worked out anew from its events ${ms(anew)} (goal: 300 ms)`,
    `what the hands have taught, from all of them ${ms(hands)}`,
    `what a make tells, worked out ${ms(learning / MAKES)} on average`, '',
  ].join('\n'))
}
finally {
  rmSync(folder, { recursive: true })
}
