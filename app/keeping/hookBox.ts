import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import { inOrder, type MakeEvent } from '~~/core/make/event'
import type { Progress } from '~~/core/make/plan'
import { opening } from './newId'

/*
 * What this device keeps of makes, so that the hook goes on without a network: every event, and which of them the server does not have
 * yet. A tap is written down at once where the browser writes without waiting (localStorage), and from there goes into the database;
 * so nothing is lost between the two, whenever the page is closed.
 */

/** A make as this device knows it. */
export interface KeptMake {
  readonly id: string
  readonly name: string
  readonly progress: Progress | null
  /** The number of the last event that the server told of. */
  readonly upTo: number
  readonly updatedAt: string
}

interface QueuedEvent {
  readonly make: string
  readonly event: MakeEvent
}

/** An event that waits to be sent, by its place in the queue. */
export interface Queued extends QueuedEvent {
  readonly seq: number
}

interface Box extends DBSchema {
  makes: { key: string, value: KeptMake }
  events: { key: [string, string], value: QueuedEvent, indexes: { make: string } }
  queue: { key: number, value: QueuedEvent & { seq?: number }, indexes: { make: string } }
}

let opened: Promise<IDBPDatabase<Box>> | undefined

function box(): Promise<IDBPDatabase<Box>> {
  return opened ??= openDB<Box>('fair-hollow-hook', 1, {
    upgrade(db) {
      db.createObjectStore('makes', { keyPath: 'id' })
      db.createObjectStore('events', { keyPath: ['make', 'event.id'] }).createIndex('make', 'make')
      db.createObjectStore('queue', { keyPath: 'seq', autoIncrement: true }).createIndex('make', 'make')
    },
  })
}

/** What was written down at once, by each opening of the page under a key of its own. */
const PENDING = 'fair-hollow.pending.'
const OWN = PENDING + opening

/** What this page wrote down and the database does not have yet. */
let pending: readonly QueuedEvent[] = []

function setPending(list: readonly QueuedEvent[]): void {
  pending = list
  try {
    if (list.length === 0) localStorage.removeItem(OWN)
    else localStorage.setItem(OWN, JSON.stringify(list))
  }
  catch {
    // A browser that keeps nothing here still has its database.
  }
}

/** What earlier openings of the page wrote down and could not bring into the database before they were closed. */
function leftBehind(): { readonly key: string, readonly text: string }[] {
  return Object.keys(localStorage)
    .filter(key => key.startsWith(PENDING) && key !== OWN)
    .map(key => ({ key, text: localStorage.getItem(key) ?? '[]' }))
}

/** Writes an event down: at once, then in the database and the queue; what is there is not written twice. */
export async function keepTap(make: string, event: MakeEvent): Promise<void> {
  setPending([...pending, { make, event }])
  await settle()
}

async function intoBox(list: readonly QueuedEvent[]): Promise<void> {
  if (list.length === 0) return
  const tx = (await box()).transaction(['events', 'queue'], 'readwrite')
  for (const one of list) {
    if (await tx.objectStore('events').getKey([one.make, one.event.id])) continue
    void tx.objectStore('events').add(one)
    void tx.objectStore('queue').add(one)
  }
  await tx.done
}

/** Waits until the page has nothing else to do, but not for long. */
const SETTLE_MS = 200
function idle(): Promise<unknown> {
  return new Promise((resolve) => {
    if ('requestIdleCallback' in window) requestIdleCallback(resolve, { timeout: SETTLE_MS })
    else setTimeout(resolve, SETTLE_MS / 4)
  })
}

let settling: Promise<void> = Promise.resolve()

/** Brings what was written down at once into the database, one after the other. */
export function settle(): Promise<void> {
  return settling = settling.catch(() => {}).then(async () => {
    if (pending.length === 0) return
    // What was tapped is painted first, and taps close together are written in one go: they are written down already.
    await idle()
    const list = pending
    await intoBox(list)
    const done = new Set(list.map(({ event }) => event.id))
    if (done.size > 0) setPending(pending.filter(({ event }) => !done.has(event.id)))
  })
}

/** Takes over what earlier openings of the page left behind. */
export async function takeOver(): Promise<void> {
  for (const { key, text } of leftBehind()) {
    await intoBox(JSON.parse(text) as QueuedEvent[])
    // An opening that is still alive writes its own anew; what it wrote meanwhile stays.
    if (localStorage.getItem(key) === text) localStorage.removeItem(key)
  }
}

/** What is known here of a make: its events, those not yet in the database too. */
export async function keptEvents(make: string): Promise<MakeEvent[]> {
  await takeOver()
  const db = await box()
  const rows = await db.getAllFromIndex('events', 'make', make)
  const own = pending.filter(one => one.make === make)
  return [...rows, ...own].map(({ event }) => event)
}

export async function keptMake(make: string): Promise<KeptMake | undefined> {
  return (await box()).get('makes', make)
}

/** Every make that this device knows. */
export async function keptMakes(): Promise<KeptMake[]> {
  return (await box()).getAll('makes')
}

export async function keepMake(make: KeptMake): Promise<void> {
  await (await box()).put('makes', make)
}

/** Events that came from the server. */
export async function keepEvents(make: string, events: readonly MakeEvent[]): Promise<void> {
  if (events.length === 0) return
  const tx = (await box()).transaction('events', 'readwrite')
  for (const event of events) void tx.store.put({ make, event })
  await tx.done
}

/** The first events that wait to be sent, all of one make. */
export async function firstQueued(most: number): Promise<Queued[]> {
  await settle()
  const first = (await (await box()).getAll('queue', undefined, most)) as Queued[]
  return first.filter(({ make }) => make === first[0]!.make)
}

export async function queuedCount(): Promise<number> {
  return (await (await box()).count('queue')) + pending.length
}

/** Takes sent events out of the queue. */
export async function dropQueued(sent: readonly Queued[]): Promise<void> {
  const tx = (await box()).transaction('queue', 'readwrite')
  for (const { seq } of sent) void tx.store.delete(seq)
  await tx.done
}

/** Puts all that is known of a make into the queue again, in order: the server has lost it, or another one answers. */
export async function sendAgain(make: string): Promise<boolean> {
  const db = await box()
  const events = (await db.getAllFromIndex('events', 'make', make)).sort((a, b) => inOrder(a.event, b.event))
  if (!events.some(({ event }) => event.do === 'started')) return false
  const tx = db.transaction(['queue', 'makes'], 'readwrite')
  const queue = tx.objectStore('queue')
  for (const key of await queue.index('make').getAllKeys(make)) void queue.delete(key)
  for (const one of events) void queue.add(one)
  const known = await tx.objectStore('makes').get(make)
  if (known) void tx.objectStore('makes').put({ ...known, upTo: 0 })
  await tx.done
  return true
}

/** Forgets a make that was thrown away. */
export async function forget(make: string): Promise<void> {
  setPending(pending.filter(one => one.make !== make))
  const tx = (await box()).transaction(['makes', 'events', 'queue'], 'readwrite')
  void tx.objectStore('makes').delete(make)
  for (const store of ['events', 'queue'] as const) {
    const keys = await tx.objectStore(store).index('make').getAllKeys(make)
    for (const key of keys) void tx.objectStore(store).delete(key as never)
  }
  await tx.done
}
