import type { Draft } from '../../bag/draft/draft'
import type { Start } from '../../parts/part/start'
import type { WorkedRound } from '../../things/round/workedRound'
import type { SaidLine } from '../words/lines'
import type { Manner } from '../words/openingWords'
import type { Beat } from './beat'

/** Sort of leg: a start, a round of the bag, a row of a piece, or steps that are told. */
type LegSort = 'start' | 'round' | 'row' | 'steps'

/** A leg before it is come to. */
export interface Leg {
  readonly id: string
  readonly sort: LegSort
  /** The part of the bag that it belongs to. */
  readonly part: string
  /** Name of the part or piece where it stands. */
  readonly title: string
  /** Of rounds and rows: which, and of how many. */
  readonly number: number
  readonly of: number
  /** The edges it is worked on and leaves; none for what is told. */
  readonly worked: WorkedRound | undefined
  /** The start of its piece or of the bag. */
  readonly start: Start
  /** Its line in the pattern, in a manner; none of what is told. */
  readonly line: (manner: Manner) => SaidLine | undefined
  /** Texts to be read before the first beat. */
  readonly lead: string | undefined
  readonly beats: () => readonly Beat[]
}

/** The road of a draft. */
export interface Route {
  readonly draft: Draft
  readonly legs: readonly Leg[]
  /** The places of legs on the road, by their ids. */
  readonly at: ReadonlyMap<string, number>
  /** Ids of legs by what logs of earlier versions called them. */
  readonly earlier: ReadonlyMap<string, string>
}

/** The place of a leg on a road, by its id or what it was called earlier; nothing if it is not there. */
export function placeOfLeg({ at, earlier }: Route, id: string): number | undefined {
  return at.get(id) ?? at.get(earlier.get(id) ?? '')
}
