import type { Edge } from '../../things/round/edge'
import { runAt } from '../../things/round/freeRuns'
import { at, chain, each, inOne, skip, type Step, together, togetherWithChain } from '../../things/round/step'
import { type Placing, stitchesBefore } from './placing'
import { LEAST_BETWEEN, type Slots, type SlotsSpec } from './slotSpec'
import { CORNER_BODY, CORNER_RUN } from './slotDemand'

/*
 * The steps of slots' rounds: the one that leaves them, the one that works their chains, and those that draw their corners together.
 */

/** The slots in the order that the round meets them: how many stitches come before each. */
export function met(
  { places, gaps }: Placing,
  firsts: readonly number[],
  edge: Edge,
  turn: boolean,
): { readonly along: number, readonly before: number[] } {
  const before = firsts.map(first => stitchesBefore(edge, turn, first, places))
  // A round cannot start within a slot, nor at its very foot, where corners are drawn together: the start moves on to the side.
  const least = Math.min(...gaps) > LEAST_BETWEEN ? 2 : 1
  const over = before.find(one => one < least || one + places >= edge.count)
  const along = over === undefined ? 0 : (over + places + Math.max(1, Math.floor(Math.min(...gaps) / 2))) % edge.count
  return { along, before: before.map(one => (one - along + edge.count) % edge.count).sort((a, b) => a - b) }
}

/** The round that leaves the slots. */
export function slotSteps({ stitch }: SlotsSpec, { placing: { places }, chains }: Slots, before: readonly number[], count: number): Step[] {
  const plain = (stitches: number) => (stitches > 0 ? [each(stitch, stitches)] : [])
  let done = 0
  const steps = before.flatMap((first): Step[] => {
    const run = [...plain(first - done), chain(chains), skip(places)]
    done = first + places
    return run
  })
  return [...steps, ...plain(count - done)]
}

/** The edge that the slots' round leaves, its chains marked as free. */
export function withFree(edge: Edge, chains: number, bridges: number): Edge {
  const free = Array.from(edge.chains).flatMap((run, i) =>
    run === chains && edge.kinds[i] !== 0 ? [{ from: i, to: (i + 1) % edge.count, bridges }] : [],
  )
  return { ...edge, free: [...(edge.free ?? []), ...free] }
}

/** Every place of an edge in the order that the next round meets it. */
function metInOrder({ count, start }: Edge, turn: boolean): number[] {
  return Array.from({ length: count }, (_, reading) => ((turn ? start - reading : start + reading) + count) % count)
}

/** The first round above the slots: a stitch in every stitch, and one for every chain. */
export function overChains(on: Edge, turn: boolean, { stitch, into }: SlotsSpec): Step[] {
  const steps: Step[] = []
  for (const place of metInOrder(on, turn)) {
    const last = steps.at(-1)
    const chains = on.chains[place]!
    if (chains > 0 && runAt(on)[place]! > 0)
      steps.push(
        into === 'over'
          ? at('overBridge', inOne(stitch, chains))
          : at('bridge', { ...each(stitch, chains, into === 'bumps' ? 'bump' : undefined), aim: 'chains' }),
      )
    else if (last?.do === 'stitch' && !last.landmark) steps[steps.length - 1] = each(stitch, last.times + 1)
    else steps.push(each(stitch, 1))
  }
  return steps
}

/**
 * The same with every corner drawn together at once: the last stitch of the body with the handle's first chain, and its last chain with
 * the body's next stitch.
 */
export function cornersOverChains(on: Edge, turn: boolean, spec: SlotsSpec): Step[] {
  const { stitch } = spec
  const plain = overChains(on, turn, spec)
  // A corner right at the join cannot be worked across it: the body's two stitches beside it are taken together instead.
  const atJoin = [plain[0]!, plain.at(-1)!].map((one, i, both) => !isBridge(one) && isBridge(both[1 - i]!))
  return plain.flatMap((step, i): Step[] => {
    if (step.do !== 'stitch') return [step]
    const handle = step.landmark === 'bridge'
    const [before, after] = [plain[i - 1], plain[i + 1]].map(other => other !== undefined && isBridge(other) !== handle)
    const [begins, ends] = [i === 0 && atJoin[0], i === plain.length - 1 && atJoin[1]]
    const left = step.times - (before ? 1 : 0) - (after ? 1 : 0) - (begins || ends ? 2 : 0)
    const between: Step[] = left > 0 ? [{ ...step, times: left }] : []
    // Each corner is worked where the handle's run is: its stitches of the body are taken from the runs beside it.
    return handle
      ? [...(before ? [togetherWithChain(stitch, 'first')] : []), ...between, ...(after ? [togetherWithChain(stitch, 'last')] : [])]
      : [...(begins ? [together(stitch)] : []), ...between, ...(ends ? [together(stitch)] : [])]
  })
}

function isBridge(step: Step): boolean {
  return step.do === 'stitch' && step.landmark === 'bridge'
}

/** A round that works two together wherever body and handle meet: the last stitch of one and the first of the other. */
export function cornerRound(on: Edge, turn: boolean, { stitch }: SlotsSpec): Step[] {
  const mask = runAt(on)
  const order = metInOrder(on, turn).map(place => mask[place]!)
  const pairs = new Set(order.flatMap((run, i) => (i > 0 && run !== order[i - 1] ? [i - 1] : [])))
  // A corner right at the join cannot be worked across it: two stitches of one side are taken together, after the join or before it.
  const last = order.length - 1
  if (order[0] !== order[last]) {
    if (order[0] === order[1] && !pairs.has(1)) pairs.add(0)
    else if (order[last - 1] === order[last] && !pairs.has(last - 2)) pairs.add(last - 1)
  }
  const steps: Step[] = []
  for (let i = 0; i < order.length; i += pairs.has(i) ? 2 : 1) {
    const before = steps.at(-1)
    if (pairs.has(i)) steps.push(together(stitch))
    else if (before?.do === 'stitch') steps[steps.length - 1] = each(stitch, before.times + 1)
    else steps.push(each(stitch, 1))
  }
  return steps
}

/** Whether every handle, and the body between them, has enough stitches left to give one at each corner. */
export function hasCorners(on: Edge): boolean {
  const mask = runAt(on)
  const first = mask.findIndex((run, i) => run !== mask[(i + on.count - 1) % on.count])
  let length = 0
  for (let i = 1; i <= on.count; i++) {
    length++
    if (mask[(first + i) % on.count] === mask[(first + i - 1) % on.count]) continue
    if (length < (mask[(first + i - 1) % on.count] ? CORNER_RUN : CORNER_BODY)) return false
    length = 0
  }
  return first >= 0
}
