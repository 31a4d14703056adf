/** Numbers by chance from a seed (mulberry32): the same seed brings the same numbers. */
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

  /** Normally spread about 0 with a deviation (Box and Muller). */
  normal(spread = 1): number {
    return spread * Math.sqrt(-2 * Math.log(1 - this.share())) * Math.cos(2 * Math.PI * this.share())
  }
}

/** A seed that belongs to a name and a number: whoever is drawn besides changes nothing of it (Fowler, Noll and Vo's hash, FNV-1a). */
export function seedOf(name: string, number: number): number {
  let seed = 0x811c9dc5
  for (let i = 0; i < name.length; i++) seed = Math.imul(seed ^ name.charCodeAt(i), 0x01000193)
  return Math.imul(seed ^ number, 0x01000193) ^ Math.imul(number + 1, 0x9e3779b1)
}
