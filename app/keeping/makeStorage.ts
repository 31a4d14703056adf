import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import { inOrder, type MakeEvent } from '~~/core/making/make/event'
import type { Progress } from '~~/core/making/make/plan'
import { storedEvent, storedProgress } from '~~/core/making/make/storedEvent'

/*
 * Where this device keeps makes: the browser's database, or the page's memory where it has none.
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

export interface QueuedEvent {
  readonly make: string
  readonly event: MakeEvent
}

/** An event that waits to be sent, by its place in the queue. */
export interface StoredEvent extends QueuedEvent {
  readonly seq: number
}

/** Makes as they are kept, and the queue of events that the server does not have yet. */
export interface MakeStorage {
  /** Whether what is kept outlives the page. */
  readonly lasts: boolean
  /** Keeps events and queues them; what is there is not kept twice. */
  readonly add: (list: readonly QueuedEvent[]) => Promise<void>
  /** Keeps events that came from the server. */
  readonly put: (make: string, events: readonly MakeEvent[]) => Promise<void>
  readonly events: (make: string) => Promise<MakeEvent[]>
  readonly make: (make: string) => Promise<KeptMake | undefined>
  readonly makes: () => Promise<KeptMake[]>
  readonly putMake: (make: KeptMake) => Promise<void>
  readonly queued: (most?: number) => Promise<StoredEvent[]>
  readonly drop: (sent: readonly StoredEvent[]) => Promise<void>
  /** Queues all events of a make anew, in order, and forgets what the server told of it. */
  readonly queueAgain: (make: string, events: readonly MakeEvent[]) => Promise<void>
  readonly forget: (make: string) => Promise<void>
}

interface Box extends DBSchema {
  makes: { key: string, value: KeptMake }
  events: { key: [string, string], value: QueuedEvent, indexes: { make: string } }
  queue: { key: number, value: QueuedEvent & { seq?: number }, indexes: { make: string } }
}

/** A make that was kept by an earlier version of the program, as this one keeps it. */
function storedMake<M extends KeptMake | undefined>(make: M): M {
  return make && { ...make, progress: storedProgress(make.progress) }
}

function inDatabase(db: IDBPDatabase<Box>): MakeStorage {
  return {
    lasts: true,
    async add(list) {
      const tx = db.transaction(['events', 'queue'], 'readwrite')
      for (const one of list) {
        if (await tx.objectStore('events').getKey([one.make, one.event.id])) continue
        void tx.objectStore('events').add(one)
        void tx.objectStore('queue').add(one)
      }
      await tx.done
    },
    async put(make, events) {
      const tx = db.transaction('events', 'readwrite')
      for (const event of events) void tx.store.put({ make, event })
      await tx.done
    },
    events: async make => (await db.getAllFromIndex('events', 'make', make)).map(({ event }) => storedEvent(event)),
    make: async make => storedMake(await db.get('makes', make)),
    makes: async () => (await db.getAll('makes')).map(make => storedMake(make)),
    putMake: async make => void await db.put('makes', make),
    queued: async most => await db.getAll('queue', undefined, most) as StoredEvent[],
    async drop(sent) {
      const tx = db.transaction('queue', 'readwrite')
      for (const { seq } of sent) void tx.store.delete(seq)
      await tx.done
    },
    async queueAgain(make, events) {
      const tx = db.transaction(['queue', 'makes'], 'readwrite')
      const queue = tx.objectStore('queue')
      for (const key of await queue.index('make').getAllKeys(make)) void queue.delete(key)
      for (const event of events) void queue.add({ make, event })
      const known = await tx.objectStore('makes').get(make)
      if (known) void tx.objectStore('makes').put({ ...known, upTo: 0 })
      await tx.done
    },
    async forget(make) {
      const tx = db.transaction(['makes', 'events', 'queue'], 'readwrite')
      void tx.objectStore('makes').delete(make)
      for (const store of ['events', 'queue'] as const) {
        const keys = await tx.objectStore(store).index('make').getAllKeys(make)
        for (const key of keys) void tx.objectStore(store).delete(key as never)
      }
      await tx.done
    },
  }
}

/** A store in the page's memory: it ends with the page. */
function inMemory(): MakeStorage {
  const makes = new Map<string, KeptMake>()
  const events = new Map<string, Map<string, MakeEvent>>()
  let queue: readonly StoredEvent[] = []
  let seq = 0
  const of = (make: string) => events.get(make) ?? events.set(make, new Map()).get(make)!
  const queueUp = (list: readonly QueuedEvent[]) => (queue = [...queue, ...list.map(one => ({ ...one, seq: ++seq }))])
  const done = Promise.resolve()
  return {
    lasts: false,
    add: (list) => {
      const fresh = list.filter(({ make, event }) => !of(make).has(event.id))
      for (const { make, event } of fresh) of(make).set(event.id, event)
      queueUp(fresh)
      return done
    },
    put: (make, list) => {
      for (const event of list) of(make).set(event.id, event)
      return done
    },
    events: make => Promise.resolve([...of(make).values()]), make: make => Promise.resolve(makes.get(make)),
    makes: () => Promise.resolve([...makes.values()]),
    putMake: (make) => {
      makes.set(make.id, make)
      return done
    },
    queued: most => Promise.resolve(queue.slice(0, most)),
    drop: (sent) => {
      const gone = new Set(sent.map(({ seq: number }) => number))
      queue = queue.filter(({ seq: number }) => !gone.has(number))
      return done
    },
    queueAgain: (make, list) => {
      queue = queue.filter(one => one.make !== make)
      queueUp(list.map(event => ({ make, event })))
      const known = makes.get(make)
      if (known) makes.set(make, { ...known, upTo: 0 })
      return done
    },
    forget: (make) => {
      makes.delete(make)
      events.delete(make)
      queue = queue.filter(one => one.make !== make)
      return done
    },
  }
}

/** Opens the browser's database; where it has none, or lets nobody at it, what is kept is in the page's memory. */
export async function openMakeStorage(): Promise<MakeStorage> {
  try {
    return inDatabase(await openDB<Box>('fair-hollow-hook', 1, {
      upgrade(db) {
        db.createObjectStore('makes', { keyPath: 'id' })
        db.createObjectStore('events', { keyPath: ['make', 'event.id'] }).createIndex('make', 'make')
        db.createObjectStore('queue', { keyPath: 'seq', autoIncrement: true }).createIndex('make', 'make')
      },
    }))
  }
  catch {
    return inMemory()
  }
}

/** Events in the order in which they happened. */
export function asHappened(events: readonly MakeEvent[]): MakeEvent[] {
  return [...events].sort(inOrder)
}
