import { changed } from '../field/changed'
import { beginBase, type BaseSpec } from '../base/base'
import type { BaseStitch } from '../base/form'
import type { Fields } from '../field/field'
import { balls } from './balls'
import { bottle } from './bottle'
import { box } from './box'
import { cloth } from './cloth'
import type { ContentKind, ContentsOf, Room } from './content'

/** Contents that a bag must hold, by kind, as they are offered: the only list of them. */
export const CONTENT_KINDS = [box, bottle, balls, cloth] as const

/** Contents of a bag, as a maker would say them. */
export type Contents = ContentsOf<(typeof CONTENT_KINDS)[number]>

type AnyContent = ContentKind<string, Fields, Contents>
const KINDS = new Map<string, AnyContent>(CONTENT_KINDS.map(one => [one.kind, one]))

/** The kind of what a bag must hold. */
export function contentOf({ kind }: { readonly kind: string }): AnyContent {
  return KINDS.get(kind)!
}

/** The room that contents take up. */
export function roomOf(contents: Contents): Room {
  return contentOf(contents).room(contents)
}

/** How large a ball would be that is as hard to push through a hole as what the bag must hold; nothing if it falls through none. */
export function leastThroughCm(contents: Contents): number | undefined {
  return contentOf(contents).leastThroughCm?.(contents)
}

/** How far round contents go, standing. */
export function girthCm({ round, lengthCm, widthCm }: Room): number {
  return round ? Math.PI * lengthCm : 2 * (lengthCm + widthCm)
}

/** Room to get things in and out: a centimetre all the way round, and two above (from memory). */
export const EASE_CM = 1
const HEADROOM_CM = 2

/** A bag for these contents: its base, and how tall its wall is. */
interface Proposal {
  readonly base: BaseSpec
  readonly heightCm: number
  readonly why: string
}

function withEase(cm: number): number {
  return Math.round((cm + 2 * EASE_CM) * 10) / 10
}

/** Proposes a base and a height for contents, with ease. */
export function propose(contents: Contents, stitch: BaseStitch, colour: string): Proposal {
  const room = roomOf(contents)
  const { form, why } = contentOf(contents).standsOn(contents, room.widthCm > 0.9 * room.lengthCm)
  const [lengthCm, widthCm] = [withEase(room.lengthCm), withEase(room.widthCm)]
  const base = beginBase(form, { stitch, colour, lengthCm, widthCm, heightCm: room.heightCm })
  const heightCm = Math.round((room.heightCm + HEADROOM_CM) * 10) / 10
  // A base begins longer than wide; what stands in it says how long and how wide.
  return { base: room.round ? base : changed(base, { size: { want: { lengthCm, widthCm } } }), heightCm, why }
}
