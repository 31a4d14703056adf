/** What a band asks of the count it stands on: a multiple of so many stitches, and so many more. */
export interface Asks {
  readonly multiple: number
  readonly plus: number
  /** The fewest it can be worked on, where one repeat is not enough. */
  readonly least?: number
}

function leastOf({ multiple, plus, least = 0 }: Asks): number {
  return Math.max(multiple + plus, least)
}

export const ANY: Asks = { multiple: 1, plus: 0 }

/** Whether a count is one that is asked for: at least one whole repeat. */
export function divides(count: number, asks: Asks): boolean {
  return count >= leastOf(asks) && (count - asks.plus) % asks.multiple === 0
}

/** The nearest counts that are asked for: below (or at) and above a count; none below one repeat. */
export function nearestCounts(count: number, asks: Asks): { readonly below?: number, readonly above: number } {
  const { multiple, plus } = asks
  const below = Math.floor((count - plus) / multiple) * multiple + plus
  const least = Math.ceil((leastOf(asks) - plus) / multiple) * multiple + plus
  return divides(count, asks)
    ? { below: count, above: count }
    : { ...(below >= least ? { below } : {}), above: Math.max(least, below + multiple) }
}

/** An ask in a maker's words: `a multiple of 4`, `a multiple of 3 and 1 more`. */
export function asksWords({ multiple, plus }: Asks): string {
  if (multiple === 1) return plus > 0 ? `at least ${1 + plus}` : 'any number'
  const times = multiple === 2 && plus === 0 ? 'an even number' : `a multiple of ${multiple}`
  if (plus === 0) return times
  return plus > 0 ? `${times} and ${plus} more` : `${times} less ${-plus}`
}

/** What a part that works a repeat asks of the count below, and what it leaves. */
export interface Demand {
  readonly asks: Asks
  /** The count it leaves of one that it can be worked on: what working it comes to, without working it. */
  readonly leaves: (count: number) => number
  /** What it leaves does not depend on what comes up from below: what stands above it is not touched by what lies under it. */
  readonly steadies?: true
}

/** Takes any count and leaves it as it was. */
export const AS_IT_WAS: Demand = { asks: ANY, leaves: count => count }
