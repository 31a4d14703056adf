import type { Design } from '../../design/design'
import { contentOf, girthCm, roomOf } from '../../../parts/contents/contents'
import { fromNothing, type Setting } from '../../../parts/part/part'
import type { Start } from '../../../parts/part/start'
import type { Gauge } from '../../../things/gauge/gauge'
import { type Edge, withSides } from '../../../things/round/edge'
import { leanOf } from '../../../things/round/style'
import type { WorkedRound } from '../../../things/round/workedRound'
import type { RealEdge } from '../replan/replanPart'
import { type DraftPart, isBase, type PartSource } from './draftPart'
import { gaugeOfPart, roundsOfPart } from './partGauge'

/*
 * The bag as far as it is worked, on which the next part stands. Each state follows from the one below and the part put on it.
 */

/** Sources of a part's work: two parts from the same sources are the same, and need not be worked twice. */
export interface Origin {
  readonly spec: unknown
  readonly edge: Edge | undefined
  readonly index: number
  readonly turns: number
  /** Its other sources, one after the other. */
  readonly saw: readonly unknown[]
}

/** A part worked, and what from; how much was made for it, and how much at most was asked for on the way. */
export interface WorkedPart {
  readonly part: DraftPart
  readonly origin: Origin
  readonly made: number
  readonly reached: number
  /** The edge that was really there when it was done, where the next round was to put a count right. */
  readonly real: RealEdge | undefined
  /** How far in all the sides had moved with the seam when it was done. */
  readonly shifted: number
  /** The start of the bag; of the first part alone. */
  readonly start?: Start
}

/** How far a bag is worked: its parts, rounds, height, and how far the start of its rounds has leaned. */
export interface BagState {
  readonly worked: readonly WorkedPart[]
  /** Rounds of the bag until here. */
  readonly below: number
  readonly last: WorkedRound | undefined
  readonly tallCm: number
  /** Stitches that the start of the rounds has leaned, and by how many whole ones the sides are moved for it. */
  readonly leaned: number
  readonly shifted: number
  /** The edge that is really there, where the next round puts a count right. */
  readonly real: RealEdge | undefined
  /** Stitches made, straps and all. */
  readonly made: number
}

/** Nothing is worked yet. */
export const GROUND: BagState = { worked: [], below: 0, last: undefined, tallCm: 0, leaned: 0, shifted: 0, real: undefined, made: 0 }

/** The bag with a further part. */
export function stacked(state: BagState, worked: WorkedPart, design: Design): BagState {
  const { part, made, real, shifted } = worked
  return {
    worked: [...state.worked, worked], below: state.below + part.rounds.length, last: part.rounds.at(-1) ?? state.last,
    tallCm: state.tallCm + part.size.height.cm, leaned: state.leaned + leanedIn(part, part.rounds.length, design), shifted, real,
    made: state.made + made,
  }
}

/** The edge that the next part stands on; none below the base. */
export function edgeOf({ worked }: BagState): Edge | undefined {
  return worked.at(-1)?.part.edge
}

/** Stitches that so many rounds of a part lean; those of a floor lead nowhere. */
function leanedIn(part: Pick<DraftPart, 'from'>, rounds: number, design: Design): number {
  return isBase(part) ? 0 : (leanOf(roundsOfPart(part.from, design)) * rounds) / 10
}

/**
 * How far the bag's sides have moved when a part of so many rounds is done: where the seam leans, the start of the rounds moves back, so
 * the sides lie as many stitches further along (craft 10). Taken from the whole way up, so that it adds up to whole stitches without
 * drifting.
 */
export function shiftAfter({ leaned }: BagState, from: PartSource, rounds: number, design: Design): number {
  return Math.round(leaned + leanedIn({ from }, rounds, design))
}

/** An edge whose sides have moved by so many stitches. */
export function moved(edge: Edge, by: number): Edge {
  return by === 0 ? edge : withSides(edge, [edge.sides[0] + by, edge.sides[1] + by])
}

/**
 * The next turned round shows the other side of the last one; on rows, and on a mouth between pieces that are joined, the yarn is joined
 * anew, with the right side facing.
 */
function turnsAfter(last: WorkedRound | undefined, edge: Edge | undefined): number {
  if (!last || last.round.join === 'open' || edge?.from[0] === -1) return 0
  return last.round.facing === 'right' ? 1 : 2
}

/** Contents as far as they still stand up above so many centimetres; what is soft gives way. */
function insideAt({ contents }: Design, tallCm: number): Pick<Setting, 'inside'> {
  if (!contents || contentOf(contents).soft) return {}
  const room = roomOf(contents)
  return room.heightCm > tallCm ? { inside: { aroundCm: girthCm(room), heightCm: room.heightCm - tallCm } } : {}
}

/** The setting that the next part is worked in. */
export function settingOf(state: BagState, from: PartSource, design: Design, known: Gauge): Setting {
  const { worked, tallCm } = state
  const gauge = from.wall ? known : gaugeOfPart(from, design, known)
  const under = worked.at(-1)?.part
  const floor = worked[0]?.part.size.floor
  return {
    ...fromNothing(gauge, roundsOfPart(from, design), design.repeats), index: state.below, turns: turnsAfter(state.last, edgeOf(state)),
    ...(under ? { belowCm: under.size.circumference.cm, tallCm } : {}), ...(floor ? { floor } : {}), ...insideAt(design, tallCm),
  }
}
