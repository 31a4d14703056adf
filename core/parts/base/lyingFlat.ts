import { between, length, want } from '../field/questions'
import { DIAMETER_CM } from '../field/bounds'
import { tenths } from '../field/context'
import type { BaseChoice } from './baseChoice'

/** A floor wanted by its length and width, or by how wide the bag lies and how wide its floor is. */
export type FloorWanted
  = { readonly lengthCm: number, readonly widthCm: number } | { readonly flatWidthCm: number, readonly widthCm: number }

/** A floor wanted by the bag that stands on it: how wide that lies flat, half its edge, and how wide the floor is. */
export const FLAT_AND_WIDE = want(
  'the bag lying flat',
  {
    flatWidthCm: length('Width lying flat', DIAMETER_CM, { usually: between(4, 60) }),
    widthCm: length('Width of the floor', DIAMETER_CM, { usually: between(1, 20) }),
  },
  {
    does: 'You say how wide the bag lies, half its edge, and how wide its floor is; its length follows.',
    from: (_: object, { part }) => ({
      flatWidthCm: tenths((part?.size.circumference.cm ?? 50) / 2, DIAMETER_CM),
      widthCm: tenths(part?.size.floor?.width.cm ?? 10, DIAMETER_CM),
    }),
  },
)

/** How much of its flat width a floor's width takes away from its length: an oval's ends are half discs, a rectangle's are straight. */
const TAKES = { stadium: Math.PI / 2 - 1, rectangle: 1 } as const

/**
 * The length and width of a wanted floor. Of the flat width, half the edge: of a stadium `F = (L - W) + pi W / 2`, of a rectangle
 * `F = L + W` (craft 5, perimeters).
 */
export function floorWanted(shape: keyof typeof TAKES, wanted: FloorWanted): { readonly lengthCm: number, readonly widthCm: number } {
  if ('lengthCm' in wanted) return wanted
  return { lengthCm: Math.max(wanted.flatWidthCm - TAKES[shape] * wanted.widthCm, wanted.widthCm), widthCm: wanted.widthCm }
}

/** How far off a floor's longer wish is: its length, or the width of the bag that stands on so long an edge. */
export function longOff(
  wanted: FloorWanted,
  lengthCm: number,
  edgeCm: number,
): { readonly size: 'length' | 'flat width', readonly cm: number } {
  return 'lengthCm' in wanted
    ? { size: 'length', cm: lengthCm - wanted.lengthCm }
    : { size: 'flat width', cm: edgeCm / 2 - wanted.flatWidthCm }
}

/** Whether a choice is as near to every wish as it may be off. */
export function isWithin({ off }: Pick<BaseChoice, 'off'>, toleranceCm: number): boolean {
  return off.every(({ cm }) => Math.abs(cm) <= toleranceCm + 1e-9)
}
