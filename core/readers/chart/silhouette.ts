import { outlineOf } from '../../parts/part/floor'
import type { Course } from './elevation'
import { frontShare, frontX, seenShare, withinWay } from './elevation'

/*
 * The outlines of what is seen from the front: bands, and the opening at the mouth. Paths are in centimetres, y downwards from the floor.
 */

function n(value: number): string {
  return String(Math.round(value * 1000) / 1000)
}

const half = ({ outline }: Course) => outline.lengthCm / 2
const topY = ({ bottomCm, heightCm }: Course) => -(bottomCm + heightCm)

/** Of a round that handles arch away from: where on the front its fabric is, from one side to the other. */
function spansOf(course: Course): readonly (readonly [number, number])[] {
  const { worked, way, free, shares, outline, shape } = course
  const across = (at: number) => frontX(outline, shape, frontShare(course, at))
  const spans: [number, number][] = []
  let last = -1
  const inOrder = Array.from({ length: worked.edge.count }, (_, made) => made)
    .filter(made => !free![made] && way[made]! <= seenShare(course))
    .sort((a, b) => way[a]! - way[b]!)
  for (const made of inOrder) {
    const wide = (shares?.[made] ?? 1 / worked.edge.count) / 2
    const [from, to] = [across(withinWay(way[made]!) - wide), across(withinWay(way[made]!) + wide)]
    // What lies side by side is one stretch of rim.
    if (last >= 0 && Math.abs(made - last) === 1) spans.at(-1)![1] = to
    else spans.push([from, to])
    last = made
  }
  return spans
}

/** Whether something of a round hangs free on the front, as a handle. */
export function isArched({ free, way }: Course): boolean {
  return free !== undefined && free.some((handle, made) => handle > 0 && way[made]! <= 0.5)
}

/** Round upon round as they widen and narrow from the one below them. */
function stackOutline(own: readonly Course[], below: Course | undefined): string {
  const first = own[0]!
  const start = half(below ?? first)
  const right = [`${n(start)} ${n(-first.bottomCm)}`, ...own.map(course => `${n(half(course))} ${n(topY(course))}`)]
  const left = [...own].reverse().map(course => `${n(-half(course))} ${n(topY(course))}`)
  return `M${[...right, ...left, `${n(-start)} ${n(-first.bottomCm)}`].join('L')}Z`
}

/**
 * The outline of rounds one above the other; of a round that handles arch away from just what stays on the rim. `mirrored` for left hands,
 * whose rounds run the other way.
 */
export function silhouette(own: readonly Course[], below?: Course, mirrored = false): string {
  const arched = own.findIndex(isArched)
  if (arched < 0) return own.length > 0 ? stackOutline(own, below) : ''
  return (arched > 0 ? stackOutline(own.slice(0, arched), below) : '') + stretches(own.slice(arched), mirrored)
}

/** Stretches of rim round upon round, each with one outline as long as there are as many of them in the next round. */
function stretches(own: readonly Course[], mirrored: boolean): string {
  const side = mirrored ? 1 : -1
  const all = own.map(course => ({ course, spans: spansOf(course) }))
  const first = all.findIndex(({ spans }) => spans.length !== all[0]!.spans.length)
  const alike = first < 0 ? all : all.slice(0, first)
  const outlines = alike[0]?.spans.map((_, k) => {
    const edge = (end: 0 | 1) => alike.map(({ course, spans }) => {
      const x = n(side * spans[k]![end])
      return [`${x} ${n(-course.bottomCm)}`, `${x} ${n(topY(course))}`]
    })
    return `M${[...edge(0).flat(), ...edge(1).flat().reverse()].join('L')}Z`
  }) ?? []
  return outlines.join('') + (first < 0 ? '' : stretches(own.slice(first), mirrored))
}

/** The round whose top is the bag's rim: the last one, or the one below what arches away as handles. */
export function rimCourse(courses: readonly Course[]): Course | undefined {
  const arched = courses.findIndex(isArched)
  return arched < 0 ? courses.at(-1) : courses[Math.max(0, arched - 1)]
}

/** How deep the far rim is seen over the near one, as a share of the mouth from front to back. */
const SEEN_INTO = 0.085

/** The inside, seen over the near rim: an ellipse, of a box a strip that narrows; nothing where front and back lie on each other. */
export function openingPath(rim: Course): string {
  const y = topY(rim)
  const deep = Math.min(rim.outline.widthCm, rim.outline.lengthCm) * SEEN_INTO
  if (deep <= 0) return ''
  if (outlineOf(rim).hasCorners) {
    const [near, far] = [half(rim), half(rim) - deep]
    return `M${n(-near)} ${n(y)}L${n(-far)} ${n(y - deep)}H${n(far)}L${n(near)} ${n(y)}Z`
  }
  const [rx, ry] = [half(rim) * 0.985, deep / 2]
  return `M${n(-rx)} ${n(y)}a${n(rx)} ${n(ry)} 0 1 0 ${n(2 * rx)} 0a${n(rx)} ${n(ry)} 0 1 0 ${n(-2 * rx)} 0`
}
