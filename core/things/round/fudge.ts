import type { Edge } from './edge'
import { runAt } from './freeRuns'
import { BESIDE_HANDLES, FROM_FEWER, FROM_MORE, type FudgeKind, type Way } from './fudgeWays'
import { type SingleStep, NEAREST, nearestSteps, reach, takesPlace, turnsNear, withInstead } from './singleSteps'
import type { Step, StitchStep } from './step'
import { work } from './workRound'
import type { WorkedRound } from './workedRound'

/*
 * Fudging a count
 * ===============
 *
 * One stitch too many or too few is put right in the next round by working one place of it otherwise: two stitches drawn together or
 * two in one place, a repeat that takes one stitch more or fewer, two loops in one space (handbook 13; common practice, no source). The
 * round then leaves the very edge that it was meant to leave, so that everything above goes on as planned.
 *
 * The search is by trial: every way to work a place otherwise, in the order of how little it shows, at the places nearest to where it
 * shows least (beside the seam, at the bag's side); `work` says which comes out on the edge that is really there.
 */

/** A planned round with some places changed, and in which way. */
interface FudgedRound {
  readonly worked: WorkedRound
  readonly kind: FudgeKind
  readonly places: number
}

/** A turn of a repeat that takes no place of its own: all of it goes where the one before went. */
function turnAgain(steps: readonly Step[]): Step[] | undefined {
  const again = steps.flatMap((step): Step[] => {
    if (step.do === 'skip') return []
    return takesPlace(step) ? [{ ...(step as StitchStep), aim: 'same' }] : [step]
  })
  const only = steps.filter(takesPlace)
  return only.length === 1 && (only[0] as StitchStep).times === 1 && steps.every(({ do: what }) => what !== 'repeat') ? again : undefined
}

/** Steps in which one turn of a repeat, the nearest ones first, takes no place of its own. */
function* withTurnAgain(steps: readonly Step[], target: number): Generator<Step[]> {
  let at = 0
  for (const [index, step] of steps.entries()) {
    const again = step.do === 'repeat' && step.times > 1 ? turnAgain(step.steps) : undefined
    if (again && step.do === 'repeat')
      for (const turn of turnsNear(step, at, target))
        if (turn > 0 || index > 0) yield withInstead(steps, [{ index, turn }], again)
    at += reach([step])
  }
}

/** The same for one turn near each of several places. */
function* withTurnsAgain(steps: readonly Step[], [target, ...more]: readonly number[]): Generator<readonly Step[]> {
  if (target === undefined) yield steps
  else for (const again of withTurnAgain(steps, target)) yield* withTurnsAgain(again, more)
}

/** One way at one place after the other: the nearest to each target, or the next nearest. */
function spreadOut(steps: readonly Step[], { edit }: Way, targets: readonly number[], nth: number): Step[] | undefined {
  let now: Step[] | undefined = [...steps]
  for (const target of targets) {
    const tried: (readonly [SingleStep, readonly Step[]])[] = now
      ? nearestSteps(now, target).flatMap((leaf) => {
          const instead = edit(leaf, 1)
          return instead ? [[leaf, instead] as const] : []
        })
      : []
    const one = tried[Math.min(nth, tried.length - 1)]
    now = one && withInstead(now!, one[0].path, one[1])
  }
  return now
}

interface Try {
  readonly steps: readonly Step[]
  readonly kind: FudgeKind
  readonly places: number
}

/** Everything that may come out, the least seen first. */
function* tries(steps: readonly Step[], ways: readonly Way[], numbers: readonly number[], targets: readonly number[]): Generator<Try> {
  for (const number of numbers) {
    const spots = Array.from({ length: number }, (_, i) => targets[i % targets.length]!)
    for (const way of ways) {
      for (let nth = 0; nth < NEAREST / 2; nth++) {
        const spread = spreadOut(steps, way, spots, nth)
        if (spread) yield { steps: spread, kind: way.kind, places: number }
      }
      if (number === 1) continue
      for (const leaf of nearestSteps(steps, targets[0]!)) {
        const instead = way.edit(leaf, number)
        if (instead) yield { steps: withInstead(steps, leaf.path, instead), kind: way.kind, places: 1 }
      }
    }
  }
  if (ways === FROM_MORE) return
  for (const number of numbers)
    for (const again of withTurnsAgain(steps, Array.from({ length: number }, (_, i) => targets[i % targets.length]!)))
      yield { steps: again, kind: 'same-place', places: number }
}

/** Parts that stand on handles, one by one: on which, how the hook got there, and whether they stand on the bag too. */
function onHandles({ on, edge, aims }: WorkedRound): string {
  const runs = runAt(on)
  const found: string[] = []
  edge.from.forEach((from, i) => {
    const [here, there] = [runs[from]!, runs[edge.to[i]!]!]
    if (here || there) found.push(`${here} ${there} ${aims[i]}`)
  })
  return found.join()
}

/** Whether handles are worked as they were meant to be. */
export function keepsHandles(worked: WorkedRound, meant: WorkedRound): boolean {
  return !worked.on.free || onHandles(worked) === onHandles(meant)
}

/** Whether steps tell stitches from spaces: what they say of one must not go into the other. */
function tellsPlaces(steps: readonly Step[]): boolean {
  return steps.some(step => step.do === 'skip' || ('landmark' in step && step.landmark !== undefined)
    || (step.do === 'repeat' && tellsPlaces(step.steps)))
}

/** Whether what is meant for stitches goes into stitches, what is meant for spaces into spaces, and handles are as they were. */
function goesWhereMeant(worked: WorkedRound, meant: WorkedRound): boolean {
  if (!keepsHandles(worked, meant)) return false
  const { on, edge } = worked
  return !tellsPlaces(meant.round.steps) || edge.from.every((place, i) => on.kinds[place] === meant.on.kinds[meant.edge.from[i]!])
}

/** Whether two edges are the same places in the same order. */
function samePlaces(a: Edge, b: Edge): boolean {
  return a.count === b.count && a.kinds.every((kind, i) => kind === b.kinds[i]) && a.chains.every((run, i) => run === b.chains[i])
}

/** More than so many places nobody fudges. */
const MOST_FUDGED = 4

/**
 * A round worked on an edge of another count than it is meant for, so that it leaves what it is meant to leave.
 *
 * @param meant the round as it comes out on the edge that there should be
 * @param real the edge that there is
 * @param difference counted places that it has more (above 0) or fewer
 * @param shares of the way round where it shows least, the best first: 0 is where the round begins, 1 where it ends
 */
export function fudge(meant: WorkedRound, real: Edge, difference: number, shares: readonly number[]): FudgedRound | undefined {
  const inPlaces = Math.abs(real.count - meant.on.count)
  const numbers = [...new Set([Math.abs(difference), inPlaces])].filter(number => number > 0 && number <= MOST_FUDGED)
  const targets = shares.map(share => Math.min(real.count - 1, Math.floor(share * real.count)))
  const ways = difference > 0 ? FROM_MORE : real.free ? BESIDE_HANDLES : FROM_FEWER
  for (const { steps, kind, places } of tries(meant.round.steps, ways, numbers, targets)) {
    const result = work({ ...meant.round, steps }, real)
    if (!result.ok || !samePlaces(result.worked.edge, meant.edge) || !goesWhereMeant(result.worked, meant)) continue
    const { sides, free } = meant.edge
    return { worked: { ...result.worked, edge: { ...result.worked.edge, sides, ...(free ? { free } : {}) } }, kind, places }
  }
  return undefined
}
