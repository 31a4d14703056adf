import type { Draft } from '../draft/draft'
import { STITCH_KINDS, type StitchKind } from '../stitch/dictionary'

/** A round of the standing bag seen from the front, in centimetres; y runs upwards from the floor. */
export interface Course {
  readonly number: number
  readonly part: string
  readonly colour: string
  readonly bottomCm: number
  readonly heightCm: number
  /** Half the bag's width there: the radius of the circle that the round makes. */
  readonly radiusCm: number
  readonly stitches: number
  readonly kind: StitchKind
}

/** The standing bag, round by round from the floor up; the floor itself lies flat and adds nothing. */
export function elevation(draft: Draft): Course[] {
  const courses: Course[] = []
  let bottomCm = 0
  for (const part of draft.parts.slice(1)) {
    const heightCm = part.rounds.length > 0 ? part.size.height.cm / part.rounds.length : 0
    part.rounds.forEach((worked, i) => {
      const kind = STITCH_KINDS[worked.stitches[0]!]!
      const stitches = worked.edge.count
      courses.push({
        number: part.firstRound + i, part: part.id, colour: worked.round.colour, bottomCm, heightCm, kind, stitches,
        radiusCm: (stitches * draft.gauge[kind].width.cm) / (2 * Math.PI),
      })
      bottomCm += heightCm
    })
  }
  return courses
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
  const half = Math.floor(course.stitches / 2)
  const xAt = (stitch: number) => -course.radiusCm * Math.cos((Math.PI * stitch) / half)
  let path = ''
  for (let i = 0; i < half; i++) path += frontOfStitch(course.kind, xAt(i + GAP), xAt(i + 1 - GAP), -course.bottomCm, course.heightCm)
  return path
}
