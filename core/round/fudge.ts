import { STITCHES } from '../stitch/dictionary'
import type { Edge } from './edge'
import { runAt } from './freeRuns'
import { each, inOne, skip, type RepeatStep, type SkipStep, type Step, type StitchStep, together } from './step'
import { work } from './work'
import type { Worked } from './worked'

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

/** A way to change one place of a planned round. */
export type FudgeKind = 'increase' | 'decrease' | 'skip-less' | 'skip-more' | 'same-place' | 'passed-over'

/** A planned round with some places changed, and in which way. */
export interface Fudged {
  readonly worked: Worked
  readonly kind: FudgeKind
  readonly places: number
}

/** A step that is no repeat, where it stands: for each level of repeats the step and its turn, and how far along the edge it begins. */
interface Leaf {
  readonly path: readonly Turn[]
  readonly step: Step
  readonly at: number
  /** Which of a run's stitches lies nearest to where it is looked for. */
  readonly offset: number
}

interface Turn {
  readonly index: number
  readonly turn: number
}

/** Works a leaf otherwise, by so many places; nothing where it cannot be. */
type Edit = (leaf: Leaf, by: number) => readonly Step[] | undefined

interface Way {
  readonly kind: FudgeKind
  readonly edit: Edit
}

function plainRun(step: Step): StitchStep | undefined {
  return step.do === 'stitch' && (step.aim ?? 'next') === 'next' && !step.backwards ? step : undefined
}

/** A run of stitches with something else in it, so many left before it and after it. */
function within(run: StitchStep, before: number, what: Step, after: number): Step[] {
  const some = (times: number): Step[] => (times > 0 ? [{ ...run, times }] : [])
  return [...some(before), what, ...some(after)]
}

/** Two in one place instead of one in each of two. */
const increase: Edit = ({ step, offset }, by) => {
  const run = plainRun(step)
  if (!run || by !== 1 || run.times < 2) return undefined
  const before = Math.min(offset, run.times - 2)
  const two = { ...inOne(run.kind, 2, run.loop), ...(run.landmark ? { landmark: run.landmark } : {}) }
  return within(run, before, two, run.times - 2 - before)
}

/** One decrease fewer: what would be drawn together is worked apart. */
const lessTogether: Edit = ({ step }, by) => {
  if (step.do !== 'together' || step.chain || step.over - by < 1) return undefined
  return [step.over - by === 1 ? each(step.kind, 1, step.loop) : { ...step, over: step.over - by }]
}

const decrease: Edit = ({ step, at, offset }, by) => {
  const run = plainRun(step)
  // The round's first stitch may be its starting chain.
  const before = Math.max(at === 0 ? 1 : 0, Math.min(offset, (run?.times ?? 0) - 1))
  if (!run || by !== 1 || run.landmark || STITCHES[run.kind].heightChains === 0 || before >= run.times) return undefined
  return within(run, before, { ...together(run.kind), ...(run.loop ? { loop: run.loop } : {}) }, run.times - 1 - before)
}

/** One increase fewer: of two in one place each has its own. */
const lessIncrease: Edit = ({ step }, by) => {
  if (step.do !== 'group' || by !== 1 || step.rows || (step.aim ?? 'next') !== 'next') return undefined
  const [only, ...more] = step.steps
  if (more.length > 0 || only?.do !== 'stitch' || only.times !== 2) return undefined
  return [{ ...each(only.kind, 2, step.loop), ...(step.landmark ? { landmark: step.landmark } : {}) }]
}

const skipLess: Edit = ({ step }, by) =>
  step.do === 'skip' && step.places >= by ? (step.places > by ? [{ ...step, places: step.places - by }] : []) : undefined

const skipMore: Edit = ({ step }, by) => (step.do === 'skip' ? [{ ...step, places: step.places + by }] : undefined)

/** Whether a step goes into a place of its own. */
function takesPlace(step: Step): boolean {
  return (step.do === 'stitch' || step.do === 'group') && ['next', 'space'].includes(step.aim ?? 'next')
}

/** Again into the place before: what two places would take goes into one. */
const samePlace: Edit = ({ step, at, offset }, by) => {
  if (by !== 1 || at === 0 || !takesPlace(step)) return undefined
  if (step.do === 'group') return [{ ...step, aim: 'same' }]
  const run = step as StitchStep
  return within(run, offset, { ...run, times: 1, aim: 'same' }, run.times - 1 - offset)
}

/** Places passed over before a step. */
const passOver: Edit = ({ step, at, offset }, by) => {
  if (at === 0 || !takesPlace(step)) return undefined
  const passed: SkipStep = 'aim' in step && step.aim === 'space'
    ? { ...skip(by), aim: 'space', of: 'landmark' in step && step.landmark === 'loop' ? 'loop' : 'space' }
    : skip(by)
  if (step.do !== 'stitch' || step.times === 1) return [passed, step]
  return within(step, offset, passed, step.times - offset)
}

/** Ways to make the same out of fewer places, and out of more, those that show least first. */
const FROM_FEWER: readonly Way[] = [
  { kind: 'decrease', edit: lessTogether }, { kind: 'skip-less', edit: skipLess }, { kind: 'increase', edit: increase },
  { kind: 'same-place', edit: samePlace },
]
/** Corners of handles stay drawn together. */
const BESIDE_HANDLES = FROM_FEWER.slice(1)
const FROM_MORE: readonly Way[] = [
  { kind: 'skip-more', edit: skipMore }, { kind: 'increase', edit: lessIncrease }, { kind: 'decrease', edit: decrease },
  { kind: 'passed-over', edit: passOver },
]

/** How far along the edge steps reach, in places; a chain of a space that is worked into chain by chain is one place. */
function reach(steps: readonly Step[]): number {
  return steps.reduce((sum, step) => {
    switch (step.do) {
      case 'repeat': return sum + step.times * reach(step.steps)
      case 'skip': return sum + step.places
      case 'together': return sum + step.over
      case 'chain': return sum
      case 'stitch': return sum + (step.aim === 'chains' ? 1 : takesPlace(step) || step.aim === 'below' ? step.times : 0)
      case 'group': return sum + (takesPlace(step) ? 1 : 0)
    }
  }, 0)
}

/** The turns of a repeat about a place of the edge. */
function turnsNear({ times, steps }: RepeatStep, at: number, target: number): number[] {
  const each = Math.max(1, reach(steps))
  const middle = Math.min(times - 1, Math.max(0, Math.floor((target - at) / each)))
  return [middle, middle - 1, middle + 1].filter(turn => turn >= 0 && turn < times)
}

/** The steps that are no repeats, of repeats those in the turns about a place. */
function leavesNear(steps: readonly Step[], target: number, from = 0, above: readonly Turn[] = []): Leaf[] {
  let at = from
  return steps.flatMap((step, index): Leaf[] => {
    const here = at
    at += reach([step])
    if (step.do !== 'repeat') {
      const offset = step.do === 'stitch' ? Math.min(step.times - 1, Math.max(0, target - here)) : 0
      return [{ path: [...above, { index, turn: 0 }], step, at: here, offset }]
    }
    const each = reach(step.steps)
    return turnsNear(step, here, target).flatMap(turn =>
      leavesNear(step.steps, target, here + turn * each, [...above, { index, turn }]))
  })
}

/** So many nearest leaves are tried. */
const NEAREST = 10

function nearestLeaves(steps: readonly Step[], target: number): Leaf[] {
  const apart = ({ at, offset }: Leaf) => Math.abs(at + offset - target)
  return leavesNear(steps, target).sort((a, b) => apart(a) - apart(b)).slice(0, NEAREST)
}

/** Steps with others in the place of a leaf, or of a turn of a repeat; the turns on either side of it stay as they are. */
function withInstead(steps: readonly Step[], [here, ...below]: readonly Turn[], instead: readonly Step[]): Step[] {
  const { index, turn } = here!
  const step = steps[index]!
  const turns = (times: number): Step[] =>
    step.do !== 'repeat' || times <= 0 ? [] : times === 1 ? [...step.steps] : [{ ...step, times }]
  const own = step.do === 'repeat' && below.length > 0 ? withInstead(step.steps, below, instead) : instead
  const now = step.do === 'repeat' ? [...turns(turn), ...own, ...turns(step.times - turn - 1)] : own
  return [...steps.slice(0, index), ...now, ...steps.slice(index + 1)]
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
    const tried: (readonly [Leaf, readonly Step[]])[] = now
      ? nearestLeaves(now, target).flatMap((leaf) => {
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
      for (const leaf of nearestLeaves(steps, targets[0]!)) {
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
function onHandles({ on, edge, aims }: Worked): string {
  const runs = runAt(on)
  const found: string[] = []
  edge.from.forEach((from, i) => {
    const [here, there] = [runs[from]!, runs[edge.to[i]!]!]
    if (here || there) found.push(`${here} ${there} ${aims[i]}`)
  })
  return found.join()
}

/** Whether handles are worked as they were meant to be. */
export function keepsHandles(worked: Worked, meant: Worked): boolean {
  return !worked.on.free || onHandles(worked) === onHandles(meant)
}

/** Whether steps tell stitches from spaces: what they say of one must not go into the other. */
function tellsPlaces(steps: readonly Step[]): boolean {
  return steps.some(step => step.do === 'skip' || ('landmark' in step && step.landmark !== undefined)
    || (step.do === 'repeat' && tellsPlaces(step.steps)))
}

/** Whether what is meant for stitches goes into stitches, what is meant for spaces into spaces, and handles are as they were. */
function goesWhereMeant(worked: Worked, meant: Worked): boolean {
  if (!keepsHandles(worked, meant)) return false
  const { on, edge } = worked
  return !tellsPlaces(meant.round.steps) || edge.from.every((place, i) => on.kinds[place] === meant.on.kinds[meant.edge.from[i]!])
}

/** Whether two edges are the same places in the same order. */
export function samePlaces(a: Edge, b: Edge): boolean {
  return a.count === b.count && a.kinds.every((kind, i) => kind === b.kinds[i]) && a.chains.every((run, i) => run === b.chains[i])
}

/** More than so many places nobody fudges. */
export const MOST_FUDGED = 4

/**
 * A round worked on an edge of another count than it is meant for, so that it leaves what it is meant to leave.
 *
 * @param meant the round as it comes out on the edge that there should be
 * @param real the edge that there is
 * @param difference counted places that it has more (above 0) or fewer
 * @param shares of the way round where it shows least, the best first: 0 is where the round begins, 1 where it ends
 */
export function fudge(meant: Worked, real: Edge, difference: number, shares: readonly number[]): Fudged | undefined {
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
