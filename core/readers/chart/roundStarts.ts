import { PLACE_CODE } from '../../things/round/edge'
import { AIMS } from '../../things/round/step'
import { lengthOf, liesOver } from '../../things/round/freeRuns'
import type { WorkedRound } from '../../things/round/workedRound'
import { stationOf } from './chart'

/*
 * Where on the bag a round starts
 * ===============================
 *
 * Most rounds start where the one below did. In a net they do not: a round of loops is closed half way along its last loop,
 * so the next one starts half a loop earlier, and the start climbs round the bag. Everything that draws a wall therefore
 * speaks of a *way*: how far round the bag a thing lies, 0 and 1 being where the wall itself started. A round of a net is
 * turned about until its stitches stand upright over what they stand on; other rounds stay where they are.
 */

/** How far round the bag everything in a round lies, and how far its start has moved. */
export interface RoundStart {
  readonly way: Float32Array
  readonly start: number
  /** How much of the way round each thing takes, where they differ: a handle's stitches share what it bridges. */
  readonly shares?: Float32Array
}

const SPACE = AIMS.indexOf('space')

/** Whether a round's start moves: it begins elsewhere than the one below, or goes from loop to loop. */
function wanders({ on, aims }: WorkedRound): boolean {
  if (on.start !== 0) return true
  for (const aim of aims) if (aim === SPACE) return true
  return false
}

/** The short way from one place round the bag to another, between -0.5 and 0.5. */
function apart(from: number, to: number): number {
  const way = to - from
  return way - Math.round(way)
}

/** How much a round has to turn for its stitches to stand upright over what they stand on, on the mean. */
function turnOf({ edge }: WorkedRound, own: Float32Array, below: Float32Array): number {
  let [sum, stitches] = [0, 0]
  for (let made = 0; made < own.length; made++) {
    // Chains stand on nothing of their own.
    if (edge.kinds[made] === PLACE_CODE.space) continue
    stitches++
    const first = below[edge.from[made]!]!
    const middle = first + apart(first, below[edge.to[made]!]!) / 2
    sum += apart(own[made]!, middle)
  }
  return stitches > 0 ? sum / stitches : 0
}

function within(way: number): number {
  return way - Math.floor(way)
}

/** The ways of rounds worked one onto the other, from the first of a wall up. */
export function roundStartsOf(rounds: readonly WorkedRound[], below?: WorkedRound): RoundStart[] {
  const found: RoundStart[] = []
  let start = 0
  let last = below && { worked: below, way: bareWay(below) }
  for (const worked of rounds) {
    const shares = sharesOf(worked)
    const own = bareWay(worked, shares)
    // Ways of the round below are taken as they lie when its start has not moved, so that the turn is measured afresh.
    if (last && last.way.length === worked.on.count && wanders(worked)) start += turnOf(worked, own, last.way)
    const way = start === 0 ? own : own.map(one => within(one + start))
    found.push({ way, start, ...(shares ? { shares } : {}) })
    last = { worked, way: own }
  }
  return found
}

/** How far along its own round each thing lies. */
function bareWay(worked: WorkedRound, shares = sharesOf(worked)): Float32Array {
  const { count } = worked.edge
  if (!shares) return Float32Array.from({ length: count }, (_, made) => (stationOf(made, count, worked) + 0.5) / count)
  const made = new Int32Array(count)
  for (let i = 0; i < count; i++) made[stationOf(i, count, worked)] = i
  const way = new Float32Array(count)
  let at = 0
  for (const i of made) {
    way[i] = at + shares[i]! / 2
    at += shares[i]!
  }
  return way
}

/** The share of the way round that each thing takes, on a rim with handles; nothing where all take the same. */
function sharesOf({ edge }: WorkedRound): Float32Array | undefined {
  if (!edge.free) return undefined
  const around = liesOver(edge)
  const shares = new Float32Array(edge.count).fill(1 / around)
  for (const run of edge.free) {
    const length = lengthOf(run, edge.count)
    for (let k = 0; k < length; k++) shares[(run.from + k) % edge.count] = run.bridges / length / around
  }
  return shares
}
