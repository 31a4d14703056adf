import type { Fix } from '../../parts/part/finding'
import type { Keeps } from '../../parts/kind/kind'
import { SOLID_STITCHES } from '../../parts/band/solid'
import { beginPart, heightAsked, type WallSpec } from '../../parts/wall/wall'
import type { Design, WallPart } from './design'
import { asPartOf } from './partIds'

/*
 * Edits of the stack of a wall's parts: each a change of the design, and the part that is in hand after it.
 */

/** A change of the stack, and which part is in hand then; none if the stack has none. */
export interface StackChange extends Fix {
  readonly inHand?: string
}

/** The handles that most makers start from. */
export const HANDLES_BAND = 'slots'

/** Answers that a new part keeps of one: stitch, height, yarn and stripes, where it has them and they mean the same. */
export function keptOf(design: Design, like: WallSpec | undefined, aroundCm: number): Keeps {
  const stitch = like && 'stitch' in like ? SOLID_STITCHES.find(one => one === like.stitch) : undefined
  const size = (like && heightAsked(like)) ?? { want: { heightCm: 6 } }
  return {
    stitch: stitch ?? 'sc', size, repeats: design.repeats, aroundCm,
    yarn: { colour: like?.colour ?? design.base.colour, ...(like && 'stripes' in like && like.stripes ? { stripes: like.stripes } : {}) },
  }
}

/** A wall stacked otherwise. */
export function restacked(label: string, wall: readonly WallPart[], inHand: string | undefined): StackChange {
  return { label, changes: [{ path: ['wall'], value: wall }], ...(inHand === undefined ? {} : { inHand }) }
}

function put({ wall }: Design, at: number, spec: WallSpec, label: string): StackChange {
  const part = asPartOf(wall, spec)
  return restacked(label, [...wall.slice(0, at), part, ...wall.slice(at)], part.id)
}

/** Where in the wall a part is. */
export const placeOf = ({ wall }: Design, id: string) => wall.findIndex(part => part.id === id)

/** A new plain band above a part, or on top of all. */
export function bandAbove(design: Design, id?: string): StackChange {
  const at = id === undefined ? design.wall.length - 1 : placeOf(design, id)
  const below = design.wall[at]
  const plain: WallSpec = {
    kind: 'solid', stitch: 'sc', size: { want: { heightCm: below ? 6 : 12 } }, colour: below?.colour ?? design.base.colour,
  }
  return put(design, at + 1, plain, 'Add a band')
}

/** Slots with handles over them, on top of all: the kind that most makers start from. */
export function handlesOnTop(design: Design, aroundCm: number): StackChange {
  return put(design, design.wall.length, beginPart(HANDLES_BAND, keptOf(design, design.wall.at(-1), aroundCm)), 'Add handles')
}

/** A part once more, above itself. */
export function doubled(design: Design, id: string): StackChange {
  const at = placeOf(design, id)
  return put(design, at + 1, design.wall[at]!, 'Double a band')
}

/** A part thrown out: the one below it is in hand then, or, of the lowest, the one above. */
export function thrownOut(design: Design, id: string): StackChange {
  const at = placeOf(design, id)
  const wall = design.wall.filter(part => part.id !== id)
  return restacked('Remove a band', wall, wall[Math.min(at, wall.length - 1)]?.id)
}

/** A part moved so many places up; nothing if that is beyond the stack. */
export function moved(design: Design, id: string, by: number): StackChange | undefined {
  const at = placeOf(design, id)
  const to = at + by
  if (by === 0 || to < 0 || to >= design.wall.length) return undefined
  const rest = design.wall.filter(part => part.id !== id)
  return restacked('Move a band', [...rest.slice(0, to), design.wall[at]!, ...rest.slice(to)], id)
}

/** An id that no repeat of a design has yet. */
export function freshRepeatId({ repeats }: Pick<Design, 'repeats'>): string {
  let number = repeats.length + 1
  while (repeats.some(({ id }) => id === `own-${number}`)) number++
  return `own-${number}`
}
