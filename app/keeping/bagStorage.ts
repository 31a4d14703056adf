import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import type { Design } from '~~/core/bag/design/design'
import { upToDate } from '~~/core/bag/design/migrate'
import type { History } from '~~/core/bag/design/history'

/*
 * Bags on this device: how each is here, whether the server has that, and what can be undone. Every edit is written down at once
 * where the browser writes without waiting (localStorage), and goes from there into the database: nothing is lost, however the page ends.
 */

/** A save that was sent: its id, and what it held. Until it is answered it may or may not have been kept. */
export interface SentSave {
  readonly save: string
  readonly design: Design
}

/** Why the server did not take a bag's state, if it was asked. */
export type Hindrance = 'overtaken' | 'refused' | 'gone'

/** A bag as this device knows it. */
export interface StoredBag {
  readonly id: string
  /** The revision that the work here started from, and the bag as it was then. */
  readonly revision: number
  readonly base: Design
  /** How it is here. */
  readonly design: Design
  /** Whether the server is not known to have that. */
  readonly unsaved: boolean
  readonly sent?: SentSave
  readonly history: History
  readonly at: number
  readonly why?: Hindrance
  readonly words?: readonly string[]
}

interface Box extends DBSchema {
  bags: { key: string, value: StoredBag }
}

let opened: Promise<IDBPDatabase<Box>> | undefined

/** A browser that has no database rejects; what is written at once is all there is then. */
async function box(): Promise<IDBPDatabase<Box>> {
  return (opened ??= openDB<Box>('fair-hollow-desk', 1, {
    upgrade(db) {
      db.createObjectStore('bags', { keyPath: 'id' })
    },
  }))
}

const AT_ONCE = 'fair-hollow.desk.'
/** States larger than this go to the database alone: localStorage holds 5 MB in all. */
const MOST_AT_ONCE = 400_000
/** So many edits can still be taken back after the page was closed. */
const KEPT_EDITS = 100

/** The part that is written without waiting: all but the history. */
type AtOnce = Omit<StoredBag, 'history'>

/** Writes a bag down without waiting; false of one that is too large for that, or where the browser keeps nothing here. */
function writeAtOnce({ history: _, ...bag }: StoredBag): boolean {
  try {
    const text = JSON.stringify(bag satisfies AtOnce)
    if (text.length > MOST_AT_ONCE) return false
    localStorage.setItem(AT_ONCE + bag.id, text)
    return true
  }
  catch {
    return false
  }
}

function writtenAtOnce(id: string): AtOnce | undefined {
  try {
    const text = localStorage.getItem(AT_ONCE + id)
    return text === null ? undefined : (JSON.parse(text) as AtOnce)
  }
  catch {
    return undefined
  }
}

function forgetAtOnce(id: string, at: number): void {
  if ((writtenAtOnce(id)?.at ?? Infinity) <= at) localStorage.removeItem(AT_ONCE + id)
}

/** A plain copy, which the database can hold: what the page has in hand is frozen. */
function plain(bag: StoredBag): StoredBag {
  const history = { past: bag.history.past.slice(-KEPT_EDITS), future: bag.history.future.slice(0, KEPT_EDITS) }
  return JSON.parse(JSON.stringify({ ...bag, history })) as StoredBag
}

let last: Promise<unknown> = Promise.resolve()
const newest = new Map<string, StoredBag>()

/** Keeps a bag as it is here: at once, and then for good. Says whether it is kept at all. */
export function storeBag(bag: StoredBag): Promise<boolean> {
  const isDown = writeAtOnce(bag)
  newest.set(bag.id, bag)
  const done = last.catch(() => {}).then(async () => {
    // Of states that came meanwhile the newest is written.
    const now = newest.get(bag.id)
    if (!now) return
    newest.delete(bag.id)
    await (await box()).put('bags', plain(now))
    forgetAtOnce(now.id, now.at)
  })
  last = done
  return done.then(() => true, () => isDown)
}

const NO_HISTORY: History = { past: [], future: [] }

/** The newer of what was written at once and what the database has. */
function newerOf(id: string, kept: StoredBag | undefined): StoredBag | undefined {
  const written = writtenAtOnce(id)
  if (!written || (kept && kept.at >= written.at)) return kept && asNow(kept)
  // What can be undone was of an earlier state: patches of it do not fit this one.
  return asNow({ ...written, history: NO_HISTORY })
}

/** A bag that an earlier version of the program kept here, as this one means it: patches of the old form do not fit the new one. */
function asNow(bag: StoredBag): StoredBag {
  const design = upToDate(bag.design)
  if (design === bag.design) return bag
  const sent = bag.sent && { ...bag.sent, design: upToDate(bag.sent.design) }
  return { ...bag, design, base: upToDate(bag.base), ...(sent ? { sent } : {}), history: NO_HISTORY }
}

/** A bag as this device knows it. */
export async function storedBag(id: string): Promise<StoredBag | undefined> {
  await last.catch(() => {})
  const kept = await box().then(db => db.get('bags', id), () => undefined)
  return newerOf(id, kept)
}

/** Every bag that this device knows, the last touched first. */
export async function allStoredBags(): Promise<StoredBag[]> {
  await last.catch(() => {})
  const kept = await box().then(db => db.getAll('bags'), () => [])
  const ids = new Set([
    ...kept.map(({ id }) => id), ...Object.keys(localStorage).filter(key => key.startsWith(AT_ONCE)).map(key => key.slice(AT_ONCE.length)),
  ])
  return [...ids]
    .flatMap(id => newerOf(id, kept.find(bag => bag.id === id)) ?? [])
    .sort((a, b) => b.at - a.at)
}

/** Forgets a bag: it was thrown away, or its state here is not wanted. */
export async function dropStoredBag(id: string): Promise<void> {
  newest.delete(id)
  localStorage.removeItem(AT_ONCE + id)
  await last.catch(() => {})
  await box().then(db => db.delete('bags', id), () => {})
  localStorage.removeItem(AT_ONCE + id)
}

/** So many bags at most that the server has are kept for when it is away. */
const MOST_KEPT = 60

/** Lets the oldest go of what the server has anyway. */
export async function tidyStoredBags(): Promise<void> {
  const saved = (await allStoredBags()).filter(({ unsaved }) => !unsaved)
  for (const { id } of saved.slice(MOST_KEPT)) await dropStoredBag(id)
}
