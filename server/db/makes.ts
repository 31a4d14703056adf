import type Database from 'better-sqlite3'
import type { MakeEvent } from '../../core/making/make/event'
import { stateOf } from '../../core/making/make/fold'
import type { Progress } from '../../core/making/make/plan'
import { storedEvent } from '../../core/making/make/storedEvent'
import { type Trash, trashIn } from './trash'

/** A make in the list: what it is called, and how far it is. */
export interface MakeListed {
  readonly id: string
  readonly name: string
  readonly progress: Progress | null
  readonly createdAt: string
  readonly updatedAt: string
}

/** Events of a make from a number on, and the number of the last one. */
interface EventsFrom {
  readonly events: readonly MakeEvent[]
  readonly upTo: number
}

/** The statements of the two tables of makes, prepared once. Devices are told of a make that was deleted. */
export interface Makes extends Trash {
  readonly list: () => MakeListed[]
  readonly find: (id: string) => MakeListed | undefined
  readonly eventsAfter: (id: string, number: number) => EventsFrom
  /** Every event of a make, and the number of the last. */
  readonly allEvents: (id: string) => EventsFrom
  /** Whether an event is kept, of whatever make. */
  readonly hasEvent: (event: string) => boolean
  /** Keeps events, each once however often it is sent; false if there is no such make and none of them takes one up. */
  readonly keep: (id: string, events: readonly MakeEvent[], progress?: Progress) => boolean
  /** Whether there was such a make, and it was thrown away. */
  readonly wasRemoved: (id: string) => boolean
}

interface MakeRow {
  id: string
  name: string
  progress: string | null
  created_at: string
  updated_at: string
}

function eventsOf(rows: readonly { readonly event: string }[]): MakeEvent[] {
  return rows.map(({ event }) => storedEvent(JSON.parse(event) as MakeEvent))
}

function listed(row: MakeRow): MakeListed {
  return {
    id: row.id, name: row.name, progress: row.progress === null ? null : (JSON.parse(row.progress) as Progress), createdAt: row.created_at,
    updatedAt: row.updated_at,
  }
}

/** So many events are answered at once; who wants more asks again. */
const MOST_ANSWERED = 5_000

/** The makes that are kept. */
export function makesIn(db: Database.Database): Makes {
  const columns = 'id, name, progress, created_at, updated_at'
  const list = db.prepare<[], MakeRow>(`SELECT ${columns} FROM makes WHERE removed_at IS NULL ORDER BY updated_at DESC, rowid DESC`)
  const find = db.prepare<[string], MakeRow>(`SELECT ${columns} FROM makes WHERE id = ? AND removed_at IS NULL`)
  const begin = db.prepare<[string, string, string | null, string, string]>(
    'INSERT INTO makes (id, name, bag, created_at, updated_at) VALUES (?, ?, ?, ?, ?)',
  )
  const touch = db.prepare<[string, string | null, string]>(
    'UPDATE makes SET updated_at = ?, progress = coalesce(?, progress) WHERE id = ?',
  )
  const insert = db.prepare<[string, string, string]>(
    'INSERT INTO make_events (make, id, event) VALUES (?, ?, ?) ON CONFLICT (make, id) DO NOTHING',
  )
  const after = db.prepare<[string, number, number], { number: number, event: string }>(
    'SELECT number, event FROM make_events WHERE make = ? AND number > ? ORDER BY number LIMIT ?',
  )
  const hasEvent = db.prepare<[string]>(
    'SELECT 1 FROM make_events JOIN makes ON makes.id = make_events.make WHERE make_events.id = ? AND makes.removed_at IS NULL',
  )
  const trash = trashIn(db, 'makes')
  const bury = db.prepare<[string, string]>('INSERT OR REPLACE INTO makes_removed (id, removed_at) VALUES (?, ?)')
  const buried = db.prepare<[{ id: string }]>(
    'SELECT 1 FROM makes_removed WHERE id = @id UNION ALL SELECT 1 FROM makes WHERE id = @id AND removed_at IS NOT NULL',
  )

  const keep = db.transaction((id: string, events: readonly MakeEvent[], progress?: Progress): boolean => {
    const now = new Date().toISOString()
    if (!find.get(id)) {
      if (buried.get({ id })) return false
      const { plan, bag } = stateOf(events)
      if (!plan) return false
      begin.run(id, plan.name, bag ?? null, now, now)
    }
    let fresh = 0
    for (const event of events) fresh += insert.run(id, event.id, JSON.stringify(event)).changes
    if (fresh > 0 || progress) touch.run(now, progress ? JSON.stringify(progress) : null, id)
    return true
  })

  return {
    keep,
    list: () => list.all().map(listed),
    find: (id) => {
      const row = find.get(id)
      return row && listed(row)
    },
    eventsAfter: (id, number) => {
      const rows = after.all(id, number, MOST_ANSWERED)
      return { events: eventsOf(rows), upTo: rows.at(-1)?.number ?? number }
    },
    allEvents: (id) => {
      const rows = after.all(id, 0, -1)
      return { events: eventsOf(rows), upTo: rows.at(-1)?.number ?? 0 }
    },
    hasEvent: event => hasEvent.get(event) !== undefined,
    ...trash,
    forget: db.transaction((id: string) => {
      const there = trash.forget(id)
      if (there) bury.run(id, new Date().toISOString())
      return there
    }),
    wasRemoved: id => buried.get({ id }) !== undefined,
  }
}
