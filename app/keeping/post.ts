import type { MakeEvent } from '~~/core/making/make/event'
import type { Progress } from '~~/core/making/make/plan'
import {
  dropQueued, firstQueued, forget, isKept, keepEvents, keepMake, keptMake, type KeptMake, queuedCount, sendAgain, takeOver,
} from './makeJournal'

/** How what was done here stands with the server. */
export interface PostState {
  /** Events that wait to be sent. */
  readonly waiting: number
  /** Whether those outlive the page. */
  readonly kept: boolean
  /** The server did not answer when it was last asked. */
  readonly away: boolean
  /** Why it would not take what was sent, if it would not. */
  readonly refused?: string
}

interface Answer {
  readonly events: readonly MakeEvent[]
  readonly upTo: number
}

/** Callbacks of the post. */
export interface PostNews {
  readonly state: (state: PostState) => void
  readonly events: (make: string, events: readonly MakeEvent[]) => void
  /** A make was thrown away elsewhere. */
  readonly gone: (make: string) => void
  readonly progress: (make: string) => Progress | undefined
}

const AT_ONCE = 200
const SOON_MS = 250
const FIRST_RETRY_MS = 1_000
const LAST_RETRY_MS = 30_000

/**
 * Sends what is queued, in order and until the server has it, and fetches what others did. The network is never asked whether it is
 * there (browsers do not know): it is tried, and tried again after a while that doubles.
 */
export class Post {
  private timer: ReturnType<typeof setTimeout> | undefined
  private retryMs = FIRST_RETRY_MS
  private going: Promise<void> | undefined
  private away = false
  private refused: string | undefined
  /** Makes that are looked at: what others did to them is fetched. */
  private readonly wanted = new Set<string>()

  constructor(private readonly news: PostNews) {}

  /** Something was written down: it is sent in a moment, with what comes next. */
  soon(): void {
    // After a failure the next try is waited for: taps do not hammer on a closed door.
    if (this.timer || this.away) return
    this.later(SOON_MS)
  }

  /** Tries at once: the page was opened, or shown again. */
  now(make?: string): Promise<void> {
    clearTimeout(this.timer)
    this.timer = undefined
    if (make) this.wanted.add(make)
    return (this.going ??= this.exchange().finally(() => (this.going = undefined)))
  }

  private later(ms: number): void {
    clearTimeout(this.timer)
    this.timer = setTimeout(() => {
      this.timer = undefined
      void this.now()
    }, ms)
  }

  private async exchange(): Promise<void> {
    try {
      await takeOver()
      while (await this.sendFirst());
      for (const make of this.wanted) {
        await this.fetch(make)
        this.wanted.delete(make)
      }
      this.away = false
      this.refused = undefined
      this.retryMs = FIRST_RETRY_MS
    }
    catch {
      this.away = true
      this.later(this.retryMs)
      this.retryMs = Math.min(LAST_RETRY_MS, this.retryMs * 2)
    }
    const waiting = await queuedCount().catch(() => 0)
    const kept = await isKept().catch(() => false)
    this.news.state({ waiting, kept, away: this.away, ...(this.refused ? { refused: this.refused } : {}) })
  }

  /** Sends the first of the queue; whether there may be more. */
  private async sendFirst(): Promise<boolean> {
    const queued = await firstQueued(AT_ONCE)
    const make = queued[0]?.make
    if (!make) return false
    const progress = this.news.progress(make)
    const answer = await this.ask(make, queued.map(({ event }) => event), progress)
    if (answer) {
      await this.take(make, answer, progress)
      await dropQueued(queued)
    }
    return true
  }

  /** Fetches what others did, until there is no more. */
  private async fetch(make: string): Promise<void> {
    for (let more = true; more;) {
      const answer = await this.ask(make, [])
      if (!answer) return
      more = answer.events.length > 0
      await this.take(make, answer)
    }
  }

  /** Nothing comes back of a make that the server does not know, or that was thrown away. */
  private async ask(make: string, events: readonly MakeEvent[], progress?: Progress): Promise<Answer | undefined> {
    const after = (await keptMake(make))?.upTo ?? 0
    const response = await fetch(`/api/makes/${encodeURIComponent(make)}/events`, {
      method: 'POST', headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ after, events, ...(progress ? { progress } : {}) }),
    })
    if (response.status === 410) {
      await forget(make)
      this.news.gone(make)
      return undefined
    }
    // A server that does not know it has another database, or never had it: it gets everything.
    if (response.status === 404 && !events.some(event => event.do === 'started')) {
      if (!(await sendAgain(make))) await forget(make)
      else if (events.length === 0) this.later(SOON_MS)
      return undefined
    }
    if (response.status === 422 || response.status === 413) this.refused = ((await response.json()) as { message?: string }).message
    if (!response.ok) throw new Error(`the program answered with ${response.status}`)
    return (await response.json()) as Answer
  }

  private async take(make: string, { events, upTo }: Answer, progress?: Progress): Promise<void> {
    await keepEvents(make, events)
    const known: KeptMake = (await keptMake(make)) ?? { id: make, name: '', progress: null, upTo: 0, updatedAt: new Date().toISOString() }
    await keepMake({ ...known, upTo: Math.max(known.upTo, upTo), ...(progress ? { progress } : {}) })
    if (events.length > 0) this.news.events(make, events)
  }
}
