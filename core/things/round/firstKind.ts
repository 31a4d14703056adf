import { type FabricKind, STITCHES } from '../stitch/dictionary'
import type { Step } from './step'

/** The kind of the first stitch that steps work and that stands up: a starting chain stands as tall. */
export function firstKind(steps: readonly Step[]): FabricKind | undefined {
  for (const step of steps) {
    if ('kind' in step && STITCHES[step.kind].heightInSc > 0) return step.kind as FabricKind
    const inside = 'steps' in step ? firstKind(step.steps) : undefined
    if (inside) return inside
  }
  return undefined
}
