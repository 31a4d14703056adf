import { reserve, record } from './stitchBudget'
import type { Edge, FreeRun } from './edge'
import { runAt, runsFrom } from './freeRuns'
import { Hook } from './hook'
import { Reading } from './readingOrder'
import type { Round } from './round'
import { movesOf, Things, thingsOf } from './things'
import type { WorkedRound } from './workedRound'
import type { WorkError } from './workError'

/*
 * How a round is worked
 * =====================
 *
 * `work` is the only thing in the program that counts stitches. It does what the maker's hands do: it walks along the
 * edge below with one finger on the next unworked place, and carries out the steps one after the other.
 *
 *     edge below   0  1  2  3  4  5           places, in the order they were made
 *                     ^ the finger
 *     made so far  0  1  2                    each thing made is a place of the new edge
 *
 * Reading order. Unturned rounds read the edge below as it was made: 0, 1, 2, ... In turned work the round runs back:
 * the join has left the hook at place 0, so the round starts there and then meets the others from the last one down:
 * 0, n-1, n-2, ..., 1; or past the join (`past`) n-1, ..., 1, 0. A turned row starts at its very end: n-1, ..., 0. A
 * round of loops is closed half way along its last loop, and the next one starts there: n-1, 0, 1, ... For the hook
 * (hook.ts) a position in reading order is a *reading* (readingOrder.ts turns it into a place); everything that leaves here
 * speaks of places.
 *
 * What a step leaves. A stitch, and a stitch drawn together, leaves one place: its top. A run of chains leaves one
 * place too, a space, which remembers its number of chains: the next round may work into the space as a whole, or
 * (aim `chains`) into its chains one at a time, in which case the finger stays on the space until its chains are used
 * up. So thing made number i and place number i of the new edge are the same thing, and for each we write down the
 * first and the last place of the edge below that it stands on: the same place twice for a plain stitch, two different
 * ones for a decrease, the two neighbours for a stitch into a gap. A run of chains stands on nothing of its own; it is
 * given the places that it springs from and goes to.
 *
 * A ring never fills up: it is one place, and the first round is one group in it.
 *
 * The last loop of a mesh round is a place like the others, made of a few chains and a taller stitch: the edge remembers
 * it as a loop of the full length, and `stitches` which stitch closes it.
 *
 * The end. A round must use up the edge below, or skip what it leaves. Rounds that aim at spaces pass over the stitch
 * tops between them, so for those rounds only spaces left over are an error. A round that does not come out is the
 * maker's (or a part's) mistake, and is returned, not thrown.
 *
 * The sides of the bag ride up with the stitches: a boundary moves to the first thing made on or after it. So do handles worked
 * in the round: what stands on a handle alone belongs to it, what is drawn together over its foot belongs to the bag.
 *
 * However much steps ask for, no more is begun than may be made (stitchBudget.ts).
 *
 * For speed the things made are kept in flat arrays of numbers (things.ts), as long as the steps say that there will be.
 */

type WorkResult = { readonly ok: true, readonly worked: WorkedRound } | { readonly ok: false, readonly error: WorkError }

/** Two sides that whole stitches have brought together are set half a round apart again. */
function apart(a: number, b: number, count: number): readonly [number, number] {
  return a !== b || count < 2 ? [a, b] : [a, (a + (count >> 1)) % count]
}

/** Carries the handles of the edge below on: a thing made belongs to one if all that it stands on does. */
function carryFree(on: Edge, { count, from, to }: Pick<Edge, 'count' | 'from' | 'to'>): FreeRun[] {
  const below = runAt(on)
  const at = new Uint8Array(count)
  for (let i = 0; i < count; i++) at[i] = below[from[i]!] === below[to[i]!] ? below[from[i]!]! : 0
  return runsFrom(at, on.free!.map(({ bridges }) => bridges))
}

/** Executes a round on an edge: what it makes and the edge it leaves, or why it does not come out. */
export function work(round: Round, on: Edge): WorkResult {
  // A hook that runs out of places has moved no further than the steps say: what they say is asked for before it begins.
  reserve(movesOf(round.steps))
  const things = new Things(thingsOf(round.steps) + (round.closing ? 1 : 0))
  const hook = new Hook(on, new Reading(on, round.begin), things)
  const cameOut = hook.run(round.steps)
  record(things.count)
  if (!cameOut) return { ok: false, error: hook.error! }
  if (round.closing) hook.close(round.closing)
  if (!hook.finish()) return { ok: false, error: hook.error! }
  const { count, kinds, chains, from, to, stitches, loops, aims } = things.made()
  const edge: Edge = {
    count, kinds, chains, from, to, sides: apart(hook.carried(0), hook.carried(1), count), closed: round.join !== 'open',
    start: round.closing ? count - 1 : 0, over: on.count,
    ...(round.begin.past ? { past: true as const } : {}), ...(on.free ? { free: carryFree(on, { count, from, to }) } : {}),
  }
  return { ok: true, worked: { round, on, edge, stitches, loops, aims } }
}
