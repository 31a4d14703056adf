import type { Course } from './elevation'

/** A casing whose cords are pulled: where its eyelets are, and how far round the mouth goes now, as a share of what it was. */
export interface Pull {
  readonly heightCm: number
  readonly share: number
  /** How far above and below the fabric eases into it. */
  readonly reachCm: number
}

/** Courses with a mouth drawn together: narrowest at the eyelets, easing out above and below. */
export function gather(courses: readonly Course[], { heightCm, share, reachCm }: Pull): Course[] {
  const drawn = (course: Course) => {
    const away = Math.abs(course.bottomCm + course.heightCm / 2 - heightCm) / reachCm
    return away >= 1 ? 1 : 1 - (1 - share) * (1 - away * away) ** 2
  }
  const narrowed = ({ lengthCm, widthCm }: Course['outline'], by: number) => ({ lengthCm: lengthCm * by, widthCm: widthCm * by })
  return courses.map((course, i) => {
    const below = courses[i - 1]
    return { ...course, outline: narrowed(course.outline, drawn(course)), under: narrowed(course.under, drawn(below ?? course)) }
  })
}
