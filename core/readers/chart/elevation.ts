import { fractionRound } from '../../things/round/fractionRound'
import { roundsOfPart } from '../../bag/draft/fold/partGauge'
import { leanOf } from '../../things/round/style'
import { runAt } from '../../things/round/freeRuns'
import type { Draft } from '../../bag/draft/draft'
import { aroundOf, type DraftPart } from '../../bag/draft/fold/draftPart'
import { riseOf } from '../../parts/part/rise'
import { type Floor, type FloorShape, type Footprint, outlineOf, standing } from '../../parts/part/floor'
import type { WorkedRound } from '../../things/round/workedRound'
import { type RoundStart, roundStartsOf } from './roundStarts'

/** A round of the standing bag seen from the front, in centimetres; y runs upwards from the floor. */
export interface Course {
  readonly number: number
  readonly part: string
  readonly colour: string
  readonly bottomCm: number
  readonly heightCm: number
  /** Outline of the round: how far it reaches to the sides, and from front to back. */
  readonly outline: Footprint
  /** Outline of the round below; its own for the first. */
  readonly under: Footprint
  readonly shape: FloorShape
  readonly worked: WorkedRound
  /** How far round from this round's own start the bag's front begins: its things' ways are told from there. */
  readonly turn: number
  /** How far round each thing of this round lies, and each of the round below; none where the round below is of another kind. */
  readonly way: Float32Array
  readonly below?: Float32Array
  /** How much the round below rises: what long stitches reach down. */
  readonly belowCm: number
  /** Handles worked in the round: which of its things hang free, by the handle's number; and how much of the way round each thing takes. */
  readonly free?: Uint8Array
  readonly shares?: Float32Array
}

/** The ways of every part's rounds: those of the base on their own, those of the wall one onto the other. */
export function waysByPart({ parts }: Draft): ReadonlyMap<DraftPart, readonly RoundStart[]> {
  const [base, ...walls] = parts
  const found = new Map<DraftPart, readonly RoundStart[]>([[base!, base!.rounds.map(worked => roundStartsOf([worked])[0]!)]])
  const all = roundStartsOf(
    walls.flatMap(({ rounds }) => rounds),
    base!.rounds.at(-1),
  )
  let at = 0
  for (const part of walls) found.set(part, all.slice(at, (at += part.rounds.length)))
  return found
}

/** A way brought between 0 and 1. */
export function withinWay(way: number): number {
  return way - Math.floor(way)
}

/**
 * How far round the base the bag's front begins: at its first side; on a floor with corners at the corner beyond it, since there
 * the front alone is seen.
 */
function frontWay({ parts: [base], sizes: { floor } }: Draft): number {
  const { edge, rounds } = base!
  const side = fractionRound(edge, edge.sides[0], rounds.at(-1)?.round.facing ?? 'right')
  return outlineOf(floor).hasCorners ? side + Math.min(floor.width.cm, floor.length.cm) / 4 / (floor.length.cm + floor.width.cm) : side
}

function turnedBy(ways: Float32Array, by: number): Float32Array {
  return by === 0 ? ways : ways.map(way => withinWay(way - by))
}

/** The rows of a part in flat pieces as its front shows them, from so far up; the sides of the bag are bare fabric. */
function faceCourses(part: DraftPart, floor: Floor, bottomCm: number): Course[] {
  if (!part.faces) return []
  const { rows, rises, share, arounds } = part.faces
  const outlineAt = (i: number) => standing(floor, arounds?.[i] ?? part.size.circumference.cm)
  const middle = outlineOf(floor).seenShare(outlineAt(0)) / 2
  let at = bottomCm
  let below: Course | undefined
  return rows.map((worked, i) => {
    const { count } = worked.edge
    const way = roundStartsOf([worked])[0]!.way.map(within => middle + (within - 0.5) * share)
    below = {
      number: part.firstRound, part: part.id, colour: worked.round.colour, bottomCm: at, heightCm: rises[i]!, worked, way, turn: 0,
      shape: floor.shape,
      outline: outlineAt(i), under: outlineAt(Math.max(0, i - 1)), belowCm: below?.heightCm ?? 0,
      shares: new Float32Array(count).fill(share / count),
      ...(below && below.worked.edge.count === worked.on.count ? { below: below.way } : {}),
    }
    at += rises[i]!
    return below
  })
}

/** The standing bag, round by round from the floor up, on its long side; a floor lies flat and adds nothing. */
export function elevation(draft: Draft): Course[] {
  const courses: Course[] = []
  const { floor } = draft.sizes
  const waysIn = waysByPart(draft)
  let bottomCm = 0
  let leanedBelow = 0
  let moved = 0
  let last: { readonly way: Float32Array, readonly worked: WorkedRound } | undefined
  for (const part of draft.parts) {
    const ways = waysIn.get(part)!
    const arching = part.handles.some(({ aboveCm }) => aboveCm > 0) || courses.at(-1)?.free !== undefined
    moved += part.sidesMoved
    const lean = part === draft.parts[0] ? 0 : leanOf(roundsOfPart(part.from, draft.design)) / 10
    const leaned = (i: number) => leanedBelow + lean * i
    const faces = faceCourses(part, floor, bottomCm)
    courses.push(...faces)
    bottomCm += faces.reduce((sum, { heightCm }) => sum + heightCm, 0)
    part.rounds.forEach((worked, i) => {
      const heightCm = riseOf(part, i)
      const turned = frontWay(draft) + moved + leaned(i) / Math.max(1, worked.edge.count)
      const way = turnedBy(ways[i]!.way, turned)
      if (heightCm > 0) {
        courses.push({
          number: part.firstRound + i, part: part.id, colour: worked.round.colour, bottomCm, heightCm, worked, way,
          turn: turned - ways[i]!.start, ...(last && last.worked.edge.count === worked.on.count ? { below: last.way } : {}),
          belowCm: courses.at(-1)?.heightCm ?? 0, ...(ways[i]!.shares ? { shares: ways[i]!.shares } : {}),
          ...(arching && worked.edge.free ? { free: runAt(worked.edge) } : {}), shape: floor.shape,
          outline: standing(floor, aroundOf(part, i)), under: courses.at(-1)?.outline ?? standing(floor, aroundOf(part, i)),
        })
      }
      bottomCm += heightCm
      last = { way, worked }
    })
    leanedBelow = leaned(part.rounds.length)
  }
  return courses
}

/** How far to the side a share of the front lies, from -half the length to half of it. */
export function frontX(size: Footprint, shape: FloorShape, share: number): number {
  return outlineOf({ shape }).frontXCm(size, share)
}

/** How much of the way round is seen from the front. */
export function seenShare({ outline, shape }: Pick<Course, 'outline' | 'shape'>): number {
  return outlineOf({ shape }).seenShare(outline)
}

/** The share of the front that a way round lies at: 0 at its first side, 1 at its last; beyond what is seen, at that side. */
export function frontShare(on: Pick<Course, 'outline' | 'shape'>, way: number): number {
  return Math.min(1, Math.max(0, way / seenShare(on)))
}
