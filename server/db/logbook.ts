import type Database from 'better-sqlite3'
import { FACTS_VERSION } from '../../core/making/log/facts'
import type { BagFacts } from '../../core/making/log/bagFacts'
import type { Sitting } from '../../core/making/log/workedRounds'
import type { Progress } from '../../core/making/make/plan'
import { type LogbookEntry, logbookEntryOf } from '../../core/making/log/logbookEntry'
import { photoText } from './photoText'

/** A bag of the logbook's list: what it tells, as far as that is worked out. */
interface LogListed {
  readonly id: string
  readonly name: string
  readonly createdAt: string
  readonly updatedAt: string
  readonly photo: boolean
  readonly listed: LogbookEntry | null
}

/** A make whose facts are not those of its last event. */
interface Behind {
  readonly id: string
}

/** A make as orders look at it: how far it is, when it was finished, and the sittings at it. */
interface MakeAsSeen {
  readonly id: string
  readonly name: string
  readonly bag?: string
  readonly share: number
  readonly finished?: number
  readonly sittings: readonly Sitting[]
}

/** The statements of what the makes tell, prepared once. */
export interface Logbook {
  readonly list: () => LogListed[]
  readonly facts: (id: string) => BagFacts | undefined
  /** The same as JSON, as it is kept. */
  readonly factsText: (id: string) => string | undefined
  /** Whether what is known of a make is of its last event. */
  readonly isUpToDate: (id: string) => boolean
  readonly allFacts: () => BagFacts[]
  /** Every make as orders look at it, those finished first before those finished later or not at all. */
  readonly seen: () => MakeAsSeen[]
  readonly keepFacts: (id: string, upTo: number, facts: FactTexts) => void
  readonly behind: () => Behind[]
  readonly photo: (id: string) => Buffer | undefined
  readonly photoAsText: (id: string) => string | undefined
  readonly keepPhoto: (id: string, jpeg: Uint8Array) => void
  readonly dropPhoto: (id: string) => boolean
  /** Changes whenever any facts do, or a bag is thrown away. */
  readonly mark: () => string
}

/** The facts of a make as they are kept: as JSON, written out where they were worked out. */
export interface FactTexts {
  readonly version: number
  readonly listed: string
  readonly facts: string
  readonly progress: string
}

/** Writes the facts of a make out. */
export function factTexts(facts: BagFacts): FactTexts {
  const { version, words, share, finished, rounds: { done, planned } } = facts
  return {
    version, listed: JSON.stringify(logbookEntryOf(facts)), facts: JSON.stringify(facts),
    progress: JSON.stringify({ round: done, of: planned, share, words, ...(finished ? { finished: true } : {}) } satisfies Progress),
  }
}

interface LogRow {
  id: string
  name: string
  created_at: string
  updated_at: string
  photo: number
  listed: string | null
}

/** Facts of the kept makes. */
export function logbookIn(db: Database.Database): Logbook {
  const list = db.prepare<[], LogRow>(
    'SELECT makes.id, makes.name, created_at, updated_at, listed, make_photos.make IS NOT NULL AS photo FROM makes '
    + 'LEFT JOIN make_facts ON make_facts.make = makes.id LEFT JOIN make_photos ON make_photos.make = makes.id '
    + 'WHERE removed_at IS NULL ORDER BY updated_at DESC, makes.rowid DESC',
  )
  const facts = db.prepare<[string], string>(
    'SELECT facts FROM make_facts JOIN makes ON makes.id = make WHERE make = ? AND removed_at IS NULL',
  ).pluck()
  const all = db.prepare<[], string>(
    'SELECT facts FROM make_facts JOIN makes ON makes.id = make WHERE removed_at IS NULL ORDER BY created_at, makes.rowid',
  ).pluck()
  const upToDate = db.prepare<[string, number]>(
    'SELECT 1 FROM make_facts WHERE make = ? AND version = ? '
    + 'AND up_to = (SELECT max(number) FROM make_events WHERE make_events.make = make_facts.make)',
  )
  const behind = db.prepare<[number], Behind>(
    'SELECT makes.id FROM makes LEFT JOIN make_facts ON make_facts.make = makes.id AND version = ? WHERE removed_at IS NULL '
    + 'AND coalesce(up_to, 0) < (SELECT max(number) FROM make_events WHERE make_events.make = makes.id)',
  )
  const keep = db.prepare<[number, number, string, string, string]>(
    'INSERT OR REPLACE INTO make_facts (make, up_to, version, listed, facts) SELECT id, ?, ?, ?, ? FROM makes WHERE id = ?',
  )
  const knowProgress = db.prepare<[string, string]>('UPDATE makes SET progress = ? WHERE id = ? AND progress IS NULL')
  const seen = db.prepare<[], { id: string, name: string, bag: string | null, share: number, finished: number | null, sittings: string }>(
    'SELECT makes.id, makes.name, json_extract(facts, \'$.bag\') AS bag, json_extract(facts, \'$.share\') AS share, '
    + 'json_extract(facts, \'$.finished\') AS finished, json_extract(facts, \'$.sittings\') AS sittings '
    + 'FROM make_facts JOIN makes ON makes.id = make WHERE removed_at IS NULL ORDER BY finished IS NULL, finished, created_at, makes.rowid',
  )
  const photo = db.prepare<[string], Buffer>('SELECT jpeg FROM make_photos WHERE make = ?').pluck()
  const keepPhoto = db.prepare<[string, Uint8Array, string]>('INSERT OR REPLACE INTO make_photos (make, jpeg, added_at) VALUES (?, ?, ?)')
  const dropPhoto = db.prepare<[string]>('DELETE FROM make_photos WHERE make = ?')
  const mark = db.prepare<[], string>(
    'SELECT count(*) || \'.\' || coalesce(sum(up_to), 0) || \'.\' || coalesce(max(removed_at), \'\') FROM makes '
    + 'LEFT JOIN make_facts ON make_facts.make = makes.id',
  ).pluck()
  return {
    list: () => list.all().map(row => ({
      id: row.id, name: row.name, createdAt: row.created_at, updatedAt: row.updated_at, photo: row.photo === 1,
      listed: row.listed === null ? null : (JSON.parse(row.listed) as LogbookEntry),
    })),
    factsText: id => facts.get(id),
    facts: (id) => {
      const text = facts.get(id)
      return text === undefined ? undefined : (JSON.parse(text) as BagFacts)
    },
    isUpToDate: id => upToDate.get(id, FACTS_VERSION) !== undefined, allFacts: () => all.all().map(text => JSON.parse(text) as BagFacts),
    seen: () => seen.all().map(({ id, name, bag, share, finished, sittings }) => ({
      id, name, share, ...(bag === null ? {} : { bag }), ...(finished === null ? {} : { finished }),
      sittings: JSON.parse(sittings) as Sitting[],
    })),
    keepFacts: (id, upTo, { version, listed, facts: told, progress }) => {
      keep.run(upTo, version, listed, told, id)
      // What came from elsewhere before its progress was worked out on the way in.
      knowProgress.run(progress, id)
    },
    behind: () => behind.all(FACTS_VERSION), photo: id => photo.get(id),
    photoAsText: (id) => {
      const jpeg = photo.get(id)
      return jpeg && photoText(jpeg)
    },
    keepPhoto: (id, jpeg) => void keepPhoto.run(id, jpeg, new Date().toISOString()), dropPhoto: id => dropPhoto.run(id).changes === 1,
    mark: () => mark.get()!,
  }
}
