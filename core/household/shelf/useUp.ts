import type { WallPart } from '../../bag/design/design'
import { type Draft, draft } from '../../bag/draft/draft'
import { type DraftPart, isStopped, wallPartOf } from '../../bag/draft/fold/draftPart'
import { withChanges } from '../../bag/design/edit'
import type { Field, Fields } from '../../parts/field/field'
import type { QuestionContext } from '../../parts/field/context'
import type { Gauge } from '../../things/gauge/gauge'
import type { GrowsBy } from '../../parts/kind/kind'
import type { Change } from '../../parts/part/finding'
import { heightAsked, kindOf } from '../../parts/wall/wall'
import { yarnNeeds } from '../../bag/yarn/yarn'
import type { Rate } from './yarnUse'
import { oddsThatItLasts, SURE_ENOUGH, type Wants, wants } from './enough'
import { gramsOf } from '../../things/stitch/translate'

/*
 * Using a yarn up: a band grows in rounds, a strap in width or length, a cord in length, until so much of the yarn is left as the maker
 * wants to keep. More of it never wants less yarn, so the most is found by halving, every try drafted to its end.
 */

/** Something of a bag that can take up yarn. */
interface Growing {
  readonly part: string
  readonly by: GrowsBy
  /** Its name: `Net, in rounds`. */
  readonly name: string
  /** As much of it as there is now: rounds, stitches across, rows or chains, centimetres of a cord. */
  readonly now: number
  readonly least: number
  readonly most: number
  /** Of a strap: its rows run along it, so that its length is counted in chains. */
  readonly along?: boolean
}

/** The size of a part that grows, from the least to the most, how it is said and where it is kept. */
interface Way {
  readonly by: GrowsBy
  readonly said: string
  readonly unit: (much: number, along: boolean) => string
  readonly least: number
  readonly most: number
  /** How much there is of it now; nothing if the part has none, or it is of another yarn. */
  readonly now: (part: DraftPart, spec: WallPart, yarn: string, gauge: Gauge) => number | undefined
  readonly sets: (spec: WallPart, much: number) => Omit<Change, 'path'> & { readonly path: readonly string[] }
}

const many = (one: string, more: string) => (much: number) => `${much} ${much === 1 ? one : more}`

interface Cords {
  readonly colour: string
}

const cordsOf = (spec: WallPart) => (spec as { readonly cords?: Cords }).cords

/** The present value of a size that can be pinned by a figure, as its question would begin with it; nothing of one that cannot. */
function pinnedNow(field: Field | undefined, figure: string, spec: WallPart, now: QuestionContext): number | undefined {
  const way = field?.is === 'ways' ? field.ways.find(({ under, fields }) => under === 'pin' && figure in fields) : undefined
  return way && (way.from(spec, now) as Record<string, number>)[figure]
}

/** The questions of the cords of a part, if it has any. */
function cordFields(spec: WallPart): Fields | undefined {
  const field = kindOf(spec).fields.cords as Field | undefined
  return field?.is === 'maybe' ? field.fields : undefined
}

const WAYS: readonly Way[] = [
  {
    by: 'rounds', said: 'rounds', unit: many('round', 'rounds'), least: 2, most: 600,
    now: ({ rounds }, spec, yarn) => {
      const size = heightAsked(spec)
      const counts = size && ('want' in size ? 'heightCm' in size.want : 'rounds' in size.pin)
      return counts && rounds.some(({ round }) => round.colour === yarn) ? rounds.length : undefined
    },
    sets: (_, rounds) => ({ path: ['size'], value: { pin: { rounds } } }),
  },
  {
    by: 'across', said: 'stitches across', unit: many('stitch across', 'stitches across'), least: 2, most: 60,
    now: ({ pieces }, spec, yarn) => {
      const { wide, wideCm } = spec as { readonly wide?: number, readonly wideCm?: number }
      return pieces.length > 0 && spec.colour === yarn && wideCm === undefined && typeof wide === 'number' ? wide : undefined
    },
    sets: (_, wide) => ({ path: ['wide'], value: wide }),
  },
  {
    by: 'length', said: 'length', least: 1, most: 1000,
    unit: (much, along) => (along ? many('chain', 'chains') : many('row', 'rows'))(much),
    now: (part, spec, yarn, gauge) =>
      (part.pieces.length > 0 && spec.colour === yarn ? pinnedNow(kindOf(spec).fields.length, 'count', spec, { part, gauge }) : undefined),
    sets: (_, count) => ({ path: ['length'], value: { pin: { count } } }),
  },
  {
    by: 'cords', said: 'length of its cords', unit: much => `cords of ${much} cm`, least: 10, most: 400,
    now: (part, spec, yarn, gauge) =>
      (part.casing && cordsOf(spec)?.colour === yarn ? pinnedNow(cordFields(spec)?.size, 'lengthCm', spec, { part, gauge }) : undefined),
    sets: (spec, lengthCm) => ({ path: ['cords'], value: { ...cordsOf(spec), size: { pin: { lengthCm } } } }),
  },
]

const wayOf = (by: GrowsBy): Way => WAYS.find(way => way.by === by)!

/** Sizes of a bag that can take up a yarn, from the floor up. */
export function growingIn({ parts, gauge }: Draft, yarn: string): Growing[] {
  return parts.flatMap((part) => {
    const spec = wallPartOf(part)
    if (!spec || isStopped(part)) return []
    return WAYS.flatMap(({ by, said, least, most, now }): Growing[] => {
      const there = now(part, spec, yarn, gauge)
      return there === undefined
        ? []
        : [
            { part: part.id, by, name: `${part.name}, in ${said}`, now: there, least, most, along: part.pieces[0]?.along ?? false },
          ]
    })
  })
}

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

/** How it is said how much there is of something that grows. */
export function muchWords({ by, along = false }: Pick<Growing, 'by' | 'along'>, much: number): string {
  return wayOf(by).unit(much, along)
}

/** The change by which there is so much of something that grows. */
export function changeTo({ part, by }: Growing, spec: WallPart, much: number): Change {
  const { path, value } = wayOf(by).sets(spec, much)
  return { path: ['wall', part, ...path], value }
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

/** Sizes of a bag that are meant to use a yarn up, as its parts say. */
export function meantToUseUp(drafted: Draft, yarn: string): { readonly growing: Growing, readonly leaveGrams: number }[] {
  return growingIn(drafted, yarn).flatMap((growing) => {
    const spec = wallPartOf(drafted.parts.find(({ id }) => id === growing.part)!)
    return spec?.useUp?.by === growing.by ? [{ growing, leaveGrams: spec.useUp.leaveGrams }] : []
  })
}

/** How it is said how much of something a yarn makes. */
export function useUpWords(growing: Pick<Growing, 'by' | 'along'>, { much, expected, odds }: UseUp, leaveGrams: number): string {
  const more = expected > much ? `; as expected ${muchWords(growing, expected)}` : ''
  const left = leaveGrams > 0 ? `${gramsOf(leaveGrams)} are left` : 'it lasts'
  return `${muchWords(growing, much)}: ${Math.min(99, Math.round(100 * odds))} % that ${left}${more}`
}
