import { inSentence } from '../../bag/design/partNames'
import type { WallPart } from '../../bag/design/design'
import { draft } from '../../bag/draft/draft'
import { type DraftPart, wallPartOf } from '../../bag/draft/fold/draftPart'
import type { Change } from '../../parts/part/finding'
import type { InHand } from '../../making/make/plan'
import { newPlan } from '../../making/make/newPlan'
import { fit } from '../../bag/fit/fit'
import { fittingWords } from '../../bag/fit/fitWords'
import { heightAsked, kindOf } from '../../parts/wall/wall'
import type { Rate } from './yarnUse'
import { sureMetres } from './enough'
import { metresToCome } from './runOut'
import { changeTo, growingIn, muchWords } from './growing'
import { type Short, type YarnFix, lasts, tried } from './triedFix'

/*
 * Fixes for a yarn that will not last: edits of the bag, each drafted to its end, with what it would want then.
 */

/** Fewer rounds of a band than this are no band any more. */
const LEAST_ROUNDS = 2

/** Rounds of a part that are done. */
function doneOf({ firstRound, rounds }: DraftPart, { inHand }: Short): number {
  return inHand ? Math.max(0, Math.min(rounds.length, inHand.done - firstRound + 1)) : 0
}

/** Parts of the wall with rounds in a yarn that are still to come. */
function partsIn(short: Short): DraftPart[] {
  return short.draft.parts.filter(part =>
    wallPartOf(part) && part.rounds.slice(doneOf(part, short)).some(({ round }) => round.colour === short.yarn))
}

/** Whether a part of a wall is as tall as is asked, or of so many rounds. */
function isInRounds(spec: WallPart): boolean {
  const size = heightAsked(spec)
  return size !== undefined && ('want' in size ? 'heightCm' in size.want : 'rounds' in size.pin)
}

/** The tallest band in the yarn with as few rounds less as let it last; by halving, since every round less saves some. */
function fewerRounds(short: Short): YarnFix[] {
  const bands = partsIn(short)
    .filter(part => isInRounds(wallPartOf(part)!) && part.rounds.length > LEAST_ROUNDS)
    .sort((a, b) => b.rounds.length - a.rounds.length)
  const [tallest] = bands
  if (!tallest) return []
  const now = tallest.rounds.length
  const of = (rounds: number) => tried(short, `${tallest.name}: ${rounds} rounds instead of ${now}`, [
    { path: ['wall', tallest.id, 'size'], value: { pin: { rounds } } },
  ])
  let [few, many] = [Math.max(LEAST_ROUNDS, doneOf(tallest, short)), now]
  if (few >= now || !lasts(of(few))) return []
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
  const worn = partsIn(short).filter(part => (wallPartOf(part) as WallPart).colour === yarn && doneOf(part, short) === 0)
  for (let from = worn.length - 1; from >= 0; from--) {
    const changed = worn.slice(from)
    const found = others.map(other => tried(
      short,
      `${other.name} from ${inSentence(changed[0]!.name)} on`,
      changed.flatMap(({ id }): Change[] => [
        { path: ['wall', id, 'colour'], value: other.id }, { path: ['wall', id, 'stripes'], value: undefined },
      ]),
    )).filter(lasts)
    if (found.length > 0) return found as YarnFix[]
  }
  return []
}

/** Narrower and shorter straps, shorter cords: each by itself, as little as will do. */
function lessApart(short: Short): YarnFix[] {
  return growingIn(short.draft, short.yarn).filter(({ by }) => by !== 'rounds').flatMap((growing): YarnFix[] => {
    const part = short.draft.parts.find(({ id }) => id === growing.part)!
    const spec = wallPartOf(part)!
    const { now, least } = growing
    const of = (much: number) => tried(
      short, `${part.name}: ${muchWords(growing, much)} instead of ${now}`, [changeTo(growing, spec, much)],
    )
    let [few, many] = [least, now]
    // What is too little stops the bag: by halving to the most that lasts.
    while (many - few > 1) {
      const middle = (few + many) >> 1
      const found = of(middle)
      if (found === undefined || lasts(found)) few = middle
      else many = middle
    }
    const found = of(few)
    return few < now && lasts(found) ? [found!] : []
  })
}

/** Stripes of two yarns, by how many rounds of the one that is short and of the other: the least of the other first. */
const SHARES = [
  [6, 2], [4, 2], [2, 2], [2, 4], [1, 4],
] as const

/** The tallest band in stripes with another yarn of the bag, with as little of the other as will do. */
function sharedStripes(short: Short): YarnFix[] {
  const { draft: { design }, yarn } = short
  const [tallest] = partsIn(short)
    .filter(part => 'stripes' in kindOf(wallPartOf(part)!).fields && doneOf(part, short) === 0 && part.rounds.length > LEAST_ROUNDS)
    .sort((a, b) => b.rounds.length - a.rounds.length)
  if (!tallest) return []
  return design.yarns.filter(({ id }) => id !== yarn).flatMap((other): YarnFix[] => {
    for (const [own, others] of SHARES) {
      const found = tried(short, `${tallest.name}: in stripes of ${own} and ${others} rounds with ${other.name}`, [
        { path: ['wall', tallest.id, 'stripes'], value: [{ colour: yarn, rounds: own }, { colour: other.id, rounds: others }] },
      ])
      if (lasts(found)) return [found!]
    }
    return []
  })
}

/** A base may be so much smaller each way before it is another bag (from memory). */
const SMALLER_CM = 4

/** A smaller base with which everything still divides: the one that is nearest to what was wanted. */
function smallerBase(short: Short): YarnFix[] {
  const { draft: { design, gauge, rounds }, yarn, haveGrams, eats } = short
  if (short.inHand && rounds.length > 0) return []
  const metres = sureMetres(haveGrams, eats)
  const [best] = fit(design, gauge, { toleranceCm: SMALLER_CM, mostAdjusting: 1, yarn: { yarn, metres } }).found
  if (!best) return []
  const { yarn: _, ...bare } = best
  const found = tried(short, `A smaller base: ${fittingWords(bare, design)}`, [
    { path: ['base'], value: best.base }, { path: ['wall'], value: best.wall }, { path: ['measuredBase'], value: undefined },
  ])
  return lasts(found) ? [found!] : []
}

/** Fixes that let a yarn last that runs short, each by itself, with as little changed as will do. */
export function yarnFixes(short: Short): YarnFix[] {
  return [
    ...fewerRounds(short), ...lessApart(short), ...sharedStripes(short), ...otherFromHere(short), ...smallerBase(short),
  ]
}

/** Fixes that let a yarn last of a bag that is on the hook: as above, with all that is worked left as it is. */
export function fixesInHand(hand: InHand, yarn: string, done: number, leftGrams: number, eats: Rate): YarnFix[] {
  return yarnFixes({
    draft: hand.draft, yarn, haveGrams: leftGrams, eats,
    inHand: {
      done, redraft: design => draft(design, { found: hand.found, taken: hand.taken }),
      metresToCome: after => metresToCome(after, yarn, done), canBecome: design => newPlan(hand, design).can,
    },
  })
}
