import type { PutRightIn } from '../../../parts/part/correctedRound'
import { changeEvenly, mostChange } from '../../../things/round/changes'
import { type Edge, PLACE_CODE } from '../../../things/round/edge'
import { fudge, keepsHandles } from '../../../things/round/fudge'
import type { RepeatStep, Step, StitchStep } from '../../../things/round/step'
import { work } from '../../../things/round/workRound'
import type { WorkedRound } from '../../../things/round/workedRound'
import { type FabricKind, STITCHES } from '../../../things/stitch/dictionary'

/*
 * One round worked again on an edge of another count than it was planned on
 * =========================================================================
 *
 * Lived with, a count stays what it is: increases and decreases stay as many as they were, and the plain stitches between them become
 * more or fewer; where there are none, repeats turn more or less often. Put right, the round leaves what it was meant to leave. `work`
 * is asked whether it comes out, as always.
 */

function isPlainRun(step: Step): step is StitchStep {
  return step.do === 'stitch' && (step.aim ?? 'next') === 'next' && !step.landmark && !step.loop
}

/** The longest plain run among steps, by its index; -1 if there is none. */
function longestRun(steps: readonly Step[]): number {
  let found = -1
  steps.forEach((step, i) => {
    if (isPlainRun(step) && (found < 0 || step.times > (steps[found] as StitchStep).times)) found = i
  })
  return found
}

/** The plain runs among steps, from the last one on: the stretches of the bag between its handles. */
function runsFromTheEnd(steps: readonly Step[]): number[] {
  return steps.flatMap((step, i) => (isPlainRun(step) ? [i] : [])).reverse()
}

/** Steps with a plain run, the longest if none is named, so many stitches longer or shorter; nothing if it is too short for that. */
function stretched(steps: readonly Step[], by: number, at = longestRun(steps)): Step[] | undefined {
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

/** Whether steps add stitches or take some away. */
function changesCount(steps: readonly Step[]): boolean {
  return steps.some(step => step.do === 'together' || (step.do === 'group' && step.steps.length === 1)
    || (step.do === 'repeat' && changesCount(step.steps)))
}

/** Whether a round passes places over: one with a longer plain run would be another texture. */
function skips(steps: readonly Step[]): boolean {
  return steps.some(step => step.do === 'skip' || (step.do === 'repeat' && skips(step.steps)))
}

/** Ways that a round's steps may come out on an edge of another count, the nearest to what was planned first. */
function* tries({ round: { steps }, on }: WorkedRound, real: Edge): Generator<Step[]> {
  const by = real.count - on.count
  const put = (at: number, instead: readonly Step[]) => [...steps.slice(0, at), ...instead, ...steps.slice(at + 1)]
  function* longerRuns(): Generator<Step[]> {
    for (const at of real.free ? runsFromTheEnd(steps) : [longestRun(steps)]) {
      const run = stretched(steps, by, at)
      if (run) yield run
    }
    for (const [i, step] of steps.entries()) {
      const longer = step.do === 'repeat' ? stretchedRepeat(step, by) : undefined
      if (longer) yield put(i, longer)
    }
  }
  // One increase fewer is another floor; one turn of a texture fewer is the same texture.
  const increasing = changesCount(steps)
  if (increasing && !skips(steps)) yield* longerRuns()
  for (const [i, step] of steps.entries()) {
    if (step.do !== 'repeat') continue
    const about = Math.round((step.times * real.count) / on.count)
    for (const times of [about, step.times + Math.sign(by), about + 1, about - 1])
      if (times > 0) yield put(i, [{ ...step, times }])
  }
  if (!increasing && !skips(steps)) yield* longerRuns()
}

/** A round worked on an edge of another count than it was planned on; nothing if it does not come out there. */
export function workedOn(planned: WorkedRound, real: Edge): WorkedRound | undefined {
  const { round, on } = planned
  const same = real.count === on.count && real.kinds.every((kind, i) => kind === on.kinds[i])
  const asPlanned = same ? work(round, real) : undefined
  if (asPlanned?.ok) return asPlanned.worked
  for (const steps of tries(planned, real)) {
    const result = work({ ...round, steps }, real)
    if (result.ok && keepsHandles(result.worked, planned)) return result.worked
  }
  return undefined
}

/** The one kind of stitch that a round is worked in, one in each or several in one; nothing of a texture. */
function onlyKind({ round, on, edge, stitches, aims, loops }: WorkedRound): FabricKind | undefined {
  const plain = stitches.every(code => code === stitches[0]) && aims.every(aim => aim === 0) && loops.every(loop => loop === 0)
  const steps = (list: readonly Step[]): readonly Step[] => list.flatMap(step => (step.do === 'repeat' ? steps(step.steps) : [step]))
  const [first] = steps(round.steps)
  const kind = first && 'kind' in first ? first.kind : first?.do === 'group' ? (first.steps[0] as StitchStep | undefined)?.kind : undefined
  const alone = [on, edge].every(({ kinds }) => kinds.every(code => code !== PLACE_CODE.space))
  return plain && !skips(round.steps) && alone && kind && STITCHES[kind].heightInSc > 0 ? (kind as FabricKind) : undefined
}

/** Many stitches put right in a plain round, spread evenly round it. */
function spreadEvenly(meant: WorkedRound, real: Edge): WorkedRound | undefined {
  const kind = onlyKind(meant)
  const by = meant.edge.count - real.count
  if (!kind || by === 0 || Math.abs(by) > mostChange(real.count, by)) return undefined
  const result = work({ ...meant.round, steps: changeEvenly(real.count, by, kind) }, real)
  return result.ok ? { ...result.worked, edge: { ...result.worked.edge, sides: meant.edge.sides } } : undefined
}

/** A round in which a count is put right, and how that is done: fudged, or in plain rounds spread all round. */
interface PutRight {
  readonly worked: WorkedRound
  readonly how: PutRightIn['how']
}

/**
 * The round in which a count is put right: it leaves what it would have left on the edge that there should be.
 *
 * @param difference counted places that there are more (above 0) or fewer
 * @param shares of the way round where it shows least
 * @param spreads whether what is too much for one place may be spread all round it
 */
export function puttingRight(
  planned: WorkedRound,
  { asIf, real, difference }: { readonly asIf: Edge, readonly real: Edge, readonly difference: number },
  shares: readonly number[],
  spreads: boolean,
): PutRight | undefined {
  const meant = workedOn(planned, asIf)
  if (!meant) return undefined
  const fudged = fudge(meant, real, difference, shares)
  if (fudged) return { worked: fudged.worked, how: { kind: fudged.kind, places: fudged.places } }
  const worked = spreads ? spreadEvenly(meant, real) : undefined
  return worked && { worked, how: 'spread' }
}
