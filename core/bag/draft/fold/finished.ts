import type { PartResult } from '../../../parts/part/part'
import type { Start } from '../../../parts/part/start'
import type { Design } from '../../design/design'
import type { GaugeKnowledge } from '../replan/gaugeKnowledge'
import type { RealEdge } from '../replan/replanPart'
import { type BagState, moved, shiftAfter } from './bagState'
import type { DraftPart } from './draftPart'
import { unevenPart } from './partGauge'
import { asPart } from './partInBag'
import type { PendingPart } from './pendingParts'
import { transitionText } from './transitionText'

/** A result by what was counted on the hook, and the edge that is really there after it. */
export interface Replanned {
  readonly result: PartResult
  readonly real: RealEdge | undefined
}

/** A part as drafted, before it is put on the bag. */
export interface Outcome {
  readonly part: DraftPart
  readonly real: RealEdge | undefined
  readonly start?: Start
}

/** Transition notes where a part goes otherwise than the last one that was worked. */
function transition(state: BagState, { from }: Pick<PendingPart, 'from'>, { rounds, pieces = [] }: PartResult, design: Design): string[] {
  const under = state.worked.findLast(({ part }) => part.rounds.length > 0)?.part
  if (!under || rounds.length + pieces.length === 0) return []
  return transitionText(design, from, under.from, state.last?.round.facing === 'wrong', rounds.length > 0)
}

/** A result as a part of the bag: as sure as its stitches are even, its sides moved with the seam, and how it goes on from below. */
export function finished(
  { design, known }: { readonly design: Design, readonly known: GaugeKnowledge },
  state: BagState,
  { id, name, from }: Pick<PendingPart, 'id' | 'name' | 'from'>,
  { result: certain, real }: Replanned,
): Outcome {
  const result = known.stands?.part === id ? certain : unevenPart(certain, from, design, known.gauge)
  if (state.worked.length === 0)
    return { part: asPart(id, name, from, state.below, result), real, ...(result.start ? { start: result.start } : {}) }
  const by = shiftAfter(state, from, result.rounds.length, design) - state.shifted
  const notes = transition(state, { from }, result, design)
  const advice = notes.length > 0 ? { advice: [...notes, ...(result.advice ?? [])] } : {}
  return { part: asPart(id, name, from, state.below, { ...result, ...advice, edge: moved(result.edge, by) }), real }
}
