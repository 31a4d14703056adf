import type { Design } from '../../bag/design/design'
import { type Draft, draft } from '../../bag/draft/draft'
import { saidLine } from '../../readers/words/lines'
import type { InHand } from './plan'

/** Whether another design can become the plan of a bag that is partly worked; if not, from which round on it differs. */
type NewPlan = { readonly can: true, readonly rounds: number } | { readonly can: false, readonly round: number }

const MANNER = { terms: 'us', repeats: 'brackets' } as const

function reads(drafted: Draft, round: number): string | undefined {
  const at = drafted.rounds[round - 1]
  const part = at && drafted.parts.find(({ id }) => id === at.part)
  if (!at || !part) return undefined
  const { words, count } = saidLine(drafted, part, at, MANNER)
  return words + count + at.worked.round.colour
}

/** The last round that is worked, in part at least. */
function lastWorked({ road, at: { leg, index, done } }: InHand): number {
  if (leg?.sort === 'round' && done > 0) return leg.number
  return road.legs.slice(0, index).reduce((last, one) => (one.sort === 'round' ? one.number : last), 0)
}

/** Checks that a new plan reads the same as the old one up to the hook: worked rounds are never redrafted. */
export function newPlan(hand: InHand, plan: Design): NewPlan {
  const after = draft(plan, { found: hand.found, taken: hand.taken })
  for (let round = 1; round <= lastWorked(hand); round++)
    if (reads(hand.draft, round) !== reads(after, round)) return { can: false, round }
  return { can: true, rounds: after.rounds.length }
}
