import { inSentence } from '../../bag/design/partNames'
import type { Draft } from '../../bag/draft/draft'
import type { DraftPart } from '../../bag/draft/fold/draftPart'
import { risenCm } from '../../parts/part/rise'
import type { InHand } from '../../making/make/plan'
import { lastDone } from '../../making/make/measuring'
import { metresByRound, yarnNeeds, type YarnShare, yarnShares } from '../../bag/yarn/yarn'
import type { Rate } from './yarnUse'
import { oddsThatItLasts, type Wants, wants } from './enough'
import { gramsFromTo, gramsOf } from '../../things/stitch/translate'
import { eatsNow, type OnScales, withWeight } from './weighing'

/*
 * Will it last
 * ============
 *
 * From what lies on the scales now: how far a yarn goes, what must be kept back for all that is worked apart from the rounds, and how sure
 * that is. Yarn weighed before and after some rounds says what this bag eats; before that the shelf, the log or the craft say it.
 */

/** Eight of ten lie within so many deviations (standard tables of the normal distribution). */
const EIGHT_OF_TEN = 1.2816

/** Where a yarn runs out: after so many rounds of the bag, parts of one too. */
export interface RunsOut {
  readonly round: number
  /** Eight times of ten it is between these. */
  readonly low: number
  readonly high: number
}

/** How far a yarn goes. */
export interface HowFar {
  readonly leftGrams: number
  /** Grams still to come in it, rounds and all. */
  readonly wants: Wants
  /** How likely it is that it lasts. */
  readonly odds: number
  /** Grams kept back for what is worked apart: straps, cords, seams, ends. */
  readonly keepBackGrams: number
  readonly keepBack: readonly YarnShare[]
  /** Where it runs out, as things stand; nothing if that is not even expected at the far end of its range. */
  readonly runsOut?: RunsOut
}

/** After which round so many metres are gone, counted on from a round: parts of a round too; all rounds if they last. */
function goneAt(byRound: readonly number[], from: number, metres: number): number {
  let left = metres
  for (let i = from; i < byRound.length; i++) {
    const round = byRound[i]!
    if (round > 0 && left < round) return i + Math.max(0, left) / round
    left -= round
  }
  return byRound.length
}

/**
 * Whether the pieces of a part are made: those that its rounds stand on with the first of them, the others once a round above it is done.
 */
function arePiecesMade({ pieces, rounds, firstRound }: DraftPart, done: number): boolean {
  return pieces.every(({ before }) => before) ? firstRound <= done : firstRound + rounds.length - 1 < done
}

/** Pieces worked apart from the rounds and still to come: straps and seams; cords and ends, which come when the bag is finished. */
function keptBack(draft: Draft, yarn: string, done: number): YarnShare[] {
  const made = new Set(draft.parts.filter(part => arePiecesMade(part, done)).map(({ id }) => id))
  return yarnShares(draft).filter(({ yarn: of, of: what, part }) =>
    of === yarn && what !== 'rounds' && !(what === 'pieces' && made.has(part ?? '')))
}

const metresOf = (shares: readonly { readonly metres: number }[]) => shares.reduce((sum, { metres }) => sum + metres, 0)

/** Metres of a yarn that are still to come of a bag of which some rounds are done. */
export function metresToCome(draft: Draft, yarn: string, done: number): number {
  return metresByRound(draft, yarn).slice(done).reduce((sum, metres) => sum + metres, 0) + metresOf(keptBack(draft, yarn, done))
}

/**
 * How far what is left of a yarn goes.
 *
 * @param done rounds of the bag that are done
 */
export function howFar(draft: Draft, yarn: string, done: number, leftGrams: number, eats: Rate): HowFar {
  const byRound = metresByRound(draft, yarn)
  const keepBack = keptBack(draft, yarn, done)
  const keptMetres = metresOf(keepBack)
  const all = wants(metresToCome(draft, yarn, done), eats)
  const at = (deviations: number) =>
    goneAt(byRound, done, leftGrams / (eats.gramsPerMetre * Math.exp(deviations * eats.spread)) - keptMetres)
  const [round, low, high] = [at(0), at(EIGHT_OF_TEN), at(-EIGHT_OF_TEN)]
  return {
    leftGrams, wants: all, odds: oddsThatItLasts(leftGrams, all), keepBackGrams: keptMetres * eats.gramsPerMetre, keepBack,
    ...(low < byRound.length ? { runsOut: { round, low, high } } : {}),
  }
}

/** How far a yarn of a bag in hand goes that weighs so much now. */
export function howFarInHand(
  hand: InHand,
  state: OnScales,
  yarn: string,
  leftGrams: number,
  before: Rate,
): HowFar | undefined {
  if (!yarnNeeds(hand.draft).some(need => need.yarn.id === yarn)) return undefined
  const eats = eatsNow(hand, withWeight(hand, state, { yarn, grams: leftGrams, of: 'left' }), yarn, before)
  return howFar(hand.draft, yarn, lastDone(hand), leftGrams, eats)
}

/** How tall the bag is after so many rounds, parts of one too. */
export function heightAfter({ parts }: Draft, rounds: number): number {
  return parts.reduce((cm, part) => cm + risenCm(part, 0, Math.max(0, Math.min(part.rounds.length, rounds - part.firstRound + 1))), 0)
}

const whole = (round: number) => Math.floor(round)

/** How far it goes, in words. */
export function howFarWords({ odds, runsOut, keepBackGrams, keepBack, wants: { low, high } }: HowFar, rounds: number): string {
  const range = `What is still to come wants ${gramsFromTo(low, high)}.`
  const percent = Math.min(99, Math.max(1, Math.round(100 * odds)))
  const apart = [...new Set(keepBack.map(({ of, name }) => (of === 'ends' ? 'ends' : inSentence(name))))].join(', ')
  const kept = keepBackGrams >= 1 ? ` Keep back about ${gramsOf(Math.ceil(keepBackGrams))} for what is worked apart: ${apart}.` : ''
  if (!runsOut) return `${range} It lasts (${percent} %).${kept}`
  const { round, low: from, high: to } = runsOut
  const last = whole(to) >= rounds ? 'the end' : `${whole(to)}`
  const where = whole(round) >= rounds
    ? `If it does not, it runs out from round ${whole(from)} on.`
    : `It goes as far as about round ${whole(round)} of ${rounds} (${whole(from)} to ${last}, eight times of ten).`
  const verdict = odds < 0.1 ? `It will not last (${percent} % that it does).` : `Whether it lasts is open: ${percent} % that it does.`
  return `${range} ${verdict} ${where}${kept}`
}
