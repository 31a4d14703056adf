import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { MakeEvent } from '../../core/making/make/event'

/*
 * The queue of the hook: events are written down at once, kept, and sent in order until the server has them. Each test has a fresh page
 * (modules, localStorage) and a scripted server; without a database of the browser what is kept is in memory.
 */

let stored: Map<string, string>
function storage(): Storage {
  return Object.assign(Object.create({
    getItem: (key: string) => stored.get(key) ?? null,
    setItem(key: string, text: string) {
      stored.set(key, text)
      Object.assign(this, { [key]: text })
    },
    removeItem(key: string) {
      stored.delete(key)
      Reflect.deleteProperty(this, key)
    },
  }) as Storage, Object.fromEntries(stored))
}

const PENDING = 'fair-hollow.pending.'
const tap = (n: number, over: object = {}): MakeEvent => (
  { do: 'paused', id: `page.${n}`, turn: n + 1, at: n * 1000, ...over }) as MakeEvent

type Reply = { readonly status: number, readonly body?: object } | 'no answer'
interface Body { readonly after: number, readonly events: readonly MakeEvent[], readonly progress?: object }
let asked: { readonly make: string, readonly body: Body }[]
let replies: Reply[]
const got = (upTo: number, events: readonly MakeEvent[] = []): Reply => ({ status: 200, body: { events, upTo } })

beforeEach(() => {
  vi.resetModules()
  vi.useFakeTimers()
  stored = new Map()
  asked = []
  replies = []
  vi.stubGlobal('window', {})
  vi.stubGlobal('localStorage', storage())
  vi.stubGlobal('fetch', (url: string, { body }: { body: string }) => {
    asked.push({ make: url.split('/')[3]!, body: JSON.parse(body) as Body })
    const reply = replies.shift()
    if (!reply || reply === 'no answer') return Promise.reject(new TypeError('Failed to fetch'))
    return Promise.resolve(new Response(JSON.stringify(reply.body ?? {}), { status: reply.status }))
  })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

async function page() {
  const box = await import('~/keeping/makeJournal')
  const { Post } = await import('~/keeping/send/post')
  const states: import('~/keeping/send/post').PostState[] = []
  const events: [string, readonly MakeEvent[]][] = []
  const gone: string[] = []
  const post = new Post({
    state: state => states.push(state), events: (make, list) => events.push([make, list]), gone: make => gone.push(make),
    progress: make => ({ round: 1, of: 2, share: 0.5, words: make }),
  })
  /** Writes a tap down and waits until it is in the queue. */
  const keep = async (make: string, event: MakeEvent) => {
    const kept = box.journalEvent(make, event)
    await vi.advanceTimersByTimeAsync(200)
    await kept
  }
  return { box, post, states, events, gone, keep }
}

describe('a tap', () => {
  it('is written down before anything is waited for, and stays so while no database holds it', async () => {
    const { box } = await page()
    const kept = box.journalEvent('a', tap(0))
    expect([...stored.values()].map(text => JSON.parse(text) as object)).toEqual([[{ make: 'a', event: tap(0) }]])
    await vi.advanceTimersByTimeAsync(200)
    await kept
    expect([...stored.values()].join()).toContain('page.0')
    expect(await box.isKept()).toBe(true)
    await box.dropQueued(await box.firstQueued(10))
    expect(stored.size).toBe(0)
  })

  it('is not kept where nothing can be written, and says so', async () => {
    const { box, keep } = await page()
    localStorage.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
    await keep('a', tap(0))
    expect(await box.isKept()).toBe(false)
    expect(await box.queuedCount()).toBe(1)
  })

  it('of an earlier opening is taken over once, and its note goes; what it wrote anew meanwhile stays', async () => {
    stored.set(`${PENDING}earlier`, JSON.stringify([{ make: 'a', event: tap(0) }]))
    stored.set(`${PENDING}alive`, JSON.stringify([{ make: 'a', event: tap(1) }]))
    vi.stubGlobal('localStorage', storage())
    const anew = JSON.stringify([{ make: 'a', event: tap(2) }])
    const { box } = await page()
    // The other opening writes its note anew the moment after it was read.
    const getItem = localStorage.getItem.bind(localStorage)
    let reads = 0
    localStorage.getItem = (key) => {
      const text = getItem(key)
      if (key.endsWith('alive') && reads++ === 0) localStorage.setItem(key, anew)
      return text
    }
    await box.takeOver()
    expect(stored.has(`${PENDING}earlier`)).toBe(false)
    expect(stored.get(`${PENDING}alive`)).toBe(anew)
    await box.takeOver()
    expect(stored.has(`${PENDING}alive`)).toBe(false)
    const queued = await box.firstQueued(10)
    expect(queued.map(({ event }) => event.id)).toEqual(['page.0', 'page.1', 'page.2'])
  })
})

describe('the queue', () => {
  it('is sent in order, a make at a time, with how far each is; then it is empty', async () => {
    const { post, keep, states } = await page()
    for (const [make, n] of [['a', 0], ['a', 1], ['b', 2], ['a', 3]] as const) await keep(make, tap(n))
    replies = [got(4), got(1), got(4)]
    await post.now()
    // Of the first events those of the first one's make go together.
    expect(asked.map(({ make, body }) => [make, body.events.map(({ id }) => id)]))
      .toEqual([['a', ['page.0', 'page.1', 'page.3']], ['b', ['page.2']]])
    expect(asked[0]!.body.progress).toMatchObject({ words: 'a' })
    expect(states.at(-1)).toEqual({ waiting: 0, kept: true, away: false })
  })

  it('asks for what is new since it was told of, tells it, and goes on asking until there is no more', async () => {
    const { box, post, events } = await page()
    replies = [got(2, [tap(0, { do: 'started' }), tap(1)]), got(3, [tap(2)]), got(3)]
    await post.now('a')
    expect(asked.map(({ body }) => body.after)).toEqual([0, 2, 3])
    expect(events.map(([, list]) => list.map(({ id }) => id))).toEqual([['page.0', 'page.1'], ['page.2']])
    expect((await box.keptEvents('a')).length).toBe(3)
    // Told of an earlier state by an answer that was late: what is known stays known.
    replies = [got(1)]
    await post.now('a')
    expect((await box.keptMake('a'))!.upTo).toBe(3)
  })

  it('is tried again after a while that doubles up to half a minute, and from the first again once the server answered', async () => {
    const { post, keep, states } = await page()
    await keep('a', tap(0))
    post.soon()
    await vi.advanceTimersByTimeAsync(250)
    expect(asked.length).toBe(1)
    expect(states.at(-1)).toMatchObject({ waiting: 1, away: true })
    for (const [i, waitMs] of [1_000, 2_000, 4_000, 8_000, 16_000, 30_000, 30_000].entries()) {
      // A tap meanwhile does not hammer on the door.
      post.soon()
      await vi.advanceTimersByTimeAsync(waitMs - 1)
      expect(asked.length).toBe(1 + i)
      await vi.advanceTimersByTimeAsync(1)
      expect(asked.length).toBe(2 + i)
    }
    replies = [got(1)]
    await vi.advanceTimersByTimeAsync(30_000)
    expect(states.at(-1)).toEqual({ waiting: 0, kept: true, away: false })
    await keep('a', tap(1))
    post.soon()
    await vi.advanceTimersByTimeAsync(250)
    const before = asked.length
    await vi.advanceTimersByTimeAsync(999)
    expect(asked.length).toBe(before)
    await vi.advanceTimersByTimeAsync(1)
    expect(asked.length).toBe(before + 1)
  })

  it.each([422, 413])('that is refused (%i) waits, says why, and says so no longer once it was taken', async (status) => {
    const { post, keep, states } = await page()
    await keep('a', tap(0))
    replies = [{ status, body: { message: 'Too much of it.' } }]
    await post.now()
    expect(states.at(-1)).toEqual({ waiting: 1, kept: true, away: true, refused: 'Too much of it.' })
    replies = [got(1)]
    await post.now()
    expect(states.at(-1)).toEqual({ waiting: 0, kept: true, away: false })
  })

  it('of a make that was deleted elsewhere is forgotten, and the others are sent', async () => {
    const { box, post, keep, gone } = await page()
    await keep('a', tap(0))
    await keep('b', tap(1))
    replies = [{ status: 410 }, got(1)]
    await post.now()
    expect(gone).toEqual(['a'])
    expect(await box.keptEvents('a')).toEqual([])
    expect(asked.map(({ make }) => make)).toEqual(['a', 'b'])
    expect(await box.queuedCount()).toBe(0)
  })

  it('goes from its beginning to a server that has lost the make, in the order in which it happened', async () => {
    const { post, keep } = await page()
    await keep('a', tap(0, { do: 'started' }))
    await keep('a', tap(1))
    replies = [got(2)]
    await post.now()
    await keep('a', tap(2))
    replies = [{ status: 404 }, got(3)]
    await post.now()
    expect(asked.slice(1).map(({ body }) => [body.after, body.events.map(({ id }) => id)]))
      .toEqual([[2, ['page.2']], [0, ['page.0', 'page.1', 'page.2']]])
  })

  it('of a make whose beginning nobody has is forgotten', async () => {
    const { box, post, keep } = await page()
    await keep('a', tap(5))
    replies = [{ status: 404 }]
    await post.now()
    expect(await box.queuedCount()).toBe(0)
    expect(await box.keptEvents('a')).toEqual([])
  })
})
