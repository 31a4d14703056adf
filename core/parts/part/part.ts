import type { CardId } from '../../things/entry/cards'
import type { Gauge } from '../../things/gauge/gauge'
import type { Hook } from '../../things/gauge/onHook'
import type { Length } from '../../things/measure/length'
import type { Repeat } from '../../things/repeat/repeat'
import type { Edge } from '../../things/round/edge'
import type { Round } from '../../things/round/round'
import type { Rounds, RowsBelow } from '../../things/round/style'
import { work } from '../../things/round/workRound'
import type { WorkedRound } from '../../things/round/workedRound'
import { explain } from '../../things/round/workError'
import type { Finding } from './finding'
import type { Floor } from './floor'
import type { Grip, Handle } from './handle'
import type { LayOut } from './layOut'
import type { Piece } from './piece'
import type { Closure, Eyelets, Faces, DiscPair, Net, Opening } from './roles'
import type { PutRightIn } from './correctedRound'
import type { Start } from './start'

/** A size that is either wanted in centimetres (the count is found) or pinned as a count (the size is told). */
export type Size<Want, Pin> = { readonly want: Want } | { readonly pin: Pin }

/** Setting of a part: the bag besides its own spec and the edge it stands on. */
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
  /** The maker's own repeats. */
  readonly repeats?: readonly Repeat[]
  /** Worked flat: how many rows of the piece lie below, and whether the first of them faces wrong; in rounds if left out. */
  readonly rows?: RowsBelow
  /** Contents that stand inside from here up: how far round they go, and how tall they still are. */
  readonly inside?: { readonly aroundCm: number, readonly heightCm: number }
}

/** Setting of a part of the wall: besides, the maker's own repeats, and which counts all that stands above it can be worked on. */
export interface WallSetting extends Setting {
  readonly repeats: readonly Repeat[]
  /** The hook that the gauge is on. */
  readonly hook: Hook
  readonly accepts: (count: number) => boolean
  /** Whether the rounds below are worked: a count that is found comes to what everything above accepts, for there is no going back. */
  readonly dividing?: boolean
}

/** Setting of the very first part of a bag: nothing lies below it. */
export function fromNothing(gauge: Gauge, rounds: Rounds, repeats: readonly Repeat[] = []): Setting {
  return { gauge, rounds, index: 0, turns: 0, repeats }
}

/** Sizes of a part once worked. */
export interface PartSize {
  /** How much it adds to the bag's height. */
  readonly height: Length
  /** Its upper edge, all the way round. */
  readonly circumference: Length
  /** Of a base: what the bag stands on. */
  readonly floor?: Floor
}

/** Roles of a part besides its rounds: how it is drawn, said and judged, whatever kind of part it is. */
export interface Roles {
  /** How its edges are closed, if they are. */
  readonly seam?: CardId
  /** Notions it needs besides yarn and hook: a button, a zip, a tape. */
  readonly notions?: readonly string[]
  /** That it is meant to look as it does, where makers worry (craft 13). */
  readonly looks?: string
  /** Foundation of a base. */
  readonly start?: Start
  /** Of a base: where its stitches lie, seen from above. */
  readonly layOut?: LayOut
  /** Stitches that carry a marker, a list a round, by order of working. */
  readonly markers?: readonly (readonly number[])[]
  /** How much each round rises, in centimetres, where they differ; `size.height` shared out evenly otherwise. */
  readonly rises?: readonly number[]
  /** How far round each round goes, in centimetres, where they differ; `size.circumference` otherwise. */
  readonly arounds?: readonly number[]
  /** Remarks beside each round: markers, counts to check. */
  readonly notes?: readonly (string | undefined)[]
  /** Notes that hold for the whole bag because of it. */
  readonly bagNotes?: readonly string[]
  /** Eyes that a cord can run through. */
  readonly casing?: Eyelets
  /** Loops that hang as they are held open. */
  readonly net?: Net
  /** Holes that things can leave by, of a mesh that does not hang. */
  readonly opening?: Opening
  /** Of a part in flat pieces: what its front shows. */
  readonly faces?: Faces
  /** Of flat round pieces laid together. */
  readonly laid?: DiscPair
  /** Rounds of the bag in which a miscount is put right, and how. */
  readonly putRight?: readonly PutRightIn[]
  /** It is an edging on the rim: the bag is as wide, and holds as much, without it. */
  readonly trims?: true
  /** The closure of the mouth. */
  readonly closure?: Closure
  /** Of what is placed on the faces: what it is taken hold of by. */
  readonly grip?: Grip
}

/** A part worked onto the edge below: its rounds, the edge it leaves, its size, what it noticed, and the roles it plays. */
export interface PartResult extends Roles {
  readonly rounds: readonly WorkedRound[]
  readonly edge: Edge
  readonly size: PartSize
  readonly findings: readonly Finding[]
  /** How many of its rounds, the last ones, stand up and make its height; all of them if left out. */
  readonly rising?: number
  /** How far round the bag its sides were marked anew beyond where they were drafted; they stay there above it. */
  readonly sidesMoved?: number
  /** Handles that hang on it. */
  readonly handles?: readonly Handle[]
  /** Pieces worked on their own for it. */
  readonly pieces?: readonly Piece[]
  /** Work before, between or after the rounds that steps do not say. */
  readonly advice?: readonly string[]
}

/** More than this a round of a bag cannot sensibly hold, nor a browser draw. */
export const MOST_STITCHES = 200_000
export const MOST_ROUNDS = 1_000

/** A part that cannot be worked: it leaves the edge as it was and says why. */
export function stopped(edge: Edge, size: PartSize, ...findings: Finding[]): PartResult {
  return { rounds: [], edge, size, findings }
}

/** Rounds worked one onto the other, and a stop finding if one did not come out. */
interface WorkedUp {
  readonly rounds: WorkedRound[]
  readonly edge: Edge
  readonly stop?: Finding
}

/**
 * Works rounds one onto the other.
 *
 * @param roundFor the round to work as the `i`-th of the part, given the edge it goes onto
 */
export function workUp(edge: Edge, count: number, setting: Setting, roundFor: (i: number, on: Edge) => Round): WorkedUp {
  const rounds: WorkedRound[] = []
  let on = edge
  for (let i = 0; i < count; i++) {
    const result = work(roundFor(i, on), on)
    if (!result.ok) {
      const round = setting.index + i + 1
      return {
        rounds, edge: on, stop: { code: result.error.code, weight: 'stop', round, what: `Round ${round}: ${explain(result.error)}.` },
      }
    }
    rounds.push(result.worked)
    on = result.worked.edge
  }
  return { rounds, edge: on }
}
