import { hasFloor, isDisc } from '../../../parts/part/floor'
import { workBase } from '../../../parts/base/base'
import type { PartResult } from '../../../parts/part/part'
import { mainStitch } from '../../../parts/wall/wall'
import { contextsIn } from '../../design/partContexts'
import type { Design } from '../../design/design'
import { type BagState, moved, type Origin, settingOf, shiftAfter, type WorkedPart } from '../fold/bagState'
import type { DraftPart, PartSource } from '../fold/draftPart'
import { finished, type Replanned } from '../fold/finished'
import type { Memo } from '../fold/memo'
import type { CountCorrection } from './countCorrection'
import type { GaugeKnowledge } from './gaugeKnowledge'
import type { MeasuredFloor } from './measuredFloor'
import { replanPart } from './replanPart'
import { keptCounts, wantedCm } from './resumePart'

/*
 * Edits of what is folded: a bag that is partly worked is drafted on from its last round. Parts that are done stay as they are; a floor
 * that was measured is told as the tape said; a part in hand goes on from its last round, or keeps its counts where it cannot.
 */

/** Where a bag that is partly worked is gone on from: as it was drafted until then, and the last round done. */
export interface From<F = { readonly worked: readonly WorkedPart[], readonly known: GaugeKnowledge }> {
  readonly fold: F
  readonly round: number
}

/** A part of which some rounds are worked: as it was drafted, and how many. */
export interface PartlyWorked {
  readonly worked: WorkedPart
  readonly rounds: number
}

/** A fold's design, what is known and was counted, and where it is gone on from. */
interface Replan {
  readonly design: Design
  readonly known: GaugeKnowledge
  readonly found: readonly CountCorrection[]
  readonly from: From | undefined
  readonly memo: Memo
}

/** The part that comes next, if some of its rounds are worked, and how many. */
export function handAt(from: From | undefined, state: BagState): PartlyWorked | undefined {
  const worked = from?.fold.worked[state.worked.length]
  const rounds = (from?.round ?? 0) - state.below
  return worked && rounds > 0 ? { worked, rounds: Math.min(rounds, worked.part.rounds.length) } : undefined
}

/** Whether a part is done. One of a wall whose last round was just done can be made taller; a floor is done when it is done. */
export function isDone({ from }: Replan, { below }: BagState, { worked: { part }, rounds }: PartlyWorked): boolean {
  const { wall } = part.from
  const growsOn = wall && below + part.rounds.length === from!.round && wantedCm(wall) !== undefined
  return rounds >= part.rounds.length && !growsOn
}

/** A part's result by what was counted on the hook. */
export function replanned({ found }: Replan, { below, real }: BagState, result: PartResult): Replanned {
  if (found.length === 0) return { result, real }
  const outcome = replanPart(result, below, found, real)
  return { result: outcome.result, real: outcome.real }
}

/** A floor as large as the tape said it is, whatever the gauge says it should be. */
function measuredAs(result: PartResult, { length, width }: MeasuredFloor): PartResult {
  const { floor } = result.size
  if (!floor) return result
  const across = isDisc(floor) ? length : hasFloor(floor) ? width ?? floor.width : floor.width
  return { ...result, size: { ...result.size, floor: { ...floor, length, width: across } } }
}

/** A part that is worked stays; a floor that was measured is told as the tape said. */
export function donePart(replan: Replan, state: BagState, worked: WorkedPart): WorkedPart {
  const { design, known, found, memo } = replan
  const { base, gauge } = known
  if (state.worked.length > 0 || !base) return worked
  const { part } = worked
  const origin: Origin = { ...worked.origin, saw: [part, base, gauge, ...found] }
  const before = memo(state, origin)
  if (before) return before
  const floor = measuredAs(workBase(base.spec, settingOf(state, part.from, design, gauge)), base.taped)
  const { result, real } = replanned(replan, state, floor)
  // What goes into row ends by gauge would come to other counts in what the tape says: it is worked, and stays.
  const asWorked = result.rounds.every(({ edge }, i) => edge.count === part.rounds[i]?.edge.count)
  const told = asWorked ? result : { ...result, rounds: part.rounds, edge: part.edge }
  return { ...worked, origin, ...finished(replan, state, part, { result: told, real }) }
}

/** A part that keeps its counts, since some of its rounds are worked. */
export function keptPart({ design, known, from: since }: Replan, state: BagState, hand: PartlyWorked, from: PartSource): DraftPart {
  const { worked: { part, shifted }, rounds } = hand
  const spec = from.wall
  const kind = spec ? mainStitch(spec, contextsIn(design, known.gauge)) : 'sc'
  const [now, then] = [known, since!.fold.known].map(({ gauge }) => gauge[kind].height.cm)
  const by = shiftAfter(state, from, part.rounds.length, design) - shifted
  return keptCounts({ ...part, edge: moved(part.edge, by) }, rounds, known, now! / then!)
}
