import { PLACE_CODE } from '../../things/round/edge'
import { LOOPS } from '../../things/round/step'
import { anchorBelow, kindAt, type WorkedRound } from '../../things/round/workedRound'
import { STITCHES, type StitchKind } from '../../things/stitch/dictionary'
import { footing, isAlongChain } from './chart'
import type { Footprint } from '../../parts/part/floor'
import { type Course, frontShare, frontX, seenShare } from './elevation'

/*
 * The bag's front as the eye sees it: every stitch of the near half of a round, drawn on the fabric from what it stands on to
 * its top, narrower towards the bag's sides. Paths are in centimetres, y downwards from the floor.
 */

/** The drawing of a round: threads, posts that stand out, ridges of free loops, and holes that show the inside. */
export interface Front {
  readonly threads: string
  readonly posts: string
  readonly ridges: string
  readonly holes: string
  /** The loops of a net, with nothing behind them. */
  readonly net: string
}

function n(value: number): string {
  return String(Math.round(value * 1000) / 1000)
}

/** The share of a stitch's width that it leaves free at each side. */
const GAP = 0.04

/** Where on the front a share of the way round lies; at its ends for what is on the far side. */
type Across = (way: number) => number

/** A stitch as it looks on the fabric's right side: a V, on a stem if it is a tall one, leaning from its foot. */
function vee(kind: StitchKind, left: number, right: number, foot: number, top: number, bottom: number): string {
  const middle = (left + right) / 2
  const tall = bottom - top
  const head = top + tall * 0.06
  const short = STITCHES[kind].front === 'vee'
  const neckY = top + tall * (short ? 0.84 : 0.4)
  const neckX = short ? middle + (foot - middle) * 0.7 : middle + (foot - middle) * 0.4
  const v = `M${n(left)} ${n(head)}L${n(neckX)} ${n(neckY)}L${n(right)} ${n(head)}`
  return short ? v : `${v}M${n(neckX)} ${n(neckY)}L${n(foot)} ${n(bottom - tall * 0.04)}`
}

/** A stitch on its own, upright, as on a swatch. */
export function frontOfStitch(kind: StitchKind, leftX: number, rightX: number, bottomY: number, heightCm: number): string {
  return vee(kind, leftX, rightX, (leftX + rightX) / 2, bottomY - heightCm, bottomY)
}

/** A run of chains lies along the round's top; below it the fabric is open. */
function space(left: number, right: number, top: number, bottom: number): { threads: string, holes: string } {
  const tall = bottom - top
  const sag = top + tall * 0.16
  return {
    threads: `M${n(left)} ${n(top + tall * 0.06)}Q${n((left + right) / 2)} ${n(sag)} ${n(right)} ${n(top + tall * 0.06)}`,
    holes: `M${n(left)} ${n(top + tall * 0.24)}H${n(right)}V${n(bottom - tall * 0.08)}H${n(left)}Z`,
  }
}

/** Where the foot of a stitch lies on the way round, and how far below the round it reaches, in rounds. */
function footOf({ worked, way, below }: Course, made: number): { readonly way: number, readonly deep: boolean } {
  const own = way[made]!
  const deep = anchorBelow(worked, made) >= 0
  return {
    way: below && !isAlongChain(worked, made) ? footing(own, below[worked.edge.from[made]!]!, below[worked.edge.to[made]!]!) : own,
    deep,
  }
}

/** Places of a round's things side by side: each as wide as its share of the round. */
function widthOf({ worked, shares }: Course, made: number): number {
  return shares?.[made] ?? 1 / worked.edge.count
}

/** The loops of a net's front, each from knot over its top to the next knot. */
function netOf({ worked, way, bottomCm, heightCm }: Course, below: Across, across: Across, seen: number): string {
  const half = 1 / worked.edge.count
  let path = ''
  for (let made = 0; made < worked.edge.count; made++) {
    const at = way[made]!
    if (at > seen || worked.edge.kinds[made] !== PLACE_CODE.space) continue
    const [left, middle, right] = [below(at - half), across(at), below(at + half)]
    const arm = (x: number) =>
      `M${n(x)} ${n(-bottomCm)}Q${n((x + middle) / 2 + (x - middle) * 0.1)} ${n(-(bottomCm + heightCm * 0.62))} ${n(middle)} `
      + `${n(-(bottomCm + heightCm))}`
    // At the bag's sides half a loop lies round the corner.
    if (at - half >= 0) path += arm(left)
    if (at + half <= seen) path += arm(right)
  }
  return path
}

/** Everything besides the round itself that its front is drawn from. */
function placeOf({ bottomCm, heightCm, outline, under, shape, belowCm, way, below, free }: Course, mirrored: boolean): string {
  return [
    bottomCm, heightCm, outline.lengthCm, outline.widthCm, under.lengthCm, under.widthCm, shape, belowCm, way[0], below?.[0],
    free !== undefined, mirrored,
  ].join()
}

const drawn = new WeakMap<WorkedRound, { readonly place: string, readonly front: Front }>()

/**
 * The front of a course; drawn once for as long as its round stays the same, and where it was. `mirrored` for left hands, whose
 * rounds run the other way.
 */
export function frontOf(course: Course, mirrored = false): Front {
  const place = placeOf(course, mirrored)
  const known = drawn.get(course.worked)
  if (known?.place === place) return known.front
  const front = drawFront(course, mirrored)
  drawn.set(course.worked, { place, front })
  return front
}

function drawFront(course: Course, mirrored: boolean): Front {
  const { worked, outline, shape, bottomCm, heightCm, belowCm } = course
  const seen = seenShare(course)
  const side = mirrored ? 1 : -1
  const acrossOn
    = (footprint: Footprint): Across =>
      way =>
        side * frontX(footprint, shape, frontShare(course, way))
  const across = acrossOn(outline)
  const under = acrossOn(course.under)
  const [top, bottom] = [-(bottomCm + heightCm), -bottomCm]
  const front = { threads: '', posts: '', ridges: '', holes: '', net: '' }
  if (worked.round.inLoops) return { ...front, net: netOf(course, under, across, seen) }
  for (let made = 0; made < worked.edge.count; made++) {
    const way = course.way[made]!
    if (way > seen) continue
    const half = widthOf(course, made) / 2
    // What arches away as a handle is drawn as one.
    if (course.free?.[made]) continue
    const [left, right] = [across(way - half + GAP * half), across(way + half - GAP * half)]
    const kind = kindAt(worked, made)
    if (STITCHES[kind].front === 'open') {
      const drawn = space(left, right, top, bottom)
      front.threads += drawn.threads
      front.holes += drawn.holes
      continue
    }
    const foot = footOf(course, made)
    const footX = under(Math.min(seen, Math.max(0, foot.way)))
    const loop = LOOPS[worked.loops[made]!]
    const drawn = vee(kind, left, right, footX, top, foot.deep ? bottom + belowCm * 0.8 : bottom)
    if (loop === 'frontPost' || loop === 'backPost') {
      if ((loop === 'frontPost') === (worked.round.facing === 'right')) front.posts += `M${n((left + right) / 2)} ${n(top)}V${n(bottom)}`
      else front.threads += drawn
      continue
    }
    front.threads += drawn
    if (loop === 'back' || loop === 'backAndThird') front.ridges += `M${n(left)} ${n(bottom)}H${n(right)}`
  }
  return front
}
