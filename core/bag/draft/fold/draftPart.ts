import type { BaseSpec } from '../../../parts/base/base'
import type { WallPart } from '../../design/design'
import type { Finding } from '../../../parts/part/finding'
import type { Handle } from '../../../parts/part/handle'
import type { PartSize, Roles } from '../../../parts/part/part'
import type { Piece } from '../../../parts/part/piece'
import type { Hook } from '../../../things/gauge/onHook'
import type { Edge } from '../../../things/round/edge'
import type { Rounds } from '../../../things/round/style'
import type { WorkedRound } from '../../../things/round/workedRound'
import type { FabricKind } from '../../../things/stitch/dictionary'
import { kindOf, type WallKind } from '../../../parts/wall/wall'

/** Answers of the design that a part is drafted from. */
export interface PartSource {
  /** Where its own answers are, from the design down. */
  readonly path: readonly string[]
  /** Its own answers. */
  readonly spec: unknown
  /** The hook and strands it is worked with, where they are not the bag's. */
  readonly hook?: Hook
  /** How its rounds go, where they do not go as the bag's do. */
  readonly goes?: Rounds
  /** It is the first round of the part that stands on it, and goes as that does. */
  readonly goesWithNext?: true
  /** The stitch that it is mostly worked in. */
  readonly stitch: FabricKind
  /** The answers of what the bag stands on. */
  readonly base?: BaseSpec
  /** The answers of a part of the wall. */
  readonly wall?: WallPart
  /** How many parts of the wall stand below it. */
  readonly index: number
}

/** A part of the bag as drafted. */
export interface DraftPart extends Roles {
  /** `base`, `turnUp`, or the id of a part of the wall. */
  readonly id: string
  readonly name: string
  readonly from: PartSource
  /** Number of its first round in the bag; the part has `rounds.length` of them, which may be none. */
  readonly firstRound: number
  readonly rounds: readonly WorkedRound[]
  readonly edge: Edge
  readonly size: PartSize
  readonly findings: readonly Finding[]
  /** How many of its rounds, the last ones, stand up and make its height. */
  readonly rising: number
  readonly advice: readonly string[]
  readonly handles: readonly Handle[]
  readonly sidesMoved: number
  readonly pieces: readonly Piece[]
}

/** The part of the wall that a part was drafted from; nothing for base and turn-up. */
export function wallPartOf({ from }: Pick<DraftPart, 'from'>): WallPart | undefined {
  return from.wall
}

/** The kind of a part of the wall; nothing for base and turn-up. */
export function wallKindOf(part: DraftPart): WallKind | undefined {
  const spec = wallPartOf(part)
  return spec && kindOf(spec)
}

/** Whether a part is what the bag stands on. */
export function isBase({ from }: Pick<DraftPart, 'from'>): boolean {
  return from.base !== undefined
}

/** Whether a part could not be worked: the bag ends there. */
export function isStopped({ findings }: Pick<DraftPart, 'findings'>): boolean {
  return findings.some(({ weight }) => weight === 'stop')
}

/** How far round the `i`-th of a part's rounds goes, in centimetres. */
export function aroundOf({ arounds, size }: DraftPart, i: number): number {
  return arounds?.[i] ?? size.circumference.cm
}

/** A round with its number in the bag. */
export interface DraftRound {
  readonly number: number
  readonly part: string
  readonly worked: WorkedRound
}
