import type { RepeatStep, Step } from './step'

/*
 * The steps of a round one by one, within repeats too: which lie near a place of the edge, and the round with others instead of one.
 */

/** A step that is no repeat, where it stands: for each level of repeats the step and its turn, and how far along the edge it begins. */
export interface SingleStep {
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

/** Whether a step goes into a place of its own. */
export function takesPlace(step: Step): boolean {
  return (step.do === 'stitch' || step.do === 'group') && ['next', 'space'].includes(step.aim ?? 'next')
}

/** How far along the edge steps reach, in places; a chain of a space that is worked into chain by chain is one place. */
export function reach(steps: readonly Step[]): number {
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
export function turnsNear({ times, steps }: RepeatStep, at: number, target: number): number[] {
  const each = Math.max(1, reach(steps))
  const middle = Math.min(times - 1, Math.max(0, Math.floor((target - at) / each)))
  return [middle, middle - 1, middle + 1].filter(turn => turn >= 0 && turn < times)
}

/** The steps that are no repeats, of repeats those in the turns about a place. */
function leavesNear(steps: readonly Step[], target: number, from = 0, above: readonly Turn[] = []): SingleStep[] {
  let at = from
  return steps.flatMap((step, index): SingleStep[] => {
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
export const NEAREST = 10

export function nearestSteps(steps: readonly Step[], target: number): SingleStep[] {
  const apart = ({ at, offset }: SingleStep) => Math.abs(at + offset - target)
  return leavesNear(steps, target).sort((a, b) => apart(a) - apart(b)).slice(0, NEAREST)
}

/** Steps with others in the place of a leaf, or of a turn of a repeat; the turns on either side of it stay as they are. */
export function withInstead(steps: readonly Step[], [here, ...below]: readonly Turn[], instead: readonly Step[]): Step[] {
  const { index, turn } = here!
  const step = steps[index]!
  const turns = (times: number): Step[] =>
    step.do !== 'repeat' || times <= 0 ? [] : times === 1 ? [...step.steps] : [{ ...step, times }]
  const own = step.do === 'repeat' && below.length > 0 ? withInstead(step.steps, below, instead) : instead
  const now = step.do === 'repeat' ? [...turns(turn), ...own, ...turns(step.times - turn - 1)] : own
  return [...steps.slice(0, index), ...now, ...steps.slice(index + 1)]
}
