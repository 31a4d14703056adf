import type { DraftRound } from './fold/draftPart'

/** Rounds from one to another: `rounds 5 to 7`, `row 9 to round 11` where a flat piece ends between. */
export function roundNames(of: { readonly rounds: readonly DraftRound[] }, from: number, to: number): string {
  const [first, last] = [roundName(of, from), roundName(of, to)]
  const [word] = first.split(' ')
  return last.startsWith(word!) ? `${word}s ${from} to ${to}` : `${first} to ${last}`
}

/** The name of a round: `round 8`, and of a flat piece `row 8`. */
export function roundName({ rounds }: { readonly rounds: readonly DraftRound[] }, number: number): string {
  return `${rounds[number - 1]?.worked.round.join === 'open' ? 'row' : 'round'} ${number}`
}
