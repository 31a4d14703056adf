import { baseChoices, type BaseSpec } from '../../parts/base/base'
import type { BaseChoice } from '../../parts/base/baseChoice'
import type { Design, WallPart } from '../design/design'
import { withParts } from '../design/partIds'
import { baseSetting, contextsIn } from '../design/partContexts'
import { fold } from '../draft/fold/fold'
import { knowledgeFrom } from '../draft/replan/gaugeKnowledge'
import { isStopped } from '../draft/fold/draftPart'
import type { Gauge } from '../../things/gauge/gauge'
import { adjustedTo, bareWall } from '../../parts/wall/adjusted'
import { adjustingStitch } from './adjusting'
import { type Adjusting, leaves, stuckAt, type WallPlan, wallPlans, type WallProblem } from './plans'
import { metresWanted, partsOf, withRounds, YarnOfBags, type YarnWish } from './yarnDemand'
import { roundsLeft } from './roundsLeft'
import { type FitWish, USUAL_WISH } from './wish'
import { Best, type Choice } from './bestPlans'

/*
 * The fit: counts with which everything divides at once
 * =====================================================
 *
 * A bag's counts hang together from the floor to the mouth: the base leaves so many stitches, each band asks for a multiple of
 * its repeat and leaves another number, and a casing or a pair of slots at the top asks once more. The fit goes through every
 * base within a tolerance of the wanted sizes, and for each through every way up the wall: straight on where the count divides,
 * by an adjusting round to any count in reach where it does not.
 *
 * What a choice costs is said in centimetres, so that it can be weighed by hand: what the base's sizes miss, half a centimetre
 * for each adjusting round and what it makes the wall wider or narrower lying flat, and a tenth if its changes cannot lie evenly.
 * The cheapest come first.
 *
 * The ways up a wall depend only on the count that the base leaves, so they are listed once a count (plans.ts); then every
 * combination of base and way is weighed, one by one.
 */

/** One way to make everything divide: an edit of base and wall, and what it costs. */
export interface Fitting {
  readonly base: BaseSpec
  readonly wall: readonly WallPart[]
  /** Stitches at the base's edge, and at the mouth. */
  readonly stitches: number
  readonly mouth: number
  readonly off: BaseChoice['off']
  readonly adjusting: readonly Adjusting[]
  readonly costCm: number
  /** Of a yarn that must last: metres that it wants of it, and the rounds of the part that takes what is left. */
  readonly yarn?: { readonly metres: number, readonly rounds?: number }
}

/** Where counts collide when nothing fits: no base in reach gets past this part of the wall (its length: the mouth). */
export interface Collision {
  readonly at: number
  /** How many bases were tried. */
  readonly bases: number
}

/** Result of a search: the best combinations, cheapest first, or why there is none. */
export interface FitResult {
  readonly found: readonly Fitting[]
  readonly collision?: Collision
  /** Combinations of base and way up the wall that were weighed. */
  readonly weighed: number
  /** How many of them want more yarn than there is. */
  readonly tooMuchYarn?: number
}

function problemOf(design: Design, gauge: Gauge, { mostAdjusting }: FitWish): WallProblem {
  return { wall: bareWall(design.wall), seen: contextsIn(design, gauge), mouthDivides: design.mouth?.divides ?? 1, mostAdjusting }
}

/** The wall of a plan: adjusting rounds put in where the plan says, in the stitch and yarn of what lies below. */
function wallOf(problem: WallProblem, base: BaseSpec, adjusting: readonly Adjusting[]): WallPart[] {
  return withParts(
    problem.wall,
    adjusting.map(({ before, to }) => {
      const { stitch, colour } = adjustingStitch(problem, before, base)
      return { at: before, spec: adjustedTo({ pin: { stitches: to } }, stitch, colour) }
    }),
  )
}

/** Difference of the sum of the parts from the whole. */
const NOTHING_M = 1e-6

/** How many alternatives are shown. */
const SHOWN = 6

/** How many of the cheapest are worked in full at most, to find so many that come out. */
const WORKED = 48

/**
 * The part of the wall that a bag stops at when it is worked in full; none if it comes out. Counts are not all: handles and straps
 * also have to find room on the rim.
 */
function stopsAt(design: Design, gauge: Gauge, { base, wall }: Fitting): number | undefined {
  const { parts } = fold({ ...design, base, wall }, knowledgeFrom(gauge, design))
  const stopped = parts.find(isStopped)
  if (!stopped) return undefined
  return bareWall(wall.slice(0, stopped.from.index)).length
}

function collisionOf(problem: WallProblem, choices: readonly BaseChoice[]): Collision {
  const stuck = stuckAt(problem)
  const furthest = Math.max(-1, ...choices.map(({ stitches }) => stuck(stitches) ?? -1))
  return { at: furthest, bases: choices.length }
}

/** Whether a combination lasts with the yarn there is; every one does if none is short. */
function lastingOnly(
  design: Design,
  problem: WallProblem,
  { yarn }: FitWish,
  choices: readonly Choice[],
  plansFor: (count: number) => readonly WallPlan[],
): (base: BaseSpec, plan: WallPlan) => boolean {
  if (!yarn) return () => true
  const counts = [...new Set(choices.map(({ stitches }) => stitches))]
  const plans = counts.flatMap(count => plansFor(count).map(plan => [count, plan] as const))
  const wanted = new YarnOfBags(design, problem, yarn, choices, plans, leaves(problem))
  return (base, plan) => wanted.of(base, plan) <= yarn.metres + NOTHING_M
}

/** A fitting drafted in full, the part that takes what is left as tall as the yarn makes it; nothing if it does not last after all. */
function withYarn(design: Design, gauge: Gauge, fitting: Fitting, yarn: YarnWish | undefined): Fitting | undefined {
  if (!yarn) return fitting
  const whole: Design = { ...design, base: fitting.base, wall: fitting.wall }
  const rounds = yarn.part === undefined ? undefined : roundsLeft(whole, gauge, yarn)
  if (yarn.part !== undefined && rounds === undefined) return undefined
  const wall = rounds === undefined ? fitting.wall : withRounds(fitting.wall, yarn.part, rounds)
  const metres = metresWanted(partsOf({ ...whole, wall }, gauge), yarn.yarn)
  if (metres > yarn.metres + NOTHING_M) return undefined
  return { ...fitting, wall, yarn: { metres, ...(rounds === undefined ? {} : { rounds }) } }
}

/**
 * Searches all counts, a base at a time.
 *
 * @yields the share of the bases that have been tried, so that a worker can tell how far it is
 */
export function* searching(design: Design, gauge: Gauge, wish: FitWish): Generator<number, FitResult> {
  const choices = baseChoices(design.base, baseSetting(design, gauge), wish.toleranceCm)
  const problem = problemOf(design, gauge, wish)
  const plansFor = wallPlans(problem)
  const best = new Best()
  let weighed = 0
  const lasts = lastingOnly(design, problem, wish, choices, plansFor)
  let tooMuchYarn = 0
  for (const [i, choice] of choices.entries()) {
    for (const plan of plansFor(choice.stitches)) {
      weighed++
      if (lasts(choice.base, plan)) best.offer(choice, plan)
      else tooMuchYarn++
    }
    if (i % 64 === 63) yield (i + 1) / choices.length
  }
  const found: Fitting[] = []
  let stopped: number | undefined
  for (const { choice, plan, costCm } of best.list().slice(0, WORKED)) {
    const fitting: Fitting = {
      base: choice.base, wall: wallOf(problem, choice.base, plan.adjusting), stitches: choice.stitches, mouth: plan.mouth,
      off: choice.off, adjusting: plan.adjusting, costCm,
    }
    const at = stopsAt(design, gauge, fitting)
    const lasting = at === undefined ? withYarn(design, gauge, fitting, wish.yarn) : undefined
    if (lasting) found.push(lasting)
    else stopped ??= at
    if (found.length === SHOWN) break
  }
  const short = wish.yarn ? { tooMuchYarn } : {}
  if (found.length > 0 || (tooMuchYarn > 0 && tooMuchYarn === weighed)) return { found, weighed, ...short }
  const collision = stopped === undefined ? collisionOf(problem, choices) : { at: stopped, bases: choices.length }
  return { found, weighed, ...short, collision }
}

/** The whole search at once. */
export function fit(design: Design, gauge: Gauge, wish: FitWish = USUAL_WISH): FitResult {
  const search = searching(design, gauge, wish)
  for (;;) {
    const step = search.next()
    if (step.done) return step.value
  }
}
