import type { WallPart } from '../../bag/design/design'
import { type Draft, draft } from '../../bag/draft/draft'
import { isStopped, wallPartOf } from '../../bag/draft/fold/draftPart'
import { withChanges } from '../../bag/design/edit'
import type { Change } from '../../parts/part/finding'
import { yarnNeeds } from '../../bag/yarn/yarn'
import type { Rate } from './yarnUse'
import { oddsThatItLasts, SURE_ENOUGH, type Wants, wants } from './enough'
import { gramsOf } from '../../things/stitch/translate'
import { type Growing, changeTo, muchWords } from './growing'

/*
 * Using a yarn up: a band grows in rounds, a strap in width or length, a cord in length, until so much of the yarn is left as the maker
 * wants to keep. More of it never wants less yarn, so the most is found by halving, every try drafted to its end.
 */

/** A yarn of a bag that is to be used up: how much of it there is, how it is eaten, and what is to be left. */
interface UsedUp {
  readonly draft: Draft
  readonly yarn: string
  readonly haveGrams: number
  readonly eats: Rate
  readonly leaveGrams: number
}

/** As much as a yarn makes of something: an edit, and what the bag wants then. */
interface UseUp {
  readonly much: number
  readonly label: string
  readonly changes: readonly Change[]
  readonly wants: Wants
  /** How likely it is that what is to be left is left. */
  readonly odds: number
  /** As much as is expected to be made of it, which is more than what is sure. */
  readonly expected: number
}

/** Metres that a bag wants with so much of what grows; nothing of a bag that stops then, or comes to less than it should. */
function metresWith({ draft: before, yarn }: UsedUp, growing: Growing, spec: WallPart, much: number): number | undefined {
  const after = draft(withChanges(before.design, [changeTo(growing, spec, much)]), { before })
  if (after.parts.some(isStopped) && !before.parts.some(isStopped)) return undefined
  return yarnNeeds(after).find(need => need.yarn.id === yarn)?.metres ?? 0
}

/** The most of what grows that a condition still holds for, by halving; nothing if it holds for none. */
function mostThat(least: number, most: number, holds: (much: number) => boolean): number | undefined {
  if (!holds(least)) return undefined
  let [low, high] = [least, most + 1]
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (holds(middle)) low = middle
    else high = middle
  }
  return low
}

/** The least of what grows from which on a condition holds, by halving; the least of all if it holds for none. */
function leastThat(least: number, most: number, holds: (much: number) => boolean): number {
  if (holds(least) || !holds(most)) return least
  let [low, high] = [least, most]
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (holds(middle)) high = middle
    else low = middle
  }
  return high
}

/** As much of something as a yarn makes, so that what is to be left is left nine times of ten; nothing if even the least is too much. */
export function useUp(used: UsedUp, growing: Growing): UseUp | undefined {
  const { draft: { parts }, haveGrams, leaveGrams, eats } = used
  const part = parts.find(({ id }) => id === growing.part)
  const spec = part && wallPartOf(part)
  if (!spec) return undefined
  const known = new Map<number, number | undefined>()
  const metres = (much: number) => {
    if (!known.has(much)) known.set(much, metresWith(used, growing, spec, much))
    return known.get(much)
  }
  const oddsOf = (much: number) => {
    const wanted = metres(much)
    return wanted === undefined ? 0 : oddsThatItLasts(haveGrams - leaveGrams, wants(wanted, eats))
  }
  const { most, now } = growing
  // What is too short to be sewn on stops the bag: from the least that does not, more of it never wants less yarn.
  const least = leastThat(growing.least, now, some => metres(some) !== undefined)
  const much = mostThat(least, most, some => oddsOf(some) >= SURE_ENOUGH)
  if (much === undefined) return undefined
  const expected = mostThat(much, most, some => oddsOf(some) >= 0.5)!
  return {
    much, expected, label: `${part.name}: ${muchWords(growing, much)} instead of ${growing.now}`, odds: oddsOf(much),
    wants: wants(metres(much)!, eats),
    changes: [changeTo(growing, spec, much), { path: ['wall', part.id, 'useUp'], value: { by: growing.by, leaveGrams } }],
  }
}

/** How it is said how much of something a yarn makes. */
export function useUpWords(growing: Pick<Growing, 'by' | 'along'>, { much, expected, odds }: UseUp, leaveGrams: number): string {
  const more = expected > much ? `; as expected ${muchWords(growing, expected)}` : ''
  const left = leaveGrams > 0 ? `${gramsOf(leaveGrams)} are left` : 'it lasts'
  return `${muchWords(growing, much)}: ${Math.min(99, Math.round(100 * odds))} % that ${left}${more}`
}
