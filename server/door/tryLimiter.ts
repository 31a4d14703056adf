/*
 * Guessing a passphrase is made slow, by address and for all together; whoever knows it is never shut out, and is told how long to wait.
 */

/** So many wrong tries cost an address nothing; each further one doubles its wait. */
const FREE_TRIES = 3
const FIRST_WAIT_MS = 1_000
export const LONGEST_WAIT_MS = 30_000
/** An address that has not tried for so long begins anew. */
const FORGET_MS = 15 * 60_000
/** All tries are looked at slowly, and the more slowly the more were wrong in the last minute, wherever from. */
const TRY_MS = 700
const MORE_MS = 60
const LONGEST_TRY_MS = 3_000
const MINUTE_MS = 60_000
/** More addresses than a household's network has are not told apart for long. */
const MOST_ADDRESSES = 5_000

interface Tries {
  readonly wrong: number
  readonly at: number
  readonly until: number
}

/** The tries at one passphrase. */
export class TryLimiter {
  private readonly from = new Map<string, Tries>()
  private recent: number[] = []

  /** How long an address has to wait before its next try is looked at, in milliseconds. */
  waitMs(address: string, now: number): number {
    return Math.max(0, (this.from.get(address)?.until ?? 0) - now)
  }

  /** Counts a try as wrong until it turns out to be right, so that many at once are no more than many in turn. */
  begin(address: string, now: number): void {
    const before = this.from.get(address)
    const wrong = (before && now - before.at < FORGET_MS ? before.wrong : 0) + 1
    const waits = wrong < FREE_TRIES ? 0 : Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** (wrong - FREE_TRIES))
    this.from.delete(address)
    this.from.set(address, { wrong, at: now, until: now + waits })
    if (this.from.size > MOST_ADDRESSES) this.from.delete(this.from.keys().next().value!)
    this.recent = [...this.recent.filter(at => now - at < MINUTE_MS), now]
  }

  /** How long a try is looked at, in milliseconds. */
  lookMs(now: number): number {
    return Math.min(LONGEST_TRY_MS, TRY_MS + MORE_MS * this.recent.filter(at => now - at < MINUTE_MS).length)
  }

  /** It was right: its address begins anew. */
  right(address: string): void {
    this.from.delete(address)
  }
}
