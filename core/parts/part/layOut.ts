/** A place on paper, seen from above, in centimetres: x to the right, y downwards, the floor's middle at (0, 0). */
export interface Spot {
  readonly x: number
  readonly y: number
}

/**
 * Where the head of a stitch of a floor lies, for right hands, with the right side up: rounds run against the clock.
 * `round` counts the floor's rounds from 0; -1 is what the first one is worked into. `station` is how
 * far along its round the stitch lies from the round's start, whichever way it was worked.
 */
export type LayOut = (round: number, station: number) => Spot
