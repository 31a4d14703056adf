import { type BagFacts, lineFigures } from './bagFacts'

/** A bag as the logbook lists it. */
export interface LogbookEntry {
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
  /** A yarn's colour, where it is known. */
  readonly yarns: readonly { readonly name: string, readonly colour?: string }[]
  readonly forWhom: string
  readonly ripped: number
  readonly off: number
  /** It came in by a table: how it was worked is not known. */
  readonly fromTable?: true
}

/** Entry of a bag's facts in the list. */
export function logbookEntryOf(facts: BagFacts): LogbookEntry {
  const { begun, finished, lastAt, words, share, hookMm, yarns, forWhom, kept, yarnUsed } = facts
  return {
    begun, ...(finished === undefined ? {} : { finished }), lastAt, words, share, ...lineFigures(facts), hookMm,
    yarns: kept ? yarnUsed.split('; ').filter(Boolean).map(name => ({ name })) : yarns.map(({ name, colour }) => ({ name, colour })),
    forWhom, ...(kept ? { fromTable: true as const } : {}),
  }
}
