import type { Gauge } from '../gauge/gauge'
import type { Length } from '../measure/length'
import type { Floor } from './floor'
import type { LayOut } from './layOut'
import type { Edge } from '../round/edge'
import type { Round } from '../round/round'
import type { Rounds } from '../round/style'
import { work } from '../round/work'
import type { Worked } from '../round/worked'
import { explain } from '../round/workError'
import type { Finding } from './finding'
import type { Grip, Handle } from './handle'
import type { Piece } from './piece'

/** A size that is either wanted in centimetres (the count is found) or pinned as a count (the size is told). */
export type Size<Want, Pin> = { readonly want: Want } | { readonly pin: Pin }

/** What a part knows of the bag besides its own spec and the edge it stands on. */
export interface Setting {
  readonly gauge: Gauge
  readonly rounds: Rounds
  /** How many rounds of the bag lie below this part. */
  readonly index: number
  /** Turned work so far, as `inStyle` counts it: even if the next turned round has the right side facing. */
  readonly turns: number
  /** How far round the part below goes, in centimetres; of a base there is none. */
  readonly belowCm?: number
  /** The floor, and how tall the bag is, below this part; of a base there is neither. */
  readonly floor?: Floor
  readonly tallCm?: number
  /** What stands inside from here up: how far round it goes, and how tall it still is. */
  readonly inside?: { readonly aroundCm: number, readonly heightCm: number }
}

/** What the first round of a bag is worked into. */
export interface Start {
  readonly kind: 'ring' | 'chain-ring' | 'chain' | 'foundation-chain' | 'foundation-sc' | 'chain-loop' | 'bought'
  /** Chains made before the first round, turning chain included; 0 for a ring of yarn; holes of a bought floor. */
  readonly chains: number
  /** Which of those chains, from the hook, the first stitch goes into. */
  readonly firstInto?: number
  /** How long the foundation should be before anything is worked into it: it shrinks a little (handbook 4). */
  readonly beforeCm?: number
}

/** What a part measures once worked. */
export interface PartSize {
  /** How much it adds to the bag's height. */
  readonly height: Length
  /** Its upper edge, all the way round. */
  readonly circumference: Length
  /** Of a base: what the bag stands on. */
  readonly floor?: Floor
}

/** A net's loops. */
export interface Net {
  readonly loops: number
  /** The length of a loop, round by round, in centimetres. */
  readonly loopsCm: readonly number[]
}

/** A part worked onto the edge below: its rounds, the edge it leaves, its size and what it noticed. */
export interface PartResult {
  readonly rounds: readonly Worked[]
  readonly edge: Edge
  readonly size: PartSize
  readonly findings: readonly Finding[]
  readonly start?: Start
  /** How many of its rounds, the last ones, stand up and make its height; all of them if left out. */
  readonly rising?: number
  readonly layOut?: LayOut
  /** Stitches that carry a marker, a list a round, by order of working. */
  readonly markers?: readonly (readonly number[])[]
  /** How much each round rises, in centimetres, where they differ. */
  readonly rises?: readonly number[]
  /** How far round each round goes, in centimetres, where they differ. */
  readonly arounds?: readonly number[]
  /** What is said beside each round: markers, counts to check. */
  readonly notes?: readonly (string | undefined)[]
  /** Of a casing: how many eyelets a cord can run through. */
  readonly casing?: { readonly eyelets: number }
  /** Of a net: how many loops a round has, and how long each round's loops are. */
  readonly net?: Net
  /** Handles that hang on it. */
  readonly handles?: readonly Handle[]
  /** How far round the bag its sides were marked anew beyond where they were drafted; they stay there above it. */
  readonly sidesMoved?: number
  /** Of what is placed on the faces: what it is taken hold of by. */
  readonly grip?: Grip
  /** What is worked on its own for it. */
  readonly pieces?: readonly Piece[]
  /** What to do before, between or after the rounds that steps do not say. */
  readonly advice?: readonly string[]
}

/** More than this a round of a bag cannot sensibly hold, nor a browser draw. */
export const MOST_STITCHES = 200_000
export const MOST_ROUNDS = 1_000

/** A part that cannot be worked: it leaves the edge as it was and says why. */
export function stopped(edge: Edge, size: PartSize, ...findings: Finding[]): PartResult {
  return { rounds: [], edge, size, findings }
}

/**
 * Works rounds one onto the other.
 *
 * @param roundFor the round to work as the `i`-th of the part, given the edge it goes onto
 * @returns the rounds that came out, and a stop finding if one did not
 */
export function workUp(edge: Edge, count: number, setting: Setting, roundFor: (i: number, on: Edge) => Round): { rounds: Worked[], edge: Edge, stop?: Finding } {
  const rounds: Worked[] = []
  let on = edge
  for (let i = 0; i < count; i++) {
    const result = work(roundFor(i, on), on)
    if (!result.ok) {
      const round = setting.index + i + 1
      return { rounds, edge: on, stop: { code: result.error.code, weight: 'stop', round, what: `Round ${round}: ${explain(result.error)}.` } }
    }
    rounds.push(result.worked)
    on = result.worked.edge
  }
  return { rounds, edge: on }
}
