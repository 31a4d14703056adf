import { workBase } from '../../parts/base/base'
import { contentOf, girthCm, roomOf } from '../../parts/contents/contents'
import type { Design } from '../design/design'
import { partNames } from '../design/partNames'
import { contextsIn } from '../design/partContexts'
import { fromNothing, type PartResult, type Setting } from '../../parts/part/part'
import type { Start } from '../../parts/part/start'
import { type StitchBudget, stitchBudget, StitchBudgetExceeded, within } from '../../things/round/stitchBudget'
import { type Edge, withSides } from '../../things/round/edge'
import { leanOf } from '../../things/round/style'
import type { WorkedRound } from '../../things/round/workedRound'
import { mainStitch } from '../../parts/wall/wall'
import type { CountCorrection } from './countCorrection'
import { type RealEdge, replanPart } from './replanPart'
import { type PartSource, type DraftPart, isStopped } from './draftPart'
import { beginsLike, inTexture, keptCounts, wantedCm, resumedPart, type Rework } from './resumePart'
import type { GaugeKnowledge, MeasuredFloor } from './gaugeKnowledge'
import { inDoubt, type OwnShare } from '../../parts/texture/ownSize'
import { patternOfPart, shareOf } from './textures'
import { transitionText } from './transitionText'
import { gaugeOfPart, roundsOfPart, unevenPart } from './partGauge'
import { asPart } from './partInBag'
import { tooMuch, tooMuchFinding } from './tooMuch'
import { type PendingPart, pendingTurnUp, pendingWallPart } from './pendingParts'

/*
 * The fold over a bag's parts
 * ===========================
 *
 * Each part takes the edge that the one below left, works rounds onto it and leaves a new edge. What a part was worked from is
 * written down beside it: when the bag is drafted anew, a part that would be worked from the very same things is taken over.
 */

/** Sources of a part's work: two parts from the same sources are the same, and need not be worked twice. */
interface Origin {
  readonly spec: unknown
  readonly edge: Edge | undefined
  readonly index: number
  readonly turns: number
  /** Its other sources, one after the other. */
  readonly saw: readonly unknown[]
}

/** A part worked, and what from; how much was made for it, and how much at most was asked for on the way. */
interface WorkedPart {
  readonly part: DraftPart
  readonly origin: Origin
  readonly made: number
  readonly reached: number
  /** The edge that was really there when it was done, where the next round was to put a count right. */
  readonly real: RealEdge | undefined
  /** How far in all the sides had moved with the seam when it was done. */
  readonly shifted: number
}

/** The parts of a bag from the floor up, with what the next fold can take over from them. */
export interface Fold {
  readonly parts: readonly DraftPart[]
  readonly start: Start
  readonly worked: readonly WorkedPart[]
  readonly known: GaugeKnowledge
  readonly design: Design
}

/** Where a bag that is partly worked is gone on from: as it was drafted until then, and the last round done. */
export interface From {
  readonly fold: Fold
  readonly round: number
}

/** A part of which some rounds are worked: as it was drafted, and how many. */
interface Hand {
  readonly worked: WorkedPart
  readonly rounds: number
}

const NO_START: Start = { kind: 'ring', chains: 0 }

/**
 * The next turned round shows the other side of the last one; on rows, and on a mouth between pieces that are joined, the yarn is joined
 * anew, with the right side facing.
 */
function turnsAfter(last: WorkedRound | undefined, edge: Edge | undefined): number {
  if (!last || last.round.join === 'open' || edge?.from[0] === -1) return 0
  return last.round.facing === 'right' ? 1 : 2
}

function moved(edge: Edge, by: number): Edge {
  return by === 0 ? edge : withSides(edge, [edge.sides[0] + by, edge.sides[1] + by])
}

/** Contents as far as they still stand up above so many centimetres; what is soft gives way. */
function insideAt({ contents }: Design, tallCm: number): Pick<Setting, 'inside'> {
  if (!contents || contentOf(contents).soft) return {}
  const room = roomOf(contents)
  return room.heightCm > tallCm ? { inside: { aroundCm: girthCm(room), heightCm: room.heightCm - tallCm } } : {}
}

function alike(a: Origin, b: Origin): boolean {
  return (
    a.spec === b.spec
    && a.edge === b.edge
    && a.index === b.index
    && a.turns === b.turns
    && a.saw.length === b.saw.length
    && a.saw.every((one, i) => one === b.saw[i])
  )
}

/** A floor as large as the tape said it is, whatever the gauge says it should be. */
function tapedAs(result: PartResult, { length, width }: MeasuredFloor): PartResult {
  const { floor } = result.size
  if (!floor) return result
  const across = floor.shape === 'disc' ? length : floor.shape === 'none' ? floor.width : width ?? floor.width
  return { ...result, size: { ...result.size, floor: { ...floor, length, width: across } } }
}

/** How far the fold has come: what is worked, how many rounds, how tall, and how many rounds above the base the seam has leaned in. */
class FoldState {
  readonly worked: WorkedPart[] = []
  start: Start = NO_START
  below = 0
  private last: WorkedRound | undefined
  /** Stitches that the start of the rounds has leaned, and by how many whole ones the sides are moved for it. */
  private leaned = 0
  private shifted = 0
  private tallCm = 0
  /** The edge that is really there, where the next round puts a count right. */
  private real: RealEdge | undefined
  private readonly allowance: StitchBudget = stitchBudget()

  constructor(
    private readonly design: Design,
    private readonly known: GaugeKnowledge,
    private readonly before: Fold | undefined,
    private readonly found: readonly CountCorrection[],
    private readonly from: From | undefined,
  ) {
    const earlier = before ?? from?.fold
    if (earlier) this.start = earlier.start
  }

  get edge(): Edge | undefined {
    return this.worked.at(-1)?.part.edge
  }

  private setting(from: PartSource): Setting {
    const { design, known, worked, tallCm } = this
    const rounds = roundsOfPart(from, design)
    const gauge = from.in !== 'wall' ? gaugeOfPart(from, design, known.gauge) : known.gauge
    const under = worked.at(-1)?.part
    const floor = worked[0]?.part.size.floor
    return {
      ...fromNothing(gauge, rounds, design.repeats), index: this.below, turns: turnsAfter(this.last, this.edge),
      ...(under ? { belowCm: under.size.circumference.cm, tallCm } : {}), ...(floor ? { floor } : {}), ...insideAt(design, tallCm),
    }
  }

  /** Works the next part, or takes it over from the fold before; whether the bag goes on above it. */
  take(waiting: Omit<PendingPart, 'work'>, work: (setting: Setting, instead: Parameters<Rework>[0]) => PartResult): boolean {
    const { name, from, sees } = waiting
    const hand = this.inHand()
    if (hand && hand.rounds >= hand.worked.part.rounds.length && !this.growsOn(hand.worked.part)) return this.put(this.done(hand.worked))
    const setting = this.setting(from)
    const { belowCm, tallCm, floor, inside } = setting
    const share = from.in === 'wall' ? shareOf(this.known, from.spec) : undefined
    const origin: Origin = {
      spec: from.spec, edge: this.edge, index: this.below, turns: setting.turns,
      saw: [
        name, belowCm, tallCm, floor, inside?.aroundCm, inside?.heightCm, this.shifted, share, ...sees, ...this.found,
        ...(hand ? [hand.worked.part, hand.rounds, this.known.stands] : []),
      ],
    }
    const earlier = this.before?.worked[this.worked.length]
    if (earlier && alike(earlier.origin, origin) && this.allows(earlier)) return this.put(earlier)
    return this.put(this.bounded(waiting, origin, hand, left => this.drafted(waiting, hand, share, (instead) => {
      // Of several tries the last one counts.
      left.made = 0
      return work(setting, instead)
    })))
  }

  /** The part that comes next, if some of its rounds are worked, and how many. */
  private inHand(): Hand | undefined {
    const worked = this.from?.fold.worked[this.worked.length]
    const rounds = (this.from?.round ?? 0) - this.below
    return worked && rounds > 0 ? { worked, rounds: Math.min(rounds, worked.part.rounds.length) } : undefined
  }

  /** A part of a wall whose last round was just done can be made taller; a floor is done when it is done. */
  private growsOn(part: DraftPart): boolean {
    return part.from.in === 'wall' && this.below + part.rounds.length === this.from!.round && wantedCm(part.from.spec) !== undefined
  }

  /** A part that is worked stays; a floor that was measured is told as the tape said. */
  private done(worked: WorkedPart): WorkedPart {
    const { base } = this.known
    if (this.worked.length > 0 || !base) return worked
    const { part } = worked
    const origin: Origin = { ...worked.origin, saw: [part, base, this.known.gauge, ...this.found] }
    const earlier = this.before?.worked[0]
    if (earlier && alike(earlier.origin, origin)) return earlier
    const told = this.goneOn(tapedAs(workBase(base.spec, this.setting(part.from)), base.taped))
    // What goes into row ends by gauge would come to other counts in what the tape says: it is worked, and stays.
    const asWorked = told.rounds.every(({ edge }, i) => edge.count === part.rounds[i]?.edge.count)
    const kept = asWorked ? told : { ...told, rounds: part.rounds, edge: part.edge }
    return { ...worked, origin, part: this.anew(part.id, part.name, part.from, kept), real: this.real }
  }

  private put(worked: WorkedPart): boolean {
    const { part, made, real, shifted } = worked
    this.allowance.made = this.allowance.made + made
    this.worked.push(worked)
    this.below += part.rounds.length
    this.last = part.rounds.at(-1) ?? this.last
    this.tallCm += part.size.height.cm
    this.real = real
    this.shifted = shifted
    this.leaned += this.leanedIn(part.from, part.rounds.length)
    return !isStopped(part)
  }

  /** Whether a part that was worked before could be worked here too. */
  private allows({ reached }: WorkedPart): boolean {
    return this.allowance.made + reached <= this.allowance.most
  }

  /** Works a part, as far as the bag's allowance goes. */
  private bounded(
    { id, name, from }: Omit<PendingPart, 'work'>,
    origin: Origin,
    hand: Hand | undefined,
    work: (left: StitchBudget) => DraftPart,
  ): WorkedPart {
    const left: StitchBudget = stitchBudget(this.allowance.most - this.allowance.made)
    try {
      const part = within(left, () => work(left))
      return { part, origin, made: left.made, reached: left.reached, real: this.real, shifted: this.shiftedBy(from, part.rounds.length) }
    }
    catch (beyond) {
      if (!(beyond instanceof StitchBudgetExceeded)) throw beyond
      if (hand) {
        const part = this.kept(hand.worked, hand.rounds, from)
        return { ...hand.worked, part, origin, shifted: this.shiftedBy(from, part.rounds.length) }
      }
      const inAll = new StitchBudgetExceeded(this.allowance.made + beyond.made, beyond.asked)
      const finding = tooMuchFinding(this.design, id, from, origin.edge, inAll)
      const part = asPart(id, name, from, this.below, tooMuch(origin.edge, this.known.gauge))
      // It is never taken over: how much is left is part of what it says.
      return { part: { ...part, findings: [finding] }, origin, made: 0, reached: Infinity, real: this.real, shifted: this.shifted }
    }
  }

  /** A part as it is drafted: from its beginning, or from the rounds on that are worked. */
  private drafted(
    { id, name, from }: Omit<PendingPart, 'work'>,
    hand: Hand | undefined,
    share: OwnShare | undefined,
    work: Rework,
  ): DraftPart {
    const pattern = from.in === 'wall' && patternOfPart(from.spec, this.design.repeats)
    const byShare: Rework = pattern ? instead => inDoubt(work(instead), share) : work
    if (!hand) return this.anew(id, name, from, this.goneOn(inTexture(from.spec, share, byShare)))
    const { worked, rounds } = hand
    const after = this.goneOn(resumedPart({ id, from }, rounds, this.known, share, byShare))
    if (beginsLike(after.rounds, worked.part.rounds, rounds)) return this.anew(id, name, from, after)
    return this.kept(worked, rounds, from)
  }

  /** A part that keeps its counts, since some of its rounds are worked. */
  private kept(worked: WorkedPart, rounds: number, from: PartSource): DraftPart {
    this.real = worked.real
    const kind = from.in === 'wall' ? mainStitch(from.spec, contextsIn(this.design, this.known.gauge)) : 'sc'
    const [now, then] = [this.known, this.from!.fold.known].map(({ gauge }) => gauge[kind].height.cm)
    const by = this.shiftedBy(from, worked.part.rounds.length) - worked.shifted
    return keptCounts({ ...worked.part, edge: moved(worked.part.edge, by) }, rounds, this.known, now! / then!)
  }

  /** A part as it goes on from what was counted on the hook. */
  private goneOn(result: PartResult): PartResult {
    if (this.found.length === 0) return result
    const { result: after, real } = replanPart(result, this.below, this.found, this.real)
    this.real = real
    return after
  }

  /** Stitches that so many rounds of a part lean; those of a floor lead nowhere. */
  private leanedIn(from: PartSource, rounds: number): number {
    return from.in === 'base' ? 0 : (leanOf(roundsOfPart(from, this.design)) * rounds) / 10
  }

  /**
   * How far the bag's sides have moved when a part of so many rounds is done: where the seam leans, the start of the rounds moves back, so
   * the sides lie as many stitches further along (craft 10). Taken from the whole way up, so that it adds up to whole stitches without
   * drifting.
   */
  private shiftedBy(from: PartSource, rounds: number): number {
    return Math.round(this.leaned + this.leanedIn(from, rounds))
  }

  /** Transition notes where a part goes otherwise than the last one that was worked. */
  private going(from: PartSource, { rounds, pieces = [] }: PartResult): string[] {
    const under = this.worked.findLast(({ part }) => part.rounds.length > 0)?.part
    if (!under || rounds.length + pieces.length === 0) return []
    return transitionText(this.design, from, under.from, this.last?.round.facing === 'wrong', rounds.length > 0)
  }

  private anew(id: string, name: string, from: PartSource, certain: PartResult): DraftPart {
    const result = this.known.stands?.part === id ? certain : unevenPart(certain, from, this.design, this.known.gauge)
    if (this.worked.length === 0) {
      this.start = result.start ?? NO_START
      return asPart(id, name, from, this.below, result)
    }
    const by = this.shiftedBy(from, result.rounds.length) - this.shifted
    const going = this.going(from, result)
    const advice = going.length > 0 ? { advice: [...going, ...(result.advice ?? [])] } : {}
    return asPart(id, name, from, this.below, { ...result, ...advice, edge: moved(result.edge, by) })
  }
}

/** Start of a fold, besides the design and what is known of the stitches. */
interface Starting {
  /** An earlier fold: parts worked from the very same things are taken over from it. */
  readonly before?: Fold | undefined
  /** Counts that rounds really have, where the maker went on with another than planned. */
  readonly found?: readonly CountCorrection[]
  /** Of a bag that is partly worked: what stays. */
  readonly from?: From | undefined
  /** No further than the part with this round. */
  readonly upTo?: number
}

/**
 * The parts from the floor up, each worked onto the edge that the one below left; a stop ends the bag there.
 */
export function fold(design: Design, known: GaugeKnowledge, { before, found = [], from, upTo = Infinity }: Starting = {}): Fold {
  const { gauge } = known
  const usable = before && before.known.gauge === gauge && before.design.rounds === design.rounds ? before : undefined
  const rising = new FoldState(design, known, usable, found, from)
  const { base } = design
  let goesOn = rising.take({ id: 'base', name: base.called ?? 'Base', from: { in: 'base', spec: base }, sees: [design.repeats] }, setting =>
    workBase(base, setting),
  )
  const names = partNames(design)
  const above = [
    pendingTurnUp(design, gauge),
    ...design.wall.map((spec, index) => pendingWallPart(design, gauge, { spec, name: names[index]!, index }, from !== undefined)),
  ]
  for (const waiting of above) {
    if (!goesOn || rising.below >= upTo) break
    const edge = rising.edge!
    goesOn = rising.take(waiting, (setting, instead) => waiting.work(edge, setting, instead))
  }
  return { parts: rising.worked.map(({ part }) => part), start: rising.start, worked: rising.worked, known, design }
}
