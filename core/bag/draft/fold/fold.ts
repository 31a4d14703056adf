import type { Setting } from '../../../parts/part/part'
import type { Start } from '../../../parts/part/start'
import { inDoubt, type OwnShare } from '../../../parts/texture/ownSize'
import { MOST_MADE, type StitchBudget, stitchBudget, StitchBudgetExceeded, within } from '../../../things/round/stitchBudget'
import type { Design } from '../../design/design'
import { tooMuch, tooMuchFinding } from '../findings/tooMuch'
import type { CountCorrection } from '../replan/countCorrection'
import type { GaugeKnowledge } from '../replan/gaugeKnowledge'
import { donePart, type From, handAt, isDone, keptPart, type PartlyWorked, replanned } from '../replan/partlyWorked'
import { beginsLike, inTexture, resumedPart, type Rework } from '../replan/resumePart'
import { type BagState, edgeOf, GROUND, type Origin, settingOf, shiftAfter, stacked, type WorkedPart } from './bagState'
import { type DraftPart, isStopped } from './draftPart'
import { finished, type Outcome } from './finished'
import { type Memo, memoOf } from './memo'
import { asPart } from './partInBag'
import { type PendingPart, pendingParts } from './pendingParts'
import { patternOfPart, shareOf } from './textures'

/*
 * The fold over a bag's parts
 * ===========================
 *
 * Each part takes the edge that the one below left, works rounds onto it and leaves a new edge. Around it stand a memo (a part that would
 * be worked from the very same things is taken over) and a budget (no more stitches than a bag may have). Of a bag that is partly worked
 * the parts that are done stay, and the one in hand goes on from its last round (core/bag/draft/replan).
 */

/** The parts of a bag from the floor up, with what the next fold can take over from them. */
export interface Fold {
  readonly parts: readonly DraftPart[]
  readonly start: Start
  readonly worked: readonly WorkedPart[]
  readonly known: GaugeKnowledge
  readonly design: Design
}

/** Start of a fold, besides the design and what is known of the stitches. */
interface FoldOptions {
  /** An earlier fold: parts worked from the very same things are taken over from it. */
  readonly before?: Fold | undefined
  /** Counts that rounds really have, where the maker went on with another than planned. */
  readonly found?: readonly CountCorrection[]
  /** Of a bag that is partly worked: what stays. */
  readonly from?: From<Fold> | undefined
  /** No further than the part with this round. */
  readonly upTo?: number
}

/** Everything that a fold reads besides the parts below. */
interface FoldInput {
  readonly design: Design
  readonly known: GaugeKnowledge
  readonly found: readonly CountCorrection[]
  readonly from: From<Fold> | undefined
  readonly memo: Memo
}

const NO_START: Start = { kind: 'ring', chains: 0 }

/** The parts from the floor up, each worked onto the edge that the one below left; a stop ends the bag there. */
export function fold(design: Design, known: GaugeKnowledge, { before, found = [], from, upTo = Infinity }: FoldOptions = {}): Fold {
  const usable = before?.known.gauge === known.gauge && before.design.rounds === design.rounds
  const input: FoldInput = { design, known, found, from, memo: memoOf(usable ? before.worked : []) }
  let state = GROUND
  for (const pending of pendingParts(design, known.gauge, from !== undefined)) {
    const worked = nextPart(input, state, pending)
    state = stacked(state, worked, design)
    if (isStopped(worked.part) || state.below >= upTo) break
  }
  const { worked } = state
  return { parts: worked.map(({ part }) => part), start: worked[0]?.start ?? NO_START, worked, known, design }
}

/** The next part: as it is if it is done, taken over if nothing it is worked from has changed, or else worked. */
function nextPart(input: FoldInput, state: BagState, pending: PendingPart): WorkedPart {
  const hand = handAt(input.from, state)
  if (hand && isDone(input, state, hand)) return donePart(input, state, hand.worked)
  const setting = settingOf(state, pending.from, input.design, input.known.gauge)
  const share = pending.from.wall && shareOf(input.known, pending.from.wall)
  const origin = originOf(input, state, pending, { setting, share, hand })
  return input.memo(state, origin) ?? workedWithin(input, state, pending, { setting, share, hand, origin })
}

/** The setting of a part, its texture's own size, and how far it is worked already. */
interface Circumstances {
  readonly setting: Setting
  readonly share: OwnShare | undefined
  readonly hand: PartlyWorked | undefined
}

function originOf(
  { known, found }: FoldInput, state: BagState, { name, from, sees }: PendingPart, { setting, share, hand }: Circumstances,
): Origin {
  const { belowCm, tallCm, floor, inside, turns } = setting
  return {
    spec: from.spec, edge: edgeOf(state), index: state.below, turns,
    saw: [
      name, belowCm, tallCm, floor, inside?.aroundCm, inside?.heightCm, state.shifted, share, ...sees, ...found,
      ...(hand ? [hand.worked.part, hand.rounds, known.stands] : []),
    ],
  }
}

/** Works a part within the stitches that are left of the bag's budget; one that would take more keeps its counts, or is not begun. */
function workedWithin(
  input: FoldInput, state: BagState, pending: PendingPart, at: Circumstances & { readonly origin: Origin },
): WorkedPart {
  const { design, known } = input
  const { origin, hand } = at
  const budget = stitchBudget(MOST_MADE - state.made)
  const shifted = ({ rounds }: DraftPart) => shiftAfter(state, pending.from, rounds.length, design)
  try {
    const outcome = within(budget, () => drafted(input, state, pending, at, budget))
    return { ...outcome, origin, made: budget.made, reached: budget.reached, shifted: shifted(outcome.part) }
  }
  catch (beyond) {
    if (!(beyond instanceof StitchBudgetExceeded)) throw beyond
    if (hand) {
      const part = keptPart(input, state, hand, pending.from)
      return { ...hand.worked, part, origin, shifted: shifted(part) }
    }
    const { id, name, from } = pending
    const inAll = new StitchBudgetExceeded(state.made + beyond.made, beyond.asked)
    const part = asPart(id, name, from, state.below, tooMuch(origin.edge, known.gauge))
    // It is never taken over: how much is left is part of what it says.
    return {
      part: { ...part, findings: [tooMuchFinding(design, id, from, origin.edge, inAll)] }, origin, made: 0, reached: Infinity,
      real: state.real, shifted: state.shifted,
    }
  }
}

/** A part as it is drafted: from its beginning, or from the rounds on that are worked. */
function drafted(
  input: FoldInput, state: BagState, pending: PendingPart, { setting, share, hand }: Circumstances, budget: StitchBudget,
): Outcome {
  const pattern = pending.from.wall && patternOfPart(pending.from.wall, input.design.repeats)
  const work: Rework = (instead) => {
    // Of several tries the last one counts.
    budget.made = 0
    const result = pending.work(edgeOf(state), setting, instead)
    return pattern ? inDoubt(result, share) : result
  }
  if (!hand) return finished(input, state, pending, replanned(input, state, inTexture(pending.from.wall, share, work)))
  const after = replanned(input, state, resumedPart(pending, hand.rounds, input.known, share, work))
  if (beginsLike(after.result.rounds, hand.worked.part.rounds, hand.rounds)) return finished(input, state, pending, after)
  const { real, start } = hand.worked
  return { part: keptPart(input, state, hand, pending.from), real, ...(start ? { start } : {}) }
}
