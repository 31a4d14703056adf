import type { Aim, SkipStep, Step } from '../round/step'
import type { Around } from './places'

/** Spaces that are passed over; of loops the stitches between them are passed too. */
export function skippedSpaces(sort: string | undefined): Partial<SkipStep> {
  if (!sort) return {}
  return /^loop/i.test(sort) ? { of: 'loop', aim: 'space' } : { of: 'space' }
}

/** Places that take all that is said to go into them, however much that is. */
export const ONE_PLACE: readonly Aim[] = ['gap', 'gapBelow', 'same', 'start']

/** How often steps go round: by the places they use up, or the spaces if they go into those. */
export function roundsOf(steps: readonly Step[], { places, spaces }: Around): number {
  const used = usedBy(steps)
  return used.spaces > 0 && used.places === 0 ? spaces / used.spaces : places / Math.max(1, used.places + used.spaces)
}

/** Places and spaces that steps use up. */
function usedBy(steps: readonly Step[]): { readonly places: number, readonly spaces: number } {
  let places = 0
  let spaces = 0
  for (const step of steps) {
    if (step.do === 'chain') continue
    if (step.do === 'skip') places += step.places
    else if (step.do === 'together') places += step.over - (step.chain === 'both' ? 2 : step.chain ? 1 : 0)
    else if (step.do === 'repeat') {
      const inside = usedBy(step.steps)
      places += step.times * inside.places
      spaces += step.times * inside.spaces
    }
    else if (step.aim === 'space') spaces += step.do === 'stitch' ? step.times : 1
    else if (step.aim === 'chains') places += step.landmark === 'bridge' ? 1 : 0
    else if (!step.aim || !ONE_PLACE.includes(step.aim)) places += step.do === 'stitch' ? step.times : 1
  }
  return { places, spaces }
}
