/** Demand of a part on the count it stands on: a multiple of so many stitches, and so many more. */
export interface Asks {
  readonly multiple: number
  readonly plus: number
  /** The fewest it can be worked on, where one repeat is not enough. */
  readonly least?: number
  /** Of what comes out on some counts alone, with no rule to them: whether it does on this one. */
  readonly takes?: (count: number) => boolean
}

/** How far the nearest counts of what has no rule are looked for. */
const FURTHEST = 400

function leastOf({ multiple, plus, least = 0 }: Asks): number {
  return Math.max(multiple + plus, least)
}

export const ANY: Asks = { multiple: 1, plus: 0 }

/** Whether a count is one that is asked for: at least one whole repeat. */
export function divides(count: number, asks: Asks): boolean {
  return count >= leastOf(asks) && (count - asks.plus) % asks.multiple === 0 && (asks.takes?.(count) ?? true)
}

/** The nearest counts that are asked for: below (or at) and above a count; none below one repeat. */
export function nearestCounts(count: number, asks: Asks): { readonly below?: number, readonly above: number } {
  const { multiple, plus, takes } = asks
  if (takes) return nearestTaken(count, asks)
  const below = Math.floor((count - plus) / multiple) * multiple + plus
  const least = Math.ceil((leastOf(asks) - plus) / multiple) * multiple + plus
  return divides(count, asks)
    ? { below: count, above: count }
    : { ...(below >= least ? { below } : {}), above: Math.max(least, below + multiple) }
}

function nearestTaken(count: number, asks: Asks): { readonly below?: number, readonly above: number } {
  const by = (way: 1 | -1) => Array.from({ length: FURTHEST }, (_, i) => count + way * i).find(one => one > 0 && divides(one, asks))
  const below = by(-1)
  return { ...(below === undefined ? {} : { below }), above: by(1) ?? below ?? count }
}

/** An ask in a maker's words: `a multiple of 4`, `a multiple of 3 and 1 more`. */
export function asksWords({ multiple, plus, takes }: Asks): string {
  if (takes) return 'a number on which its rounds come out'
  if (multiple === 1) return plus > 0 ? `at least ${1 + plus}` : 'any number'
  const times = multiple === 2 && plus === 0 ? 'an even number' : `a multiple of ${multiple}`
  if (plus === 0) return times
  return plus > 0 ? `${times} and ${plus} more` : `${times} less ${-plus}`
}

/** Demand of a part that works a repeat on the count below, and its yield. */
export interface Demand {
  readonly asks: Asks
  /** The count it leaves of one that it can be worked on: what working it comes to, without working it. */
  readonly leaves: (count: number) => number
  /** Whether its yield does not depend on what comes up from below: what stands above it is not touched by what lies under it. */
  readonly steadies?: true
}

/** Takes any count and leaves it as it was. */
export const AS_IT_WAS: Demand = { asks: ANY, leaves: count => count }
