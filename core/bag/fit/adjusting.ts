import type { BaseSpec } from '../../parts/base/base'
import type { FabricKind } from '../../things/stitch/dictionary'
import { mainStitch } from '../../parts/wall/wall'
import type { WallProblem } from './plans'

/** The stitch and yarn of an adjusting round that a fit puts in: those of what lies below. */
export function adjustingStitch(
  { wall, seen }: WallProblem,
  before: number,
  base: BaseSpec,
): { readonly stitch: FabricKind, readonly colour: string } {
  const below = wall[before - 1]
  return { stitch: below ? mainStitch(below, seen) : base.stitch, colour: below?.colour ?? base.colour }
}
