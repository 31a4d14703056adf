import type { MakeEvent } from '~~/core/making/make/event'
import type { Progress } from '~~/core/making/make/plan'
import {
  dropQueued, firstQueued, forget, isKept, keepEvents, keepMake, keptMake, type KeptMake, queuedCount, sendAgain, takeOver,
} from '../makeJournal'
import { type Answer, retryAfterMs, send } from './answer'
import { ALL_WELL, type NewEvents, queueFailed, type QueueSending, queueStep } from './makeSending'

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

/** Callbacks of the post. */
export interface PostNews {
  readonly state: (state: PostState) => void
  readonly events: (make: string, events: readonly MakeEvent[]) => void
  /** A make was deleted elsewhere. */
  readonly gone: (make: string) => void
  readonly progress: (make: string) => Progress | undefined
}

const AT_ONCE = 200
const SOON_MS = 250
const FIRST_RETRY_MS = 1_000

/**
 * Sends what is queued, in order and until the server has it, and fetches what others did. The network is never asked whether it is
 * there (browsers do not know): it is tried, and tried again after a while that doubles.
 */
export class Post {
  private timer: ReturnType<typeof setTimeout> | undefined
  private going: Promise<void> | undefined
  private sending: QueueSending = ALL_WELL
  /** Makes that are looked at: what others did to them is fetched. */
  private readonly wanted = new Set<string>()

  constructor(private readonly news: PostNews) {}

  /** Something was written down: it is sent in a moment, with what comes next. */
  soon(): void {
    // After a failure the next try is waited for: taps do not hammer on a closed door.
    if (this.timer || this.sending.failures > 0) return
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
      this.sending = await this.sendQueue() && await this.fetchWanted() ? ALL_WELL : this.sending
    }
    catch {
      // The browser's database failed.
      this.sending = queueFailed(this.sending)
    }
    const { failures, refused } = this.sending
    if (failures > 0) this.later(retryAfterMs(failures, FIRST_RETRY_MS))
    const waiting = await queuedCount().catch(() => 0)
    const kept = await isKept().catch(() => false)
    this.news.state({ waiting, kept, away: failures > 0, ...(refused ? { refused } : {}) })
  }

  /** Sends what is queued, a make at a time; whether all of it is sent. */
  private async sendQueue(): Promise<boolean> {
    for (;;) {
      const queued = await firstQueued(AT_ONCE)
      const make = queued[0]?.make
      if (!make) return true
      const progress = this.news.progress(make)
      const answer = await this.ask(make, queued.map(({ event }) => event), progress)
      if (answer === 'later') return false
      if (answer === 'settled') continue
      await this.take(make, answer, progress)
      await dropQueued(queued)
    }
  }

  /** Fetches what others did to the makes that are looked at; whether all of it came. */
  private async fetchWanted(): Promise<boolean> {
    for (const make of this.wanted) {
      for (let more = true; more;) {
        const answer = await this.ask(make, [])
        if (answer === 'later') return false
        if (answer === 'settled') break
        more = answer.events.length > 0
        await this.take(make, answer)
      }
      this.wanted.delete(make)
    }
    return true
  }

  /** Sends events and asks for new ones: those, or that the matter is settled otherwise, or has to wait. */
  private async ask(make: string, events: readonly MakeEvent[], progress?: Progress): Promise<NewEvents | 'settled' | 'later'> {
    const after = (await keptMake(make))?.upTo ?? 0
    const body = { after, events, ...(progress ? { progress } : {}) }
    const answer: Answer<NewEvents> = await send(`/api/makes/${encodeURIComponent(make)}/events`, { method: 'POST', body })
    if (answer.is === 'kept') return answer.body
    switch (queueStep(answer, events.some(event => event.do === 'started'))) {
      case 'forget':
        await forget(make)
        this.news.gone(make)
        return 'settled'
      case 'from-beginning':
        if (!(await sendAgain(make))) await forget(make)
        else if (events.length === 0) this.later(SOON_MS)
        return 'settled'
      case 'later':
        this.sending = queueFailed(this.sending, answer)
        return 'later'
    }
  }

  private async take(make: string, { events, upTo }: NewEvents, progress?: Progress): Promise<void> {
    await keepEvents(make, events)
    const known: KeptMake = (await keptMake(make)) ?? { id: make, name: '', progress: null, upTo: 0, updatedAt: new Date().toISOString() }
    await keepMake({ ...known, upTo: Math.max(known.upTo, upTo), ...(progress ? { progress } : {}) })
    if (events.length > 0) this.news.events(make, events)
  }
}
