import type { Draft } from '../draft/draft'
import { aroundOf, type DraftPart, riseOf } from '../draft/part'
import { type FloorShape, type Footprint, standing } from '../part/floor'
import type { Worked } from '../round/worked'
import { type Ways, waysOf } from './ways'

/** A round of the standing bag seen from the front, in centimetres; y runs upwards from the floor. */
export interface Course {
  readonly number: number
  readonly part: string
  readonly colour: string
  readonly bottomCm: number
  readonly heightCm: number
  /** What the round encloses: how far it reaches to the sides, and from front to back. */
  readonly outline: Footprint
  /** What the round below encloses; its own for the first. */
  readonly under: Footprint
  readonly shape: FloorShape
  readonly worked: Worked
  /** How far round each thing of this round lies, and each of the round below; none where the round below is of another kind. */
  readonly way: Float32Array
  readonly below?: Float32Array
  /** How much the round below rises: what long stitches reach down. */
  readonly belowCm: number
}

/** The ways of every part's rounds: those of the base on their own, those of the wall one onto the other. */
export function waysByPart({ parts }: Draft): ReadonlyMap<DraftPart, readonly Ways[]> {
  const [base, ...walls] = parts
  const found = new Map<DraftPart, readonly Ways[]>([[base!, base!.rounds.map(worked => waysOf([worked])[0]!)]])
  const all = waysOf(walls.flatMap(({ rounds }) => rounds), base!.rounds.at(-1))
  let at = 0
  for (const part of walls) found.set(part, all.slice(at, at += part.rounds.length))
  return found
}

/** The standing bag, round by round from the floor up, on its long side; a floor lies flat and adds nothing. */
export function elevation(draft: Draft): Course[] {
  const courses: Course[] = []
  const { floor } = draft.sizes
  const waysIn = waysByPart(draft)
  let bottomCm = 0
  let last: { readonly way: Float32Array, readonly worked: Worked } | undefined
  for (const part of draft.parts) {
    const ways = waysIn.get(part)!
    part.rounds.forEach((worked, i) => {
      const heightCm = riseOf(part, i)
      const { way } = ways[i]!
      if (heightCm > 0) {
        courses.push({
          number: part.firstRound + i, part: part.id, colour: worked.round.colour, bottomCm, heightCm, worked, way,
          ...(last && last.worked.edge.count === worked.on.count ? { below: last.way } : {}), belowCm: courses.at(-1)?.heightCm ?? 0,
          shape: floor.shape, outline: standing(floor, aroundOf(part, i)), under: courses.at(-1)?.outline ?? standing(floor, aroundOf(part, i)),
        })
      }
      bottomCm += heightCm
      last = { way, worked }
    })
  }
  return courses
}

/** How far to the side a share of the front lies, from -half the length to half of it. */
export function frontX({ lengthCm: l, widthCm: w }: Footprint, shape: FloorShape, share: number): number {
  if (shape === 'disc') return (-l / 2) * Math.cos(Math.PI * share)
  if (shape !== 'stadium') return (share - 0.5) * l
  const arc = (Math.PI * w) / 4
  const straight = l - w
  const along = share * (2 * arc + straight)
  if (along < arc) return -straight / 2 - (w / 2) * Math.cos(along / (w / 2))
  if (along < arc + straight) return along - arc - straight / 2
  return straight / 2 + (w / 2) * Math.sin((along - arc - straight) / (w / 2))
}
