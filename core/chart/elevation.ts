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

/**
 * The front stitches of a course as the eye sees them: a V a stitch, narrower towards the bag's sides, on the stems
 * that tall stitches have. y runs downwards, as SVG has it.
 */
export function coursePath(course: Course): string {
  const half = Math.floor(course.stitches / 2)
  const top = -(course.bottomCm + course.heightCm * 0.94)
  const neck = -(course.bottomCm + course.heightCm * (course.kind === 'sc' ? 0.16 : 0.6))
  const foot = -(course.bottomCm + course.heightCm * 0.04)
  const xAt = (stitch: number) => -course.radiusCm * Math.cos((Math.PI * stitch) / half)
  let path = ''
  for (let i = 0; i < half; i++) {
    const left = xAt(i + 0.04)
    const middle = xAt(i + 0.5)
    const right = xAt(i + 0.96)
    path += `M${n(left)} ${n(top)}L${n(middle)} ${n(neck)}L${n(right)} ${n(top)}`
    if (course.kind !== 'sc') path += `M${n(middle)} ${n(neck)}V${n(foot)}`
  }
  return path
}
