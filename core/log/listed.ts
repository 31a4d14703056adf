import type { BagFacts } from './facts'

/** A bag as the logbook lists it. */
export interface Listed {
  readonly begun: number
  readonly finished?: number
  readonly lastAt: number
  readonly words: string
  readonly share: number
  readonly minutes: number
  readonly sittings: number
  readonly rounds: number
  readonly stitches: number
  readonly hookMm: number
  readonly yarns: readonly { readonly name: string, readonly colour: string }[]
  readonly forWhom: string
  readonly ripped: number
  readonly off: number
}

/** What of a bag's facts is listed. */
export function listedOf(facts: BagFacts): Listed {
  const { begun, finished, lastAt, words, share, minutes, sittings, rounds, stitches, hookMm, yarns, forWhom, ripped, off } = facts
  return {
    begun, ...(finished === undefined ? {} : { finished }), lastAt, words, share, minutes, sittings: sittings.length, rounds: rounds.done,
    stitches, hookMm, yarns: yarns.map(({ name, colour }) => ({ name, colour })), forWhom, ripped: ripped.rounds, off: off.length,
  }
}
