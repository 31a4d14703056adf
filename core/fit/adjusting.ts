import type { BaseSpec } from '../base/base'
import type { FabricKind } from '../stitch/dictionary'
import { mainStitch } from '../wall/wall'
import type { WallProblem } from './plans'

/** What an adjusting round that a fit puts in is worked in: the stitch and yarn of what lies below. */
export function adjustingStitch(
  { wall, seen }: WallProblem,
  before: number,
  base: BaseSpec,
): { readonly stitch: FabricKind, readonly colour: string } {
  const below = wall[before - 1]
  return { stitch: below ? mainStitch(below, seen) : base.stitch, colour: below?.colour ?? base.colour }
}
