import { SURE_ENOUGH } from './enough'
import type { Ball } from './yarn'
import { gramsOf } from '../../things/stitch/translate'
import type { BallOrder } from './ballOrder'

/** An order of balls, line by line. */
export function ballOrderWords({ uses, spare, lasts, badJoins, lotChanges, enough, joinedPieces }: BallOrder, rounds: number): string[] {
  const named = ({ grams, lot }: Ball) => `${gramsOf(grams)}${lot ? `, lot ${lot}` : ''}`
  const lines = uses.map(({ ball, from, to, ends, pieces }) => {
    const apart = pieces.length > 0 ? [...new Set(pieces)].join(' and ') : ''
    const first = Math.min(rounds, Math.floor(from) + 1)
    const worked = to > from
      ? ends
        ? `rounds ${first} to about ${Math.floor(ends.low) + 1}-${Math.min(rounds, Math.floor(ends.high) + 1)}`
        : first === 1 ? 'all rounds' : `round ${first} to the end`
      : ''
    return `${named(ball)}: ${[worked, apart].filter(Boolean).join('; then ')}`
  })
  return [
    ...lines,
    ...(spare.length > 0
      ? [lasts >= SURE_ENOUGH
          ? `Not needed: ${spare.map(named).join('; ')}`
          : `Keep within reach, for it may be needed (${Math.round(100 * (1 - lasts))} %): ${spare.map(named).join('; ')}`]
      : []),
    ...(enough ? [] : ['All of them are not enough.']),
    ...(badJoins > 0 ? ['A join may fall on a round that bears: spit-splice or knot it there, or change balls a few rounds before.'] : []),
    ...(lotChanges > 0 ? ['The dye lot changes where it shows: work two rounds of each in turn to blur it.'] : []),
    ...joinedPieces.map(name => `No ball is enough for the ${name} by itself: it has a join.`),
  ]
}
