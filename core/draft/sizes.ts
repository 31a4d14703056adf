import { type Length, plus, times } from '../measure/length'
import type { DraftPart } from './draft'

/** What the bag measures, empty and unloaded. */
export interface BagSizes {
  /** Across the floor. */
  readonly diameter: Length
  /** Across the bag lying flat: half its edge (handbook 5). */
  readonly flatWidth: Length
  /** From the floor to the mouth. */
  readonly height: Length
  /** Around the mouth. */
  readonly mouth: Length
  /** What it holds when it stands up round, filled to the mouth. */
  readonly litres: number
  readonly rounds: number
  readonly stitches: number
}

const NOTHING: Length = { cm: 0, plusMinusCm: 0 }

/** A round wall's share of the volume: height times the area of the circle its edge makes, in litres. */
function litresOf(part: DraftPart): number {
  const around = part.size.circumference.cm
  return (part.size.height.cm * around * around) / (4 * Math.PI) / 1000
}

/** Adds up the parts, from the floor to the mouth. */
export function sizesOf(parts: readonly DraftPart[]): BagSizes {
  const worked = parts.filter(part => part.rounds.length > 0)
  const top = worked[worked.length - 1] ?? parts[0]!
  return {
    diameter: parts[0]!.size.diameter ?? NOTHING,
    flatWidth: times(top.size.circumference, 0.5),
    height: worked.reduce((sum, part) => plus(sum, part.size.height), NOTHING),
    mouth: top.size.circumference,
    litres: worked.reduce((sum, part) => sum + litresOf(part), 0),
    rounds: parts.reduce((sum, part) => sum + part.rounds.length, 0),
    stitches: parts.reduce((sum, part) => sum + part.rounds.reduce((all, round) => all + round.edge.count, 0), 0),
  }
}
