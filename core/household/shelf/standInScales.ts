import { Chance } from '../../things/random/seededRandom'

/*
 * Kitchen scales
 * ==============
 *
 * Whatever weighs yarn: it tells a reading again and again, and whether it has settled. A stand-in ships with the program, which does what
 * kitchen scales do: it goes to a new weight within a second or two, rounds to its step, trembles a little on the way, and is steady then.
 */

/** Reading of scales at a moment. */
export interface Reading {
  readonly grams: number
  /** Whether it has stayed the same for a while. */
  readonly settled: boolean
}

/** Scales as the page knows them; real ones only have to do the same. */
export interface Scales {
  readonly name: string
  /** Has every reading told; gives back how to stop that. */
  readonly watch: (told: (reading: Reading) => void) => () => void
  /** Tares: the weight now lying on them counts as nothing from now on. */
  readonly tare: () => void
}

/** Kitchen scales show whole grams (common practice, no source). */
const STEP_G = 1
/** Grams missing to the weight after each moment. */
const SETTLING = 0.45
/** Trembling on the way, as a share of what is missing. */
const TREMBLING = 0.2
/** So many alike are settled. */
const ALIKE = 3

/** Scales that are none: a load is put on them by hand, and every moment brings a reading. */
export class StandIn {
  private loadG = 0
  private shownG = 0
  private tareG = 0
  private alike = 0
  private last = 0
  private readonly chance: Chance

  constructor(seed: number) {
    this.chance = new Chance(seed)
  }

  /** Puts so much on them, in the place of what lay there. */
  put(grams: number): void {
    this.loadG = grams
    this.alike = 0
  }

  tare(): void {
    this.tareG = this.loadG
    this.alike = 0
  }

  /** Reading a moment later. */
  moment(): Reading {
    const missing = this.loadG - this.shownG
    this.shownG = Math.abs(missing) < STEP_G / 4
      ? this.loadG
      : this.shownG + missing * (1 - SETTLING) + this.chance.normal(Math.abs(missing) * TREMBLING)
    const grams = STEP_G * Math.round((this.shownG - this.tareG) / STEP_G)
    this.alike = grams === this.last ? this.alike + 1 : 0
    this.last = grams
    return { grams, settled: this.alike >= ALIKE && this.shownG === this.loadG }
  }
}
