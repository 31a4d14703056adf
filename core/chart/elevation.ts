import type { Draft } from '../draft/draft'
import { type FloorShape, type Footprint, standing } from '../part/floor'
import { STITCH_KINDS, type StitchKind } from '../stitch/dictionary'

/** A round of the standing bag seen from the front, in centimetres; y runs upwards from the floor. */
export interface Course {
  readonly number: number
  readonly part: string
  readonly colour: string
  readonly bottomCm: number
  readonly heightCm: number
  /** What the round encloses: how far it reaches to the sides, and from front to back. */
  readonly outline: Footprint
  readonly shape: FloorShape
  readonly stitches: number
  readonly kind: StitchKind
}

/** The standing bag, round by round from the floor up, on its long side; a floor lies flat and adds nothing. */
export function elevation(draft: Draft): Course[] {
  const courses: Course[] = []
  const { floor } = draft.sizes
  let bottomCm = 0
  for (const part of draft.parts) {
    const heightCm = part.rising > 0 ? part.size.height.cm / part.rising : 0
    if (heightCm === 0) continue
    const lying = part.rounds.length - part.rising
    part.rounds.slice(lying).forEach((worked, i) => {
      const kind = STITCH_KINDS[worked.stitches[0]!]!
      courses.push({
        number: part.firstRound + lying + i, part: part.id, colour: worked.round.colour, bottomCm, heightCm, kind, stitches: worked.edge.count,
        shape: floor.shape, outline: standing(floor, part.size.circumference.cm),
      })
      bottomCm += heightCm
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

function n(value: number): string {
  return String(Math.round(value * 1000) / 1000)
}

/** A stitch as it looks on the fabric's right side: a V, on a stem if it is a tall one. y runs downwards. */
export function frontOfStitch(kind: StitchKind, leftX: number, rightX: number, bottomY: number, heightCm: number): string {
  const middle = (leftX + rightX) / 2
  const top = bottomY - heightCm * 0.94
  const neck = bottomY - heightCm * (kind === 'sc' ? 0.16 : 0.6)
  const v = `M${n(leftX)} ${n(top)}L${n(middle)} ${n(neck)}L${n(rightX)} ${n(top)}`
  return kind === 'sc' ? v : `${v}M${n(middle)} ${n(neck)}V${n(bottomY - heightCm * 0.04)}`
}

/** The share of a stitch's width that it leaves free at each side. */
const GAP = 0.04

/** The front stitches of a course as the eye sees them: narrower towards the bag's sides. */
export function coursePath(course: Course): string {
  const { outline, shape } = course
  // Of a box the front alone is seen; of the others half the way round.
  const seen = shape === 'rectangle' ? outline.lengthCm / (outline.lengthCm + outline.widthCm) : 1
  const half = Math.max(1, Math.floor((course.stitches / 2) * seen))
  const xAt = (stitch: number) => frontX(outline, shape, stitch / half)
  let path = ''
  for (let i = 0; i < half; i++) path += frontOfStitch(course.kind, xAt(i + GAP), xAt(i + 1 - GAP), -course.bottomCm, course.heightCm)
  return path
}
