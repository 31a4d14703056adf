/** Numbers by chance from a seed (mulberry32), and what is picked with them. */
export class Chance {
  private state: number

  constructor(seed: number) {
    this.state = seed
  }

  /** From 0 up to 1. */
  share(): number {
    this.state = (this.state + 0x6d2b79f5) | 0
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }

  below(n: number): number {
    return Math.floor(this.share() * n)
  }

  of<T>(list: readonly T[]): T {
    return list[this.below(list.length)]!
  }
}
