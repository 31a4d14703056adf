import type { Step } from './step'

/** Places of the edge below that steps use up: spaces among them, what is skipped too. */
export function placesUsed(steps: readonly Step[]): number {
  return steps.reduce((sum, step) => {
    switch (step.do) {
      case 'stitch': return sum + (['same', 'gap', 'gapBelow', 'start'].includes(step.aim ?? '') ? 0 : step.times)
      case 'group': return sum + (['same', 'gap'].includes(step.aim ?? '') ? 0 : 1)
      case 'together': return sum + step.over
      case 'skip': return sum + step.places
      case 'chain': return sum
      case 'repeat': return sum + step.times * placesUsed(step.steps)
    }
  }, 0)
}
