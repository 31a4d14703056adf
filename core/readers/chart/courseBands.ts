import type { Course } from './elevation'

/** Courses one above the other that look alike: of one part, in one yarn, all rows of fabric or all of loops. */
export interface CourseBand {
  readonly courses: readonly Course[]
  /** The course that they stand on. */
  readonly below: Course | undefined
}

const isNet = ({ worked }: Course) => Boolean(worked.round.inLoops)

/** Courses from the floor up, grouped into bands. */
export function courseBands(courses: readonly Course[]): CourseBand[] {
  const bands: { courses: Course[], below: Course | undefined }[] = []
  for (const [i, course] of courses.entries()) {
    const last = bands.at(-1)
    const first = last?.courses[0]
    if (first && first.part === course.part && first.colour === course.colour && isNet(first) === isNet(course)) last!.courses.push(course)
    else bands.push({ courses: [course], below: courses[i - 1] })
  }
  return bands
}
