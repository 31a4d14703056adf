import { type Length, plus, times } from '../../things/measure/length'
import { type Floor, hasFloor, noFloor, outlineOf, standing } from '../../parts/part/floor'
import { type Hanging, withHandles, type WithHandles } from './handles'
import type { WorkedRound } from '../../things/round/workedRound'
import { aroundOf, type DraftPart } from './fold/draftPart'
import { riseOf } from '../../parts/part/rise'

/** Sizes of the bag, empty and unloaded. */
export interface BagSizes {
  /** The floor that it stands on. */
  readonly floor: Floor
  /** Across the bag lying flat: half its edge (craft 5). */
  readonly flatWidth: Length
  /** From the floor to the mouth, the bag standing on it. */
  readonly height: Length
  /** The same of the bag lying flat: half its floor folds into it. */
  readonly flatHeight: Length
  /** Around the mouth. */
  readonly mouth: Length
  /** Volume filled to the mouth: standing on its floor, or bulging like a sack if it has none. */
  readonly litres: number
  /** How tall it hangs with a load in it, if it has a net: an estimate. */
  readonly loadedHeightCm?: number
  /** To the top of its handles held up: empty, and under the stated load. */
  readonly withHandles?: WithHandles
  readonly rounds: number
  readonly stitches: number
}

const NOTHING: Length = { cm: 0, plusMinusCm: 0 }

/**
 * Volume of a flat sack when it bulges: half of a pillow twice as tall, by the "paper bag" (tea-bag) formula
 * `w³ (h / (πw) − 0.142 (1 − 10^(−h/w)))` for sides `w ≤ h` (A. C. Robin, "Paper Bag Problem", Mathematics Today 2004;
 * from memory).
 */
export function sackCm3(widthCm: number, heightCm: number): number {
  const w = Math.min(widthCm, 2 * heightCm)
  const h = Math.max(widthCm, 2 * heightCm)
  if (w <= 0) return 0
  return Math.max(0, w ** 3 * (h / (Math.PI * w) - 0.142 * (1 - 10 ** (-h / w)))) / 2
}

/** A wall's share of the volume: its height times the outline that its edge makes over the floor. */
function wallCm3(part: DraftPart, floor: Floor): number {
  const areaCm2 = (aroundCm: number) => outlineOf(floor).areaCm2(standing(floor, aroundCm))
  if (!part.arounds) return part.size.height.cm * areaCm2(part.size.circumference.cm)
  return part.rounds.reduce((sum, _, i) => sum + riseOf(part, i) * areaCm2(aroundOf(part, i)), 0)
}

/** How wide flat pieces laid together lie, as sure as they are. */
function widest({ size: { floor } }: DraftPart, acrossCm: number): Length {
  return floor?.length ?? { cm: acrossCm, plusMinusCm: 0 }
}

/** Stitches of a part's rounds; of one in flat pieces those of its pieces too, which are the bag's body. */
function stitchesOf({ rounds, faces, pieces }: DraftPart): number {
  const made = (worked: readonly WorkedRound[]) => worked.reduce((sum, { edge }) => sum + edge.count, 0)
  return made(rounds) + (faces ? pieces.reduce((sum, { rows, times: often }) => sum + often * made(rows), 0) : 0)
}

/** Adds up the parts, from the floor to the mouth. */
export function sizesOf(parts: readonly DraftPart[], hangings: readonly Hanging[] = [], loadedHeightCm?: number): BagSizes {
  const worked = parts.filter(part => part.rounds.length > 0)
  // An edging stands on the rim: the bag is as wide, and holds as much, without it.
  const body = worked.filter(({ trims }) => !trims)
  // What arches away as handles is carried by the rim below it: the bag is as wide as that.
  const top = body.findLast(({ handles }) => handles.every(({ aboveCm }) => aboveCm === 0)) ?? body.at(-1) ?? parts[0]!
  const laid = parts[0]?.laid
  const mouthWide = times(top.size.circumference, 0.5)
  const flatWidth = laid && laid.acrossCm > mouthWide.cm ? widest(parts[0]!, laid.acrossCm) : mouthWide
  const floor = parts[0]!.size.floor ?? noFloor(flatWidth)
  const height = worked.reduce((sum, part) => plus(sum, part.size.height), NOTHING)
  const handles = withHandles(hangings, height.cm, loadedHeightCm)
  const tallCm = body.reduce((sum, { size }) => sum + size.height.cm, 0)
  const cm3 = hasFloor(floor) ? body.reduce((sum, part) => sum + wallCm3(part, floor), 0) : sackCm3(flatWidth.cm, tallCm)
  return {
    floor,
    flatWidth,
    height,
    flatHeight: plus(height, times(floor.width, 0.5)),
    mouth: top.size.circumference,
    litres: cm3 / 1000,
    ...(loadedHeightCm === undefined ? {} : { loadedHeightCm }), ...(handles ? { withHandles: handles } : {}),
    rounds: parts.reduce((sum, part) => sum + part.rounds.length, 0),
    stitches: parts.reduce((sum, part) => sum + stitchesOf(part), 0),
  }
}
