import { readFileSync } from 'node:fs'
import { monitorEventLoopDelay, performance } from 'node:perf_hooks'

/*
 * Whether the thread that answers stood still. What it does itself takes milliseconds; what takes longer is the worker pool's. Stalls are
 * recorded with what was being answered then: by time, as everybody feels it, and by the processor's time, which no busy machine makes
 * longer than it is.
 */

/** A while in which nobody was answered. */
interface Stall {
  readonly ms: number
  /** Of it at work, not waiting for the disk or for the machine's other programs; not known on every system. */
  readonly workMs: number | undefined
  /** Requests meanwhile: method and path, without what makers write. */
  readonly during: readonly string[]
}

/** More work at a stretch than this is too much. */
const MOST_WORK_MS = 20
const LOOK_MS = 10
const MOST_STALLS = 200
/** Worth a line in the log. */
const LONG_MS = 1_000

/** The processor's time of this thread, in milliseconds, on Linux: the first figure of its scheduling statistics, in nanoseconds. */
function workedMs(): number | undefined {
  try {
    return Number(readFileSync('/proc/self/schedstat', 'latin1').split(' ')[0]) / 1e6
  }
  catch {
    return undefined
  }
}

/** Watches the thread it runs on. */
class Watchdog {
  readonly stalls: Stall[] = []
  private readonly asked = new Map<object, string>()
  private justAnswered: string[] = []
  private readonly delay = monitorEventLoopDelay({ resolution: LOOK_MS })
  private timer: ReturnType<typeof setInterval> | undefined

  /** Notes a request for as long as it is being answered. */
  began(request: object, what: string): void {
    this.asked.set(request, what)
  }

  ended(request: object): void {
    const what = this.asked.get(request)
    this.asked.delete(request)
    if (what) this.justAnswered.push(what)
  }

  /** Begins to watch. Without `isClose` only how long it stood still at most is known, which costs nothing. */
  begin(isClose: boolean): void {
    this.delay.enable()
    if (!isClose) return
    let [at, worked] = [performance.now(), workedMs()]
    this.timer = setInterval(() => {
      const [now, nowWorked] = [performance.now(), workedMs()]
      const workMs = worked === undefined || nowWorked === undefined ? undefined : nowWorked - worked
      if ((workMs ?? now - at - LOOK_MS) > MOST_WORK_MS) this.note(now - at - LOOK_MS, workMs)
      this.justAnswered = [];
      [at, worked] = [now, nowWorked]
    }, LOOK_MS)
    this.timer.unref()
  }

  private note(ms: number, workMs: number | undefined): void {
    this.stalls.push({ ms, workMs, during: [...this.asked.values(), ...this.justAnswered].slice(0, 8) })
    if (this.stalls.length > MOST_STALLS) this.stalls.shift()
    if (ms > LONG_MS) process.stderr.write(`nobody was answered for ${Math.round(ms)} ms\n`)
  }

  /** The longest wait since it was asked last, in milliseconds. */
  longestMs(): number {
    const { max } = this.delay
    this.delay.reset()
    return Math.max(0, max / 1e6 - LOOK_MS)
  }

  end(): void {
    clearInterval(this.timer)
    this.delay.disable()
  }
}

/** The one that watches this program. */
export const watchdog = new Watchdog()
