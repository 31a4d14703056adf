import type { PartResult } from '../part/part'
import { changeEvenly, mostChange } from '../round/changes'
import { type Edge, PLACE_CODE, placesOf } from '../round/edge'
import type { Round } from '../round/round'
import type { RepeatStep, Step, StitchStep } from '../round/step'
import { work } from '../round/work'
import type { Worked } from '../round/worked'
import { type FabricKind, STITCHES } from '../stitch/dictionary'

/*
 * Going on from what was counted
 * ==============================
 *
 * A maker who has 118 where 120 were planned, and lives with it, has another edge than the draft; what is worked stays as it is, and
 * everything above is drafted from the edge that is really there. The rounds still to come of a part are worked again on it: repeats
 * turn so often as the edge allows, and where they do not come out, plain stitches between the changes become more or fewer. `work`
 * is asked whether that comes out, as always.
 *
 * A count put right in the next round is the same for one round: that one is worked so that it leaves what it should have left.
 */

/** A count that was found in a round; and what it is put right to in the next, if it is. */
export interface Found {
  readonly round: number
  /** Stitches, or spaces or loops where these are what is counted. */
  readonly count: number
  /** The next round leaves what it would have left on so many. */
  readonly to?: number
}

/** What is counted of a round's edge, and how much of it there is. */
export interface Countable {
  readonly what: 'stitches' | 'spaces' | 'loops'
  readonly number: number
}

/** What makers count of a round: its loops, its spaces where these are at least half, else its stitches. */
export function countable({ edge, round }: Worked): Countable {
  const spaces = placesOf(edge, 'space')
  if (round.inLoops) return { what: 'loops', number: spaces }
  return 2 * spaces >= edge.count ? { what: 'spaces', number: spaces } : { what: 'stitches', number: edge.count - spaces }
}

/** The places of a new list, each told by the one of an old list it is like: units of so many places are left out or doubled evenly. */
function likeOld(units: number, wanted: number, unit: number): number[] {
  return Array.from({ length: wanted * unit }, (_, i) => Math.floor((Math.floor(i / unit) * units) / wanted) * unit + (i % unit))
}

/** A round with another count than it was worked to; nothing if what is counted does not lie evenly in it. */
function recounted(worked: Worked, count: number): Worked | undefined {
  const { edge } = worked
  const { number } = countable(worked)
  const unit = edge.count / number
  if (!Number.isInteger(unit) || count < 1 || edge.free) return undefined
  const old = likeOld(number, count, unit)
  const to = old.length
  const bytes = (list: Uint8Array) => Uint8Array.from(old, i => list[i]!)
  const side = (at: number) => Math.round((at * to) / edge.count) % to
  const now: Edge = {
    ...edge, count: to, kinds: bytes(edge.kinds), chains: Uint16Array.from(old, i => edge.chains[i]!),
    from: Int32Array.from(old, i => edge.from[i]!), to: Int32Array.from(old, i => edge.to[i]!),
    sides: [side(edge.sides[0]), side(edge.sides[1])], start: edge.start === 0 ? 0 : to - 1,
  }
  return { ...worked, edge: now, stitches: bytes(worked.stitches), loops: bytes(worked.loops), aims: bytes(worked.aims) }
}

function isPlainRun(step: Step): step is StitchStep {
  return step.do === 'stitch' && (step.aim ?? 'next') === 'next' && !step.landmark
}

/** The longest plain run among steps, by its index; -1 if there is none. */
function longestRun(steps: readonly Step[]): number {
  let found = -1
  steps.forEach((step, i) => {
    if (isPlainRun(step) && (found < 0 || step.times > (steps[found] as StitchStep).times)) found = i
  })
  return found
}

/** Steps with their longest plain run so many stitches longer or shorter; nothing if it is too short for that. */
function stretched(steps: readonly Step[], by: number): Step[] | undefined {
  const at = longestRun(steps)
  const times = at < 0 ? 0 : (steps[at] as StitchStep).times + by
  if (at < 0 || times < 0) return undefined
  const run = times > 0 ? [{ ...(steps[at] as StitchStep), times }] : []
  return [...steps.slice(0, at), ...run, ...steps.slice(at + 1)]
}

/** A repeat with so many stitches more or fewer in all, shared out over its turns. */
function stretchedRepeat({ times, steps }: RepeatStep, by: number): Step[] | undefined {
  const each = Math.trunc(by / times)
  const rest = Math.abs(by - each * times)
  const [usual, other] = [stretched(steps, each), stretched(steps, each + Math.sign(by))]
  if (!usual || (rest > 0 && !other)) return undefined
  const turns = (n: number, turn: readonly Step[]): Step[] => (n > 1 ? [{ do: 'repeat', times: n, steps: turn }] : n === 1 ? [...turn] : [])
  return [...turns(times - rest, usual), ...turns(rest, other ?? [])]
}

/** Ways that a round's steps may come out on an edge of another count, the nearest to what was planned first. */
function* tries({ round: { steps }, on }: Worked, real: Edge): Generator<Step[]> {
  const by = real.count - on.count
  const put = (at: number, instead: readonly Step[]) => [...steps.slice(0, at), ...instead, ...steps.slice(at + 1)]
  for (const [i, step] of steps.entries()) {
    if (step.do !== 'repeat') continue
    const about = Math.round((step.times * real.count) / on.count)
    for (const times of [about, step.times + Math.sign(by), about + 1, about - 1])
      if (times > 0) yield put(i, [{ ...step, times }])
  }
  const run = stretched(steps, by)
  if (run) yield run
  for (const [i, step] of steps.entries()) {
    const longer = step.do === 'repeat' ? stretchedRepeat(step, by) : undefined
    if (longer) yield put(i, longer)
  }
}

/** A round worked on an edge of another count than it was planned on; nothing if it does not come out there. */
function again(planned: Worked, real: Edge): Worked | undefined {
  const { round, on } = planned
  const same = real.count === on.count && real.kinds.every((kind, i) => kind === on.kinds[i])
  const asPlanned = same ? work(round, real) : undefined
  if (asPlanned?.ok) return asPlanned.worked
  for (const steps of tries(planned, real)) {
    const result = work({ ...round, steps }, real)
    if (result.ok) return result.worked
  }
  return undefined
}

/** The one kind of stitch that a round is worked in, one in each or several in one; nothing of a texture. */
function onlyKind({ round, on, edge, stitches, aims }: Worked): FabricKind | undefined {
  const plain = stitches.every(code => code === stitches[0]) && aims.every(aim => aim === 0)
  const steps = (list: readonly Step[]): readonly Step[] => list.flatMap(step => (step.do === 'repeat' ? steps(step.steps) : [step]))
  const [first] = steps(round.steps)
  const kind = first && 'kind' in first ? first.kind : first?.do === 'group' ? (first.steps[0] as StitchStep | undefined)?.kind : undefined
  const skips = steps(round.steps).some(step => step.do === 'skip')
  const alone = [on, edge].every(({ kinds }) => kinds.every(code => code !== PLACE_CODE.space))
  return plain && !skips && alone && kind && STITCHES[kind].heightInSc > 0 ? (kind as FabricKind) : undefined
}

/** The round in which a count is put right: it leaves what it would have left on the edge that there should be. */
function puttingRight(planned: Worked, asIf: Edge, real: Edge): Worked | undefined {
  const meant = again(planned, asIf)
  const kind = meant && onlyKind(meant)
  if (!kind) return undefined
  const by = meant.edge.count - real.count
  if (Math.abs(by) > mostChange(real.count, by)) return undefined
  const round: Round = { ...planned.round, steps: changeEvenly(real.count, by, kind) }
  const result = work(round, real)
  return result.ok ? result.worked : undefined
}

/** A part whose rounds cannot be gone on with: why, and how far it comes. */
function endsAt(result: PartResult, rounds: readonly Worked[], edge: Edge, round: number, count: number): PartResult {
  return {
    ...result, rounds, edge, handles: [], pieces: [],
    findings: [
      ...result.findings,
      { code: 'found-count', weight: 'stop', round, what: `Round ${round} does not come out on the ${count} that were counted.` },
    ],
  }
}

/** What a part says of its rounds, for the counts that they really have. */
function rescaled(result: PartResult, rounds: readonly Worked[]): Partial<PartResult> {
  const share = (i: number) => rounds[i]!.edge.count / result.rounds[i]!.edge.count
  const last = share(rounds.length - 1)
  const { circumference } = result.size
  const { layOut, arounds } = result
  return {
    size: { ...result.size, circumference: { cm: circumference.cm * last, plusMinusCm: circumference.plusMinusCm * last } },
    ...(arounds ? { arounds: arounds.map((cm, i) => cm * share(i)) } : {}),
    ...(layOut ? { layOut: (round: number, station: number) => layOut(round, round < 0 ? station : station / share(round)) } : {}),
  }
}

/** A part as it goes on from what was counted; and the edge that is really there, where the next round is to put it right. */
export interface AsFound {
  readonly result: PartResult
  readonly real?: Edge
}

/** Works the rounds of a part again from the first that meets another edge than it was drafted on. */
class GoingOn {
  readonly rounds: Worked[] = []
  /** Why and where it goes no further. */
  stop: { readonly round: number, readonly count: number, readonly edge: Edge } | undefined
  private asIf: Edge | undefined

  /** @param edge the edge that is really there, where it is another than drafted */
  constructor(
    private readonly found: readonly Found[],
    private edge: Edge | undefined,
    planned: Edge | undefined,
  ) {
    this.asIf = edge && planned
  }

  /** The edge that is left, and the one that should have been where the next round is to put it right. */
  get leaves(): { readonly real: Edge | undefined, readonly asIf: Edge | undefined } {
    return { real: this.edge, asIf: this.asIf }
  }

  /** Works the next round; whether it came out. */
  take(planned: Worked, number: number): boolean {
    const { edge, asIf } = this
    const worked = !edge ? planned : asIf ? puttingRight(planned, asIf, edge) : again(planned, edge)
    if (!worked) return this.stopped(number, edge!.count, edge!)
    const counted = this.found.find(({ round }) => round === number)
    const now = counted ? recounted(worked, counted.count) : worked
    this.rounds.push(now ?? worked)
    if (!now) return this.stopped(number, counted!.count, worked.edge)
    this.asIf = counted?.to === undefined ? undefined : recounted(worked, counted.to)?.edge
    if (edge || counted) this.edge = now.edge
    return true
  }

  private stopped(round: number, count: number, edge: Edge): false {
    this.stop = { round, count, edge }
    return false
  }
}

/**
 * A part as it goes on from what was counted in its rounds: up to there as drafted, from there on worked again on the edge that is
 * really there. Rounds with handles in them are not gone on with: feet and chains stand where they were counted to.
 *
 * @param below rounds of the bag below the part
 * @param real the edge that its first round really meets, if that is another than it was drafted on
 */
export function asFound(result: PartResult, below: number, found: readonly Found[], real?: Edge): AsFound {
  const here = found.filter(({ round }) => round > below && round <= below + result.rounds.length)
  if (here.length === 0 && !real) return { result }
  if (result.rounds.length === 0) return { result, ...(real ? { real } : {}) }
  const going = new GoingOn(here, real, real && result.rounds[0]!.on)
  result.rounds.every((planned, i) => going.take(planned, below + i + 1))
  const { rounds, stop, leaves } = going
  if (stop) return { result: endsAt(result, rounds, stop.edge, stop.round, stop.count) }
  const placed = (result.handles?.length ?? 0) > 0 || result.casing
  const edge = leaves.real!
  if (placed && edge.count !== result.edge.count) return { result: endsAt(result, rounds, edge, below + rounds.length, edge.count) }
  const after = { ...result, rounds, ...rescaled(result, rounds) }
  return leaves.asIf ? { result: { ...after, edge: leaves.asIf }, real: edge } : { result: { ...after, edge } }
}
