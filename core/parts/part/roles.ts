import type { WorkedRound } from '../../things/round/workedRound'

/*
 * Roles of a part besides its rounds: readers and findings meet these, and ask for no kind of part by name. Handles that hang
 * on it and what it is taken hold of by are in handle.ts, what is worked on its own for it in piece.ts.
 */

/** A net's loops: the part hangs as wide as what holds it open. */
export interface Net {
  readonly loops: number
  /** The length of a loop, round by round, in centimetres. */
  readonly loopsCm: readonly number[]
}

/** Two flat round pieces laid together: how far across they are, and how far out each of their rounds lies. */
export interface DiscPair {
  readonly acrossCm: number
  readonly ringsCm: readonly number[]
}

/** The front of a part in flat pieces: the rows of one, how much each rises, and how much of the way round they take. */
export interface Faces {
  readonly rows: readonly WorkedRound[]
  readonly rises: readonly number[]
  readonly share: number
  /** How far round the bag goes at each row, where they differ. */
  readonly arounds?: readonly number[]
}

/** The holes of a mesh: the largest ball that can be pushed through one, and the largest rod that falls through it untouched. */
export interface Opening {
  readonly ballCm: number
  readonly rodCm: number
}

/** Ways to come by a cord: a chain; a chain with slip stitches along its back; a chain of yarn taken double; one bought. */
export type CordKind = 'chain' | 'slip-stitched' | 'doubled' | 'bought'

/** The drawstrings of a casing as the maker asks for them. */
export interface CordsSpec {
  /** One, or two opposed. */
  readonly number: 1 | 2
  readonly kind: CordKind
  /** How long the ends hang when the bag is open; or the whole cord's length, or its chains. */
  readonly size:
    | { readonly want: { readonly tailCm: number } }
    | { readonly pin: { readonly lengthCm: number } }
    | { readonly pin: { readonly chains: number } }
  /** Of two: whether the second lies behind the same posts as the first (the usual way), or over those that the first lies behind. */
  readonly second?: 'alike' | 'crossed'
  /** How their ends are finished: in knots if left out. */
  readonly ends?: 'knots' | 'beads' | 'inside'
  /** Two short ones besides, looped around posts at the quarters: pulling them opens the bag. */
  readonly opening: boolean
  /** The yarn of the opening cords, where it is another. */
  readonly openingColour?: string
  readonly colour: string
}

/** A casing: how many eyelets a cord can run through, and the cords that do. */
export interface Eyelets {
  readonly eyelets: number
  readonly cords?: CordsSpec
}

/** Closure of the mouth: a strip or a loop over a button, or a zip along the rim; by the piece that is worked for it. */
export interface Closure {
  readonly by: 'strip' | 'loop' | 'teeth'
  /** How wide its button is, if it has one. */
  readonly buttonCm?: number
}
