import { Chance as FromSeed } from '../../core/things/random/seededRandom'

/** Numbers by chance from a seed, and what is picked with them. */
export class Chance extends FromSeed {
  below(n: number): number {
    return Math.floor(this.share() * n)
  }

  of<T>(list: readonly T[]): T {
    return list[this.below(list.length)]!
  }
}
