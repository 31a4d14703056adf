import type { DraftRound } from '../../bag/draft/draft'
import { PLACE_KINDS } from '../../things/round/edge'
import { kindAt, sharesPlace } from '../../things/round/workedRound'
import { stitchName, type Terms } from '../../things/stitch/dictionary'

const FOUNDATION: Partial<Record<(typeof PLACE_KINDS)[number], string>> = {
  ring: 'in the ring', chain: 'in the starting chain', underside: 'in the underside of the starting chain', rowEnd: 'in the end of a row',
  hole: 'in a hole of the floor',
}

function standsOn({ worked, number }: DraftRound, made: number): string {
  const { from, to } = worked.edge
  const place = from[made]!
  if (worked.on.from[0] === -1) return FOUNDATION[PLACE_KINDS[worked.on.kinds[place]!]!] ?? `on stitch ${place + 1} of the edge below`
  if (to[made] !== place) return `over stitches ${place + 1} to ${to[made]! + 1} of round ${number - 1}`
  return `on stitch ${place + 1} of round ${number - 1}`
}

/** Description of one stitch: `Round 9, stitch 14 of 54: sc, second half of an increase, on stitch 12 of round 8`. */
export function stitchWords(round: DraftRound, made: number, terms: Terms, marked: boolean): string {
  const { worked, number } = round
  const increase = sharesPlace(worked, made)
    ? ', with the one before it an increase'
    : made + 1 < worked.edge.count && sharesPlace(worked, made + 1)
      ? ', with the next one an increase'
      : ''
  const name = stitchName(kindAt(worked, made), terms).abbreviation
  const unit = worked.round.join === 'open' ? 'Row' : 'Round'
  return (
    `${unit} ${number}, stitch ${made + 1} of ${worked.edge.count}: ${name}${worked.on.count > 1 ? increase : ''}, `
    + `${standsOn(round, made)}${marked ? '; carries a marker' : ''}`
  )
}
