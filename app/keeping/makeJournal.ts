import type { MakeEvent } from '~~/core/making/make/event'
import { asHappened, type MakeStorage, type KeptMake, openMakeStorage, type StoredEvent, type QueuedEvent } from './makeStorage'
import { opening } from './newId'

/*
 * Makes on this device, so that the hook goes on without a network: every event, and which of them the server does not have
 * yet. A tap is written down at once where the browser writes without waiting (localStorage), and from there goes into the database;
 * so nothing is lost between the two, whenever the page is closed. Without a database what waits to be sent stays written down there.
 */

export type { KeptMake, StoredEvent } from './makeStorage'

let opened: Promise<MakeStorage> | undefined

function box(): Promise<MakeStorage> {
  return opened ??= openMakeStorage()
}

/** Events written down at once, by each opening of the page under a key of its own. */
const PENDING = 'fair-hollow.pending.'
const OWN = PENDING + opening

/** Events that this page wrote down and the database does not have yet. */
let pending: readonly QueuedEvent[] = []
/** Events that wait to be sent and are in no database. */
let homeless: readonly QueuedEvent[] = []
let wroteDown = true

function writeDown(): void {
  const list = [...homeless, ...pending]
  try {
    if (list.length === 0) localStorage.removeItem(OWN)
    else localStorage.setItem(OWN, JSON.stringify(list))
    wroteDown = true
  }
  catch {
    // A browser that keeps nothing here still has its database, mostly.
    wroteDown = false
  }
}

function setPending(list: readonly QueuedEvent[]): void {
  pending = list
  writeDown()
}

/** Has what waits to be sent written down, where no database holds it. */
async function shelter(store: MakeStorage): Promise<void> {
  if (store.lasts) return
  homeless = (await store.queued()).map(({ make, event }) => ({ make, event }))
  writeDown()
}

/** Whether what waits to be sent outlives this page. */
export async function isKept(): Promise<boolean> {
  return wroteDown || ((await box()).lasts && pending.length === 0)
}

/** Events that earlier openings of the page wrote down and could not bring into the database before they were closed. */
function leftBehind(): { readonly key: string, readonly text: string }[] {
  return Object.keys(localStorage)
    .filter(key => key.startsWith(PENDING) && key !== OWN)
    .map(key => ({ key, text: localStorage.getItem(key) ?? '[]' }))
}

/** Writes an event down: at once, then in the database and the queue; what is there is not written twice. */
export async function journalEvent(make: string, event: MakeEvent): Promise<void> {
  setPending([...pending, { make, event }])
  await settleJournal()
}

async function intoBox(list: readonly QueuedEvent[]): Promise<void> {
  if (list.length === 0) return
  const store = await box()
  await store.add(list)
  await shelter(store)
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
export function settleJournal(): Promise<void> {
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

/** All known events of a make, those not yet in the database too. */
export async function keptEvents(make: string): Promise<MakeEvent[]> {
  await takeOver()
  const known = await (await box()).events(make)
  const own = pending.filter(one => one.make === make)
  return [...known, ...own.map(({ event }) => event)]
}

export async function keptMake(make: string): Promise<KeptMake | undefined> {
  return (await box()).make(make)
}

/** Every make that this device knows. */
export async function keptMakes(): Promise<KeptMake[]> {
  return (await box()).makes()
}

export async function keepMake(make: KeptMake): Promise<void> {
  await (await box()).putMake(make)
}

/** Events that came from the server. */
export async function keepEvents(make: string, events: readonly MakeEvent[]): Promise<void> {
  if (events.length > 0) await (await box()).put(make, events)
}

/** The first events that wait to be sent, all of one make. */
export async function firstQueued(most: number): Promise<StoredEvent[]> {
  await settleJournal()
  const first = await (await box()).queued(most)
  return first.filter(({ make }) => make === first[0]!.make)
}

export async function queuedCount(): Promise<number> {
  return (await (await box()).queued()).length + pending.length
}

/** Takes sent events out of the queue. */
export async function dropQueued(sent: readonly StoredEvent[]): Promise<void> {
  const store = await box()
  await store.drop(sent)
  await shelter(store)
}

/** Puts all that is known of a make into the queue again, in order: the server has lost it, or another one answers. */
export async function sendAgain(make: string): Promise<boolean> {
  const store = await box()
  const events = asHappened(await store.events(make))
  if (!events.some(event => event.do === 'started')) return false
  await store.queueAgain(make, events)
  await shelter(store)
  return true
}

/** Forgets a make that was thrown away. */
export async function forget(make: string): Promise<void> {
  setPending(pending.filter(one => one.make !== make))
  const store = await box()
  await store.forget(make)
  await shelter(store)
}
