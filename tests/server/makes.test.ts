import Database from 'better-sqlite3'
import { describe, expect, it } from 'vitest'
import { newDesign } from '../../core/bag/design/starter'
import type { Deed, MakeEvent } from '../../core/making/make/event'
import { afterAll, eventOf, MakeLog, stateOf } from '../../core/making/make/fold'
import { undoing } from '../../core/making/make/undo'
import { makeDocument } from '../../core/making/make/document'
import { readEvents, readMake } from '../../core/making/make/read'
import { makesIn } from '../../server/db/makes'
import { migrate } from '../../server/db/migrate'
import { MIGRATIONS } from '../../server/db/migrations'

function house() {
  const db = new Database(':memory:')
  db.pragma('foreign_keys = ON')
  migrate(db, MIGRATIONS)
  return { db, makes: makesIn(db) }
}

/** A make with a few moves, a count, a note and a taking back. */
function someEvents(): MakeEvent[] {
  const log = new MakeLog()
  let n = 0
  const happen = (deed: Deed) => log.add([eventOf(log, deed, { id: `a.${n++}`, at: 1_700_000_000_000 + n * 1000 })])
  happen({ do: 'started', plan: newDesign('Test bag') })
  for (let beats = 1; beats < 6; beats++) happen({ do: 'moved', to: { leg: 'r1', beats }, ...afterAll(log) })
  happen({ do: 'moved', to: { leg: 'r1', beats: 'all' }, ...afterAll(log) })
  happen({ do: 'counted', round: 1, planned: 6, found: 7, choice: 'next-round', to: 6 })
  happen({ do: 'measured', round: 1, what: 'base-width', cm: 2.5 })
  happen({ do: 'weighed', yarn: 'main', grams: 42.5 })
  happen({ do: 'weighed', yarn: 'main', grams: 12, of: 'work', round: 1 })
  happen({ do: 'leaned', round: 1, perTen: -1.5 })
  happen({ do: 'stretched', round: 1, strip: { beforeCm: 20, afterCm: 23, widthCm: 3, kg: 1 } })
  happen({ do: 'looked', round: 1, lies: 'cups' })
  happen({ do: 'wrote', forWhom: 'Wren', hookMm: 4.5, notes: '' })
  happen({ do: 'noted', text: 'the cat sat on it', where: { leg: 'r1', beats: 3 }, marker: true })
  happen(undoing(log)!)
  happen({ do: 'ripped', toRound: 0, ...afterAll(log) })
  happen({ do: 'replanned', plan: newDesign('Test bag, wider'), why: 'wider' })
  happen({ do: 'paused' })
  happen({ do: 'goneOn' })
  happen({ do: 'finished' })
  return [...log.events]
}

describe('the open document of a make', () => {
  it('comes back as it was written, every sort of event', () => {
    const document = makeDocument('Test bag', someEvents())
    expect(readMake(JSON.parse(JSON.stringify(document)))).toEqual({ ok: true, document })
    expect(new Set(document.events.map(event => event.do)).size).toBe(16)
  })

  it.each([
    ['no list', 'nothing', 'events'],
    ['no object in it', [3], 'events.0'],
    ['an unknown deed', [{ id: 'a', turn: 1, at: 1, do: 'baked' }], 'events.0.do'],
    ['a field too many', [{ id: 'a', turn: 1, at: 1, do: 'paused', why: 'tea' }], 'events.0.why'],
    ['an id with spaces', [{ id: 'a b', turn: 1, at: 1, do: 'paused' }], 'events.0.id'],
    ['beats that are no number', [{ id: 'a', turn: 1, at: 1, do: 'moved', to: { leg: 'r1', beats: 'some' } }], 'events.0.to.beats'],
    ['a broken plan', [{ id: 'a', turn: 1, at: 1, do: 'started', plan: { fairHollow: 'design', version: 2 } }], 'events.0.plan.name'],
    ['two of one id', [{ id: 'a', turn: 1, at: 1, do: 'paused' }, { id: 'a', turn: 2, at: 1, do: 'goneOn' }], 'events.1.id'],
  ])('refuses %s, naming the field', (_, events, field) => {
    const reading = readEvents(events)
    expect(reading.ok).toBe(false)
    if (!reading.ok) expect(reading.problems.map(problem => problem.field)).toContain(field)
  })

  it('refuses a make that was never taken up', () => {
    expect(readMake({ ...makeDocument('Bag', []), events: [] }).ok).toBe(false)
  })
})

describe('makes on the server', () => {
  it('keeps an event once however often it is sent, and answers what others did', () => {
    const { makes } = house()
    const events = someEvents()
    expect(makes.keep('one', events.slice(0, 6))).toBe(true)
    expect(makes.keep('one', events.slice(3))).toBe(true)
    expect(makes.keep('one', events)).toBe(true)
    const { events: all, upTo } = makes.eventsAfter('one', 0)
    expect(all).toHaveLength(events.length)
    expect(stateOf(all)).toEqual(stateOf(events))
    expect(makes.eventsAfter('one', upTo)).toEqual({ events: [], upTo })
    expect(makes.eventsAfter('one', upTo - 2).events).toHaveLength(2)
  })

  it('begins a make only with the event that takes a bag up', () => {
    const { makes } = house()
    expect(makes.keep('two', someEvents().slice(1, 4))).toBe(false)
    expect(makes.list()).toEqual([])
    expect(makes.keep('two', someEvents().slice(0, 1), { round: 0, of: 9, share: 0, words: 'Base' })).toBe(true)
    expect(makes.list()).toMatchObject([{ id: 'two', name: 'Test bag', progress: { of: 9 } }])
    // A device that does not say how far it is leaves what is known.
    expect(makes.keep('two', someEvents().slice(1, 3))).toBe(true)
    expect(makes.list()).toMatchObject([{ progress: { of: 9 } }])
    expect(makes.keep('two', [], { round: 1, of: 9, share: 0.1, words: 'Round 1' })).toBe(true)
    expect(makes.list()).toMatchObject([{ progress: { round: 1 } }])
  })

  it('never changes an event, not even by hand, and drops them with their make', () => {
    const { db, makes } = house()
    makes.keep('three', someEvents())
    expect(() => db.exec('UPDATE make_events SET event = \'{}\'')).toThrow('never changed')
    const [first] = someEvents()
    makes.keep('three', [{ ...first!, do: 'paused' } as MakeEvent])
    expect(makes.eventsAfter('three', 0).events[0]).toMatchObject({ do: 'started' })
    expect(makes.remove('three')).toBe(true)
    // It lies aside, all of it, and comes back as it was.
    expect(makes.wasRemoved('three')).toBe(true)
    expect(makes.list().map(({ id }) => id)).not.toContain('three')
    expect(makes.bringBack('three')).toBe(true)
    expect(makes.wasRemoved('three')).toBe(false)
    expect(makes.remove('three')).toBe(true)
    expect(makes.forget('three')).toBe(true)
    expect(db.prepare('SELECT count(*) AS n FROM make_events').get()).toEqual({ n: 0 })
    expect(makes.remove('three')).toBe(false)
    // What was thrown away is not brought back by a device that still has it.
    expect(makes.wasRemoved('three')).toBe(true)
    expect(makes.keep('three', someEvents())).toBe(false)
    expect(makes.wasRemoved('never')).toBe(false)
  })
})
