import type { Edge } from '../../things/round/edge'
import { inMultiples } from '../../things/round/multiples'
import type { Step } from '../../things/round/step'
import type { FabricKind } from '../../things/stitch/dictionary'

/*
 * An oval grows at its two ends only, and its rounds start at the near end, one group of stitches before the first
 * side. So a round meets, in order: the last group of the near end, a side, the far end, the other side, and the rest
 * of the near end. In turned work it meets them the other way about, from the same first stitch.
 *
 * To know which is which in any style, every place of the edge carries the name of its stretch. Names are kept in
 * *stations*: the way round the floor against the clock from the round's start, whichever way the last round was worked.
 */

/** The stretches of an oval's edge. */
export const NEAR = 0
export const SIDE_ONE = 1
export const FAR = 2
export const SIDE_TWO = 3

/** The name of the stretch that each station of an edge belongs to. */
export type Stretches = Uint8Array

/** Increases of each station of an edge in the next round, and the edge's names after it. */
interface Grown {
  readonly steps: readonly Step[]
  readonly stretches: Stretches
}

/** How long an oval's ends are, and how they lie about the round's start. */
interface Ends {
  readonly near: number
  readonly far: number
  readonly farFirst: number
  /** Slots of the near end after the second side; the others come before the first side. */
  readonly rest: number
}

function endsOf(stretches: Stretches): Ends {
  let near = 0
  let far = 0
  for (const name of stretches) {
    if (name === NEAR) near++
    else if (name === FAR) far++
  }
  return { near, far, farFirst: stretches.indexOf(FAR), rest: stretches.length - 1 - stretches.lastIndexOf(SIDE_TWO) }
}

/** Where in its own end a station lies, counted against the clock from the side before it. */
function placeInEnd(stretches: Stretches, ends: Ends, station: number): number {
  if (stretches[station] === FAR) return station - ends.farFirst
  return station < ends.near - ends.rest ? ends.rest + station : station - (stretches.length - ends.rest)
}

/**
 * The next round of an oval: sides as they are, each end growing by `multipleAt` of its so many places. Every stretch is said
 * for itself, so that makers find their sides in the words.
 */
export function growEnds(
  stretches: Stretches,
  wrong: boolean,
  kind: FabricKind,
  multipleAt: (at: number, of: number) => number,
): Grown {
  const count = stretches.length
  const ends = endsOf(stretches)
  const steps: Step[] = []
  const made: number[] = []
  let stretch: number[] = []
  for (let i = 0; i < count; i++) {
    const station = wrong && i > 0 ? count - i : i
    const name = stretches[station]!
    const of = name === FAR ? ends.far : ends.near
    const multiple = name === NEAR || name === FAR ? multipleAt(placeInEnd(stretches, ends, station), of) : 1
    stretch.push(multiple)
    for (let stitch = 0; stitch < multiple; stitch++) made.push(name)
    const next = wrong ? count - i - 1 : i + 1
    if (i + 1 < count && stretches[next] === name) continue
    steps.push(...inMultiples(stretch, kind))
    stretch = []
  }
  const after = new Uint8Array(made.length)
  for (let station = 0; station < made.length; station++) after[station] = made[wrong && station > 0 ? made.length - station : station]!
  return { steps, stretches: after }
}

/** The station half way along an end: where an oval folds when it lies flat. */
function middleOf(stretches: Stretches, name: number): number {
  const ends = endsOf(stretches)
  const middle = Math.floor((name === FAR ? ends.far : ends.near) / 2)
  for (let station = 0; station < stretches.length; station++) {
    if (stretches[station] === name && placeInEnd(stretches, ends, station) === middle) return station
  }
  return 0
}

/** The two sides of a bag on an oval floor: the middles of its ends, as boundaries of the edge. */
export function endMiddles(stretches: Stretches, edge: Edge, wrong: boolean): readonly [number, number] {
  const place = (station: number) => wrong && station > 0 ? edge.count - station : station
  return [place(middleOf(stretches, NEAR)), place(middleOf(stretches, FAR))]
}

/** The first and last stitch of both sides, by order of working: where markers go, and move up every round. */
export function sideMarkers(stretches: Stretches, wrong: boolean): number[] {
  const made = (station: number) => wrong && station > 0 ? stretches.length - station : station
  return [stretches.indexOf(SIDE_ONE), stretches.lastIndexOf(SIDE_ONE), stretches.indexOf(SIDE_TWO), stretches.lastIndexOf(SIDE_TWO)]
    .filter(station => station >= 0).map(made).sort((a, b) => a - b)
}
