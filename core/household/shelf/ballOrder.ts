import { inSentence } from '../../bag/design/partNames'
import type { Draft } from '../../bag/draft/draft'
import { isBase } from '../../bag/draft/fold/draftPart'
import { metresByRound, yarnShares } from '../../bag/yarn/yarn'
import type { Rate } from './yarnUse'
import { oddsThatItLasts } from './enough'
import type { Ball } from './yarn'
import { MOST_TRIED, byLots, orders } from './ballTries'

/*
 * Which ball is used for what
 * ===========================
 *
 * Of several balls, whole ones and begun, every order makes joins elsewhere. A join is weak and a change of dye lot shows; so what is
 * wanted is an order with no join near a round that handles grow from or straps hang on, every strap and cord out of one ball, as few
 * changes of lot as can be where they show, above the floor, and begun balls first. Few balls: every order is tried. Many: those of one
 * lot are kept together, and the smallest first.
 */

/** The use of one ball. */
interface BallUse {
  readonly ball: Ball
  /** Rounds from one to another, parts of them at the ends; none of a ball that only pieces are made of. */
  readonly from: number
  readonly to: number
  /** Where it ends, eight times of ten; nothing of the last. */
  readonly ends?: { readonly low: number, readonly high: number }
  /** Pieces worked apart out of it. */
  readonly pieces: readonly string[]
}

/** An order of balls, with what is to be minded. */
export interface BallOrder {
  readonly uses: readonly BallUse[]
  /** Balls that are not needed, as expected; and how likely it is that the others last, as everywhere (enough.ts). */
  readonly spare: readonly Ball[]
  readonly lasts: number
  /** Joins that may fall on a round that bears. */
  readonly badJoins: number
  /** Changes of lot above the floor. */
  readonly lotChanges: number
  /** Whether all balls together make the bag, as expected. */
  readonly enough: boolean
  /** Pieces that no ball is large enough for by itself. */
  readonly joinedPieces: readonly string[]
}

/** Eight of ten lie within so many deviations (standard tables of the normal distribution). */
const EIGHT_OF_TEN = 1.2816

/** A join keeps as many rounds away from one that bears (from memory). */
const NEAR_ROUNDS = 1

/** Rounds of a bag that bear: handles grow from them, hang on them, or are drawn through them. */
export function bearingRounds({ parts }: Draft): ReadonlySet<number> {
  const bearing = new Set<number>()
  for (const { handles, pieces, firstRound, rounds, casing } of parts.filter(part => !isBase(part))) {
    if (handles.length === 0 && pieces.length === 0 && !casing) continue
    const last = firstRound + rounds.length - 1
    for (let round = firstRound - NEAR_ROUNDS; round <= last + NEAR_ROUNDS; round++) bearing.add(round)
  }
  return bearing
}

/** A bag as balls see it: grams of each round, of each piece, and which rounds bear or show. */
interface BagNeeds {
  readonly byRound: readonly number[]
  readonly pieces: readonly { readonly name: string, readonly grams: number }[]
  readonly bearing: ReadonlySet<number>
  readonly floorEnds: number
  readonly spread: number
}

function wantedOf(draft: Draft, yarn: string, { gramsPerMetre, spread }: Rate): BagNeeds {
  const shares = yarnShares(draft).filter(share => share.yarn === yarn && share.of !== 'rounds')
  const ends = shares.filter(({ of }) => of === 'ends').reduce((sum, { metres }) => sum + metres, 0)
  const byRound = metresByRound(draft, yarn).map(metres => metres * gramsPerMetre)
  const floor = draft.parts.filter(isBase).reduce((last, { firstRound, rounds }) => Math.max(last, firstRound + rounds.length - 1), 0)
  // The last end is cut from the ball that ends with it.
  const last = byRound.findLastIndex(grams => grams > 0)
  if (last >= 0) byRound[last]! += ends * gramsPerMetre
  return {
    byRound, bearing: bearingRounds(draft), floorEnds: floor, spread,
    pieces: shares.filter(({ of }) => of !== 'ends').map(({ name, of, metres }) =>
      ({ name: of === 'cords' ? 'cords' : inSentence(name), grams: metres * gramsPerMetre })),
  }
}

/** After which round so many grams are gone, parts of one too. */
function roundAt(byRound: readonly number[], grams: number): number {
  let left = grams
  for (let i = 0; i < byRound.length; i++) {
    if (left < byRound[i]!) return i + left / byRound[i]!
    left -= byRound[i]!
  }
  return byRound.length
}

/** Puts each piece on the fullest ball, the largest piece first: what no ball holds by itself is joined. */
function piecesOn(balls: readonly Ball[], pieces: BagNeeds['pieces']) {
  const left = balls.map(({ grams }) => grams)
  const on = balls.map(() => [] as string[])
  const joined: string[] = []
  for (const { name, grams } of [...pieces].sort((a, b) => b.grams - a.grams)) {
    // The last of the order that holds it: pieces are made last.
    const at = left.findLastIndex(have => have >= grams)
    if (at >= 0) {
      left[at]! -= grams
      on[at]!.push(name)
      continue
    }
    joined.push(name)
    let missing = grams
    for (let i = left.length - 1; i >= 0 && missing > 0; i--) {
      const taken = Math.min(left[i]!, missing)
      left[i]! -= taken
      missing -= taken
      if (taken > 0) on[i]!.push(name)
    }
  }
  return { left, on, joined }
}

/** Whether a join that ends somewhere between two rounds may fall on one that bears. */
function bears({ low, high }: { readonly low: number, readonly high: number }, bearing: ReadonlySet<number>): boolean {
  for (let round = Math.floor(low) + 1; round <= Math.floor(high) + 1; round++) if (bearing.has(round)) return true
  return false
}

/** Less than this of a gram is what sums of parts differ by. */
const NOTHING_G = 1e-6

function tried(balls: readonly Ball[], { byRound, pieces, bearing, floorEnds, spread }: BagNeeds): BallOrder {
  const { left, on, joined } = piecesOn(balls, pieces)
  const all = byRound.reduce((sum, grams) => sum + grams, 0)
  const uses: BallUse[] = []
  const spare: Ball[] = []
  let [used, badJoins, lotChanges] = [0, 0, 0]
  let before: Ball | undefined
  for (const [i, ball] of balls.entries()) {
    const done = used >= all - NOTHING_G
    if (done && on[i]!.length === 0) {
      spare.push(ball)
      continue
    }
    const from = roundAt(byRound, used)
    const gone = used + left[i]!
    const last = done || gone >= all - NOTHING_G
    const at = (deviations: number) => roundAt(byRound, gone * Math.exp(deviations * spread))
    const ends = last ? undefined : { low: at(-EIGHT_OF_TEN), high: at(EIGHT_OF_TEN) }
    if (!done && before && before.lot !== ball.lot && from > floorEnds) lotChanges++
    if (ends && bears(ends, bearing)) badJoins++
    const to = done ? from : last ? byRound.length : roundAt(byRound, gone)
    uses.push({ ball, from, to, pieces: on[i]!, ...(ends ? { ends } : {}) })
    used = Math.min(all, gone)
    if (!done) before = ball
  }
  const grams = all + pieces.reduce((sum, piece) => sum + piece.grams, 0)
  const have = uses.reduce((sum, { ball }) => sum + ball.grams, 0)
  const lasts = oddsThatItLasts(have, { grams, low: grams, high: grams, spread })
  return { uses, spare, lasts, badJoins, lotChanges, enough: used >= all - NOTHING_G, joinedPieces: joined }
}

/** Cost of an order of balls: what is weak before what shows, that before many joins, and begun balls before whole ones. */
function costOf({ badJoins, lotChanges, joinedPieces, uses, enough }: BallOrder): number {
  const big = uses.reduce((sum, { ball }, i) => sum + ball.grams * (uses.length - i), 0)
  return (enough ? 0 : 1e9) + joinedPieces.length * 1e6 + badJoins * 1e5 + lotChanges * 1e4 + uses.length * 1e2 + big * 1e-3
}

/** The order in which balls are best used for a bag; nothing if there is none, or only one. */
export function ballOrder(draft: Draft, yarn: string, balls: readonly Ball[], eats: Rate): BallOrder | undefined {
  const there = balls.filter(({ grams }) => grams > 0)
  if (there.length < 2) return undefined
  const wanted = wantedOf(draft, yarn, eats)
  const sorted = [...there].sort((a, b) => (a.lot ?? '').localeCompare(b.lot ?? '') || a.grams - b.grams)
  const tries = there.length <= MOST_TRIED ? orders(sorted) : byLots(sorted)
  let best: BallOrder | undefined
  for (const one of tries) {
    const found = tried(one, wanted)
    if (!best || costOf(found) < costOf(best)) best = found
  }
  return best
}
