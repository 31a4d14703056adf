import { createHash, randomInt, timingSafeEqual } from 'node:crypto'

/*
 * How a phone is let in: the maker opens the door for a few minutes, and whoever reads the six letters off the screen meanwhile is let in,
 * once. Guessing is hopeless by the number of words, and ended by the number of tries.
 */

/** Letters that are not taken for others, read off a screen and typed. */
const LETTERS = 'ABCDEFHJKLMNPQRTUVWXYZ'
const LENGTH = 6
export const OPEN_MINUTES = 10
/** Wrong tries after which the door is shut; a maker mistypes once or twice. */
const MOST_TRIES = 8
/** From one address so many, however many are let try. */
const MOST_FROM_ONE = 4

/** Result of a try. */
export type TryResult = 'let-in' | 'wrong' | 'shut'

const hashOf = (word: string) => createHash('sha256').update(word).digest()

/** Compares in the same time however much of it is right. */
export function sameWord(given: string, meant: string): boolean {
  return timingSafeEqual(hashOf(given), hashOf(meant))
}

/** A code that lets one machine in, for a few minutes. */
export class Pairing {
  private code: string | undefined
  private until = 0
  private wrong = 0
  private readonly from = new Map<string, number>()

  /** Opens the door: a new code, and no tries yet. */
  open(now: number): { readonly code: string, readonly until: number } {
    this.code = Array.from({ length: LENGTH }, () => LETTERS[randomInt(LETTERS.length)]).join('')
    this.until = now + OPEN_MINUTES * 60_000
    this.wrong = 0
    this.from.clear()
    return { code: this.code, until: this.until }
  }

  shut(): void {
    this.code = undefined
  }

  /** The code that lets in now, if any. */
  current(now: number): { readonly code: string, readonly until: number } | undefined {
    return this.code !== undefined && now < this.until ? { code: this.code, until: this.until } : undefined
  }

  /** Tries a code from an address: right, it lets in this once. */
  try(given: string, address: string, now: number): TryResult {
    const open = this.current(now)
    const tries = this.from.get(address) ?? 0
    if (!open || tries >= MOST_FROM_ONE) return 'shut'
    if (sameWord(given.toUpperCase().replace(/[^A-Z]/g, ''), open.code)) {
      this.shut()
      return 'let-in'
    }
    this.from.set(address, tries + 1)
    if (++this.wrong >= MOST_TRIES) this.shut()
    return 'wrong'
  }
}
