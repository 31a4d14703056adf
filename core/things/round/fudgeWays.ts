import { STITCHES } from '../stitch/dictionary'
import { type SingleStep, takesPlace } from './singleSteps'
import { each, inOne, skip, type SkipStep, type Step, type StitchStep, together } from './step'

/** A way to change one place of a planned round. */
export type FudgeKind = 'increase' | 'decrease' | 'skip-less' | 'skip-more' | 'same-place' | 'passed-over'

/** The steps in the place of a leaf, changed by so many places; nothing where it cannot be. */
type Edit = (leaf: SingleStep, by: number) => readonly Step[] | undefined

export interface Way {
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
export const FROM_FEWER: readonly Way[] = [
  { kind: 'decrease', edit: lessTogether }, { kind: 'skip-less', edit: skipLess }, { kind: 'increase', edit: increase },
  { kind: 'same-place', edit: samePlace },
]
/** Corners of handles stay drawn together. */
export const BESIDE_HANDLES = FROM_FEWER.slice(1)
export const FROM_MORE: readonly Way[] = [
  { kind: 'skip-more', edit: skipMore }, { kind: 'increase', edit: lessIncrease }, { kind: 'decrease', edit: decrease },
  { kind: 'passed-over', edit: passOver },
]
