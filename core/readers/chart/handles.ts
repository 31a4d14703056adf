import type { Draft } from '../../bag/draft/draft'
import { type Hanging, hangingsOf } from '../../bag/draft/handles'
import type { DraftPart } from '../../bag/draft/fold/draftPart'
import type { Footprint, FloorShape } from '../../parts/part/floor'
import type { Grip } from '../../parts/part/handle'
import { knotted, loopUp, type Upright } from './knotted'
import { type Course, elevation, frontShare, frontX, seenShare, withinWay } from './elevation'
import { fromBelow, fromRim, heldUp, lyingFlat } from './handlePaths'

/** How handles are drawn: held up by their middle, empty or with the load in; or lying as they fall, the bag lying flat. */
export const HANDLES_AS = ['held', 'loaded', 'flat'] as const
export type HandlesAs = (typeof HANDLES_AS)[number]

/** A handle as the front of the bag shows it: the middle of its strip, in centimetres, y downwards from the floor. */
export interface HandleFront {
  readonly part: string
  readonly name: string
  readonly path: string
  readonly widthCm: number
  readonly colour: string
  readonly bought: boolean
  /** On the far side of the bag: drawn behind it. */
  readonly behind: boolean
}

/** The front of a part that is placed there, and its grips. */
export interface GripFront {
  readonly part: string
  readonly grip: Grip
  /** Where its span begins and ends, left to right, how high its feet are, and where the sides are. */
  readonly leftX: number
  readonly rightX: number
  readonly y: number
  readonly outerLeftX: number
  readonly outerRightX: number
  /** How far across the front one stitch is, about the middle of the span; below 0 where moving it on goes to the left. */
  readonly stitchCm: number
  /** Whether the rounds run to the right on the front. */
  readonly rightwards: boolean
  /** How far round the rim goes there. */
  readonly rimCm: number
}

/** Where a way round the bag lies on the front, at some height; nothing if it is on the far side. */
interface Place {
  readonly outline: Footprint
  readonly shape: FloorShape
  readonly side: 1 | -1
  /** Shift of the way from the round's start at which the front begins at 0. */
  readonly turn: number
}

function xAt(place: Place, way: number): number {
  return place.side * frontX(place.outline, place.shape, frontShare(place, way))
}

/** A way on the far side, seen through the bag: it lies as far along as its mirror image on the front. */
function xThrough(place: Place, way: number): number {
  const on = withinWay(way - place.turn)
  const front = seenShare(place)
  return xAt(place, on <= front ? on : Math.max(0, front - (on - 0.5)))
}

function isBehind(place: Place, way: number): boolean {
  return withinWay(way - place.turn) > 0.5
}

/** The rim a part stands on, or makes: its course nearest to a height. */
function placeAt(draft: Draft, courses: readonly Course[], part: DraftPart, cm: number): Place | undefined {
  const course = courses.find(({ bottomCm, heightCm }) => bottomCm + heightCm >= cm - 1e-6) ?? courses.at(-1)
  if (!course) return undefined
  return {
    outline: course.outline, shape: course.shape, side: draft.design.hands === 'left' ? 1 : -1,
    turn: course.turn + (course.part === part.id ? 0 : part.sidesMoved),
  }
}

/** Half the width of a handle worked in the round lies above its lower edge. */
function raisedCm({ handle: { aboveCm, widthCm } }: Hanging): number {
  return aboveCm > 0 ? widthCm / 2 : 0
}

function dropOf({ dropCm, loadedDropCm }: Hanging, as: HandlesAs): number {
  return as === 'loaded' ? loadedDropCm : dropCm
}

/** A strap from side to side is folded around the sides: from the front half its width is seen. */
function seenCm({ lies, widthCm, strands }: Hanging['handle']): number {
  return lies === 'over' && strands > 1 ? widthCm / 2 : widthCm
}

/** How a strap with one foot upon the other stands on the front. */
function uprightOf(hanging: Hanging, place: Place, as: HandlesAs): Upright {
  const [a, b] = hanging.handle.feet.map(way => xThrough(place, way)) as [number, number]
  return { x: (a + b) / 2, dropCm: dropOf(hanging, as), widthCm: hanging.handle.widthCm }
}

/** A strap around one side of the bag: a loop; of two, the longer goes through the shorter when they are held. */
function aroundPath(hanging: Hanging, all: readonly Hanging[], place: Place, as: HandlesAs): string {
  const y = -(hanging.feetCm + raisedCm(hanging))
  const own = uprightOf(hanging, place, as)
  const other = all.find(one => one !== hanging && one.part === hanging.part && one.handle.lies === 'around')
  if (as === 'flat' || !other) return loopUp(own, y)
  const partner = uprightOf(other, place, as)
  return own.dropCm <= partner.dropCm ? knotted(own, partner, y).short : knotted(partner, own, y).long
}

function pathOf(hanging: Hanging, all: readonly Hanging[], place: Place, as: HandlesAs): string {
  if (hanging.handle.lies === 'around') return aroundPath(hanging, all, place, as)
  const { handle, feetCm } = hanging
  const y = -(feetCm + raisedCm(hanging))
  const half = place.outline.lengthCm / 2 - seenCm(handle) / 2
  const [a, b] = handle.lies === 'over' ? [-half, half] : (handle.feet.map(way => xThrough(place, way)) as [number, number])
  const stretched = handle.lengthCm * (as === 'loaded' ? 1 + hanging.stretch : 1)
  if (handle.aboveCm === 0)
    return fromBelow(
      as === 'flat' ? lyingFlat(a, b, y, stretched) : heldUp(a, b, y, dropOf(hanging, as), stretched, handle.widthCm),
      a,
      b,
      y,
      Math.max(0.2, handle.onBagCm ?? 0),
    )
  // Its own width lies beside its lower edge, from foot to foot.
  const up = handle.widthCm * 0.5
  // At the bag's very side the strip stays within it.
  const most = Math.max(0, place.outline.lengthCm / 2 - up)
  const [left, right] = [Math.max(-most, Math.min(a, b)), Math.min(most, Math.max(a, b))]
  const legs
    = as === 'flat'
      ? lyingFlat(left, right, y - up, stretched)
      : heldUp(left, right, y - up, Math.max(0, dropOf(hanging, as) - up), stretched, handle.widthCm)
  return fromRim(
    legs,
    left,
    right,
    y,
    handle.widthCm,
    Math.max(0, Math.min(place.outline.lengthCm / 2 - right, place.outline.lengthCm / 2 + left)),
  )
}

/** Draws what goes through another strap before it. */
function longFirst(all: readonly Hanging[]): Hanging[] {
  const length = ({ handle }: Hanging) => (handle.lies === 'around' ? handle.lengthCm : 0)
  return [...all].sort((a, b) => length(b) - length(a))
}

/** Every handle of a bag as its front shows it. */
export function handleFronts(draft: Draft, as: HandlesAs, courses: readonly Course[] = elevation(draft)): HandleFront[] {
  const all = hangingsOf(draft.design, draft.parts)
  return longFirst(all).flatMap((hanging): HandleFront[] => {
    const { handle, part, feetCm } = hanging
    const place = placeAt(draft, courses, part, feetCm)
    if (!place) return []
    const middle = handle.feet[0] + withinWay(handle.feet[1] - handle.feet[0]) / 2
    return [
      {
        part: part.id, name: handle.name, path: pathOf(hanging, all, place, as), widthCm: seenCm(handle), colour: handle.colour,
        bought: handle.bought === true, behind: handle.lies === 'along' && isBehind(place, middle),
      },
    ]
  })
}

/** Grips on the front: the span of each part that is placed on the faces. */
export function gripFronts(draft: Draft, courses: readonly Course[] = elevation(draft)): GripFront[] {
  let tall = 0
  return draft.parts.flatMap((part): GripFront[] => {
    const below = tall
    tall += part.size.height.cm
    const { grip } = part
    const place = grip && placeAt(draft, courses, part, below)
    if (!grip || !place) return []
    const [from, to] = grip.span.map(way => withinWay(way - place.turn)) as [number, number]
    if (from > to) return []
    const step = xAt(place, (from + to) / 2 + 0.5 / grip.count) - xAt(place, (from + to) / 2 - 0.5 / grip.count)
    const [leftX, rightX] = [xAt(place, from), xAt(place, to)].sort((a, b) => a - b) as [number, number]
    const [outerLeftX, outerRightX] = [xAt(place, 0), xAt(place, seenShare(place))].sort((a, b) => a - b) as [number, number]
    return [
      {
        part: part.id, grip, leftX, rightX, outerLeftX, outerRightX, y: -below, stitchCm: step * grip.onward, rightwards: step > 0,
        rimCm: draft.parts[draft.parts.indexOf(part) - 1]?.size.circumference.cm ?? part.size.circumference.cm,
      },
    ]
  })
}
