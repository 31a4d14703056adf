import { STITCH_KINDS, type StitchKind } from '../stitch/dictionary'
import { type Edge, PLACE_CODE } from './edge'
import type { Round } from './round'
import { AIMS } from './step'

/** A round as it stands after working: what was made, on what, and the edge it leaves. */
export interface WorkedRound {
  readonly round: Round
  readonly on: Edge
  readonly edge: Edge
  /** A `STITCH_CODE` per thing made; a run of chains is one `ch`. */
  readonly stitches: Uint8Array
  /** Index into `LOOPS` of how each was entered. */
  readonly loops: Uint8Array
  /** Index into `AIMS` of where the hook went for each. */
  readonly aims: Uint8Array
}

/** Places skipped: how many, which of them is the middle one, from 1, and its place. */
interface SkippedRun {
  readonly number: number
  readonly nth: number
  readonly middle: number
}

/**
 * The places of the edge below that were skipped between two neighbours, the short way round; nothing if none were. Of two the
 * earlier is the middle one.
 */
export function skippedRun({ from, to, over, closed }: Edge, before: number, after: number): SkippedRun | undefined {
  if (before < 0 || after < 0 || over === 0) return undefined
  const onwards = (a: number, b: number) => closed ? (b - a + over) % over : Math.abs(b - a)
  const ahead = onwards(to[before]!, from[after]!)
  const back = onwards(to[after]!, from[before]!)
  const [start, wide] = ahead <= back ? [to[before]!, ahead] : [to[after]!, back]
  return wide < 2 ? undefined : { number: wide - 1, nth: wide >> 1, middle: (start + (wide >> 1)) % over }
}

/** The middle of the places skipped between two neighbours; -1 if there were none. */
export function skippedBetween(edge: Edge, before: number, after: number): number {
  return skippedRun(edge, before, after)?.middle ?? -1
}

/** The place two rounds below that a deep stitch is anchored in; -1 for a stitch that is not deep. */
export function anchorBelow(worked: WorkedRound, made: number): number {
  const aim = AIMS[worked.aims[made]!]
  if (aim === 'below') return worked.on.from[worked.edge.from[made]!]!
  return aim === 'gapBelow' ? skippedBetween(worked.on, worked.edge.from[made]!, worked.edge.to[made]!) : -1
}

/** The kind of a thing made. */
export function kindAt(worked: WorkedRound, made: number): StitchKind {
  return STITCH_KINDS[worked.stitches[made]!]!
}

/** Whether a thing made is drawn together over several places: a decrease. */
export function isDrawnTogether({ edge, aims: how }: WorkedRound, made: number): boolean {
  return how[made] === 0 && edge.from[made] !== edge.to[made] && edge.kinds[made] === PLACE_CODE.stitch
}

/** Whether a thing made shares its place with the one before it: the second half of an increase. */
export function sharesPlace(worked: WorkedRound, made: number): boolean {
  return made > 0 && worked.edge.from[made] === worked.edge.from[made - 1] && worked.edge.to[made] === worked.edge.to[made - 1]
}
