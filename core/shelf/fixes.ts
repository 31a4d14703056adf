import type { Design, WallPart } from '../design/design'
import { withChanges } from '../design/edit'
import { type Draft, draft } from '../draft/draft'
import { type DraftPart, isStopped, wallPartOf } from '../draft/part'
import type { Change } from '../part/finding'
import { heightAsked } from '../wall/wall'
import { yarnNeeds } from '../yarn/yarn'
import type { Rate } from './eats'
import { oddsThatItLasts, SURE_ENOUGH, type Wants, wants } from './enough'

/*
 * What can be done about a yarn that will not last: edits of the bag, each drafted to its end, with what it would want then.
 */

/** An edit that saves yarn, and what the bag wants of it afterwards. */
export interface YarnFix {
  readonly label: string
  readonly changes: readonly Change[]
  readonly wants: Wants
  readonly odds: number
}

/** A yarn that runs short: of which bag, how much there is, and how it is eaten. */
export interface Short {
  readonly draft: Draft
  readonly yarn: string
  readonly haveGrams: number
  readonly eats: Rate
}

/** Fewer rounds of a band than this are no band any more. */
const LEAST_ROUNDS = 2

/** A bag after some changes, and what it wants of the yarn; nothing of one that stops. */
function tried({ draft: before, yarn, haveGrams, eats }: Short, label: string, changes: readonly Change[]): YarnFix | undefined {
  const design: Design = withChanges(before.design, changes)
  const after = draft(design)
  if (after.parts.some(isStopped) && !before.parts.some(isStopped)) return undefined
  const metres = yarnNeeds(after).find(need => need.yarn.id === yarn)?.metres ?? 0
  const then = wants(metres, eats)
  return { label, changes, wants: then, odds: oddsThatItLasts(haveGrams, then) }
}

const lasts = (fix: YarnFix | undefined) => fix !== undefined && fix.odds >= SURE_ENOUGH

/** Parts of the wall with rounds in a yarn. */
function partsIn({ parts }: Draft, yarn: string): DraftPart[] {
  return parts.filter(part => wallPartOf(part) && part.rounds.some(({ round }) => round.colour === yarn))
}

/** Whether a part of a wall is as tall as is asked, or of so many rounds. */
function isInRounds(spec: WallPart): boolean {
  const size = heightAsked(spec)
  return size !== undefined && ('want' in size ? 'heightCm' in size.want : 'rounds' in size.pin)
}

/** The tallest band in the yarn with as few rounds less as let it last; by halving, since every round less saves some. */
function fewerRounds(short: Short): YarnFix[] {
  const bands = partsIn(short.draft, short.yarn)
    .filter(part => isInRounds(wallPartOf(part)!) && part.rounds.length > LEAST_ROUNDS)
    .sort((a, b) => b.rounds.length - a.rounds.length)
  const [tallest] = bands
  if (!tallest) return []
  const now = tallest.rounds.length
  const of = (rounds: number) => tried(short, `${tallest.name}: ${rounds} rounds instead of ${now}`, [
    { path: ['wall', tallest.id, 'size'], value: { pin: { rounds } } },
  ])
  let [few, many] = [LEAST_ROUNDS, now]
  if (!lasts(of(few))) return []
  while (many - few > 1) {
    const middle = (few + many) >> 1
    if (lasts(of(middle))) few = middle
    else many = middle
  }
  const found = of(few)
  return found ? [found] : []
}

/** All parts from one up in another yarn of the bag: from as high up as lets it last. */
function otherFromHere(short: Short): YarnFix[] {
  const { draft: { design }, yarn } = short
  const others = design.yarns.filter(({ id }) => id !== yarn)
  const worn = partsIn(short.draft, yarn).filter(part => (wallPartOf(part) as WallPart).colour === yarn)
  for (let from = worn.length - 1; from >= 0; from--) {
    const changed = worn.slice(from)
    const found = others.map(other => tried(
      short,
      `${other.name} from ${changed[0]!.name.toLowerCase()} on`,
      changed.flatMap(({ id }): Change[] => [
        { path: ['wall', id, 'colour'], value: other.id }, { path: ['wall', id, 'stripes'], value: undefined },
      ]),
    )).filter(lasts)
    if (found.length > 0) return found as YarnFix[]
  }
  return []
}

/** Narrower straps: a stitch at a time, as long as two are left. */
function narrowerStraps(short: Short): YarnFix[] {
  return short.draft.parts.flatMap((part): YarnFix[] => {
    const spec = wallPartOf(part) as (WallPart & { readonly wide?: number }) | undefined
    if (!spec || typeof spec.wide !== 'number' || part.pieces.length === 0 || spec.colour !== short.yarn) return []
    for (let wide = spec.wide - 1; wide >= 2; wide--) {
      const found = tried(short, `${part.name}: ${wide} across instead of ${spec.wide}`, [{ path: ['wall', part.id, 'wide'], value: wide }])
      if (lasts(found)) return [found!]
    }
    return []
  })
}

/** What lets a yarn last that runs short, each by itself, with as little changed as will do. */
export function yarnFixes(short: Short): YarnFix[] {
  return [...fewerRounds(short), ...narrowerStraps(short), ...otherFromHere(short)]
}
