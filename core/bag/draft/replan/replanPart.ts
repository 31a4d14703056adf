import type { PartResult } from '../../../parts/part/part'
import type { PutRightIn } from '../../../parts/part/correctedRound'
import type { Edge } from '../../../things/round/edge'
import { countedPlaces, recountEdge, recountWorked } from '../../../things/round/recount'
import type { WorkedRound } from '../../../things/round/workedRound'
import { countable, type CountCorrection } from './countCorrection'
import { puttingRight, workedOn } from './reworkRound'
import { leftEdge, rescaled } from './rescaled'
import { growsAtEnds, hidingPlaces, whereOf } from './hidingPlaces'

/*
 * Going on from what was counted
 * ==============================
 *
 * A maker who has 118 where 120 were planned, and lives with it, has another edge than the draft; what is worked stays as it is, and
 * everything above is drafted from the edge that is really there. The rounds still to come of the part are worked again on it
 * (reworkRound.ts). A count put right in the next round is the same for one round: that one leaves what it should have left, and from
 * there on all is as planned.
 *
 * A part may build an edge of its own between two rounds (the four sides of a rectangle's rows, a second disc): a count is carried into
 * that only where the tops of the round below are part of it.
 */

/** Whether an edge is the one that a round left, whatever its sides. */
function isEdgeOf({ edge }: WorkedRound, on: Edge): boolean {
  return on.from === edge.from
}

/** Works the rounds of a part again from the first that meets another edge than it was drafted on. */
class Replan {
  readonly rounds: WorkedRound[] = []
  /** How each round that puts a count right does it. */
  readonly putRight: PutRightIn[] = []
  /** Why and where it goes no further. */
  stop: { readonly round: number, readonly count: number, readonly edge: Edge } | undefined
  /** The edge that should have been, where the next round is to put it right; and by how much the count is off. */
  private asIf: { readonly edge: Edge, readonly difference: number } | undefined

  /** @param real the edge that is really there below the first round, where it is another than drafted */
  constructor(
    private readonly result: PartResult,
    private readonly below: number,
    private readonly corrections: readonly CountCorrection[],
    private real: Edge | undefined,
    difference: number,
  ) {
    this.asIf = real && { edge: result.rounds[0]!.on, difference }
  }

  get leaves(): { readonly real: Edge | undefined, readonly asIf: Replan['asIf'] } {
    return { real: this.real, asIf: this.asIf }
  }

  /** The real edge that the next round meets, where the part built one of its own upon what the round below left. */
  private onto(i: number): Edge | undefined {
    const { real } = this
    const [planned, under] = [this.result.rounds[i]!, this.result.rounds[i - 1]]
    if (!real || !under || isEdgeOf(under, planned.on)) return real
    const tops = countedPlaces(planned.on, 'tops')
    return tops === under.edge.count ? recountEdge(planned.on, 'tops', real.count) : undefined
  }

  /** The edge that the next round should meet, built by the part likewise. */
  private meant(i: number): Edge {
    const planned = this.result.rounds[i]!
    const under = this.result.rounds[i - 1]
    return under && !isEdgeOf(under, planned.on) ? planned.on : this.asIf!.edge
  }

  /** Works the next round; whether it came out. */
  take(i: number): boolean {
    const planned = this.result.rounds[i]!
    const number = this.below + i + 1
    const real = this.onto(i)
    const worked = !real ? planned : this.asIf ? this.put(planned, i, real) : workedOn(planned, real)
    if (!worked) return this.stopped(number, real!.count, real!)
    const counted = this.corrections.find(({ round }) => round === number)
    const { what, number: before } = countable(worked)
    const now = counted ? recountWorked(worked, what, counted.count) : worked
    this.rounds.push(now ?? worked)
    if (!now) return this.stopped(number, counted!.count, worked.edge)
    const meant = counted?.to === undefined ? undefined : recountWorked(worked, what, counted.to)
    this.asIf = meant && { edge: meant.edge, difference: counted!.count - counted!.to! }
    this.real = counted && counted.count !== before ? now.edge : real ? now.edge : undefined
    return true
  }

  private put(planned: WorkedRound, i: number, real: Edge): WorkedRound | undefined {
    const { difference } = this.asIf!
    const edges = { asIf: this.meant(i), real, difference }
    const found = puttingRight(planned, edges, hidingPlaces(this.result, i), !growsAtEnds(this.result, i))
    if (found) this.putRight.push({ round: this.below + i + 1, how: found.how, where: whereOf(this.result, i) })
    return found?.worked
  }

  private stopped(round: number, count: number, edge: Edge): false {
    this.stop = { round, count, edge }
    return false
  }
}

/** A part whose rounds cannot be gone on with: why, and how far it comes. */
function endsAt(result: PartResult, rounds: readonly WorkedRound[], edge: Edge, round: number, count: number): PartResult {
  return {
    ...result, rounds, edge, handles: [], pieces: [],
    findings: [
      ...result.findings,
      { code: 'found-count', weight: 'stop', round, what: `Round ${round} does not come out on the ${count} that were counted.` },
    ],
  }
}

/** An edge that is really there, where the next round is to put it right; and how many counted places it has too many. */
export interface RealEdge {
  readonly edge: Edge
  readonly difference: number
}

/** A part as it goes on from what was counted. */
interface ReplanOutcome {
  readonly result: PartResult
  readonly real?: RealEdge
}

/** Whether handles or eyelets stand where they were counted to: nothing was counted otherwise before they were worked. */
function placesHold({ rounds, casing }: PartResult, below: number, here: readonly CountCorrection[]): boolean {
  const placed = rounds.findIndex(({ edge }) => edge.free !== undefined || (casing && countedPlaces(edge, 'spaces') === casing.eyelets))
  return placed >= 0 && here.every(({ round }) => round - below - 1 >= placed)
}

/** A part's result by the rounds that were worked again. */
function resultOf(result: PartResult, { rounds, leaves, putRight }: Replan): PartResult {
  const edge = buildsOwnEdge(result) ? result.edge : leftEdge(result, leaves.asIf?.edge ?? rounds.at(-1)!.edge)
  return { ...result, rounds, ...rescaled(result, rounds, edge), ...(putRight.length > 0 ? { putRight } : {}), edge }
}

/** An edge that a part built of its own has nothing to do with its last round's count. */
function buildsOwnEdge({ rounds, edge }: PartResult): boolean {
  return !isEdgeOf(rounds.at(-1)!, edge)
}

/**
 * A part as it goes on from what was counted in its rounds: up to there as drafted, from there on worked again on the edge that is
 * really there.
 *
 * @param below rounds of the bag below the part
 * @param real the edge that its first round really meets, if that is another than it was drafted on
 */
export function replanPart(result: PartResult, below: number, corrections: readonly CountCorrection[], real?: RealEdge): ReplanOutcome {
  const here = corrections.filter(({ round }) => round > below && round <= below + result.rounds.length)
  if (here.length === 0 && !real) return { result }
  if (result.rounds.length === 0) return { result, ...(real ? { real } : {}) }
  const replan = new Replan(result, below, here, real?.edge, real?.difference ?? 0)
  result.rounds.every((_, i) => replan.take(i))
  const { rounds, stop, leaves } = replan
  if (stop) return { result: endsAt(result, rounds, stop.edge, stop.round, stop.count) }
  const after = resultOf(result, replan)
  if (!leaves.real || buildsOwnEdge(result)) return { result: after }
  const edge = leftEdge(result, leaves.real)
  const elsewhere = edge.count !== result.edge.count && (real !== undefined || !placesHold(result, below, here))
  if (elsewhere && hasPlaces(result)) return { result: endsAt(result, rounds, edge, below + rounds.length, edge.count) }
  return { result: after, ...(leaves.asIf ? { real: { edge, difference: leaves.asIf.difference } } : {}) }
}

function hasPlaces({ handles = [], casing }: PartResult): boolean {
  return handles.length > 0 || casing !== undefined
}
