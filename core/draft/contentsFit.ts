import type { BagSizes } from './sizes'
import type { Finding } from '../part/finding'
import { type Contents, roomOf } from '../contents/contents'

interface Shortfall {
  readonly what: string
  readonly needCm: number
  readonly haveCm: number
}

/**
 * Where a bag is too small for its contents. A round thing needs its own width both ways; a box in a round or oval bag
 * needs its corners inside, so a disc must span its diagonal. A bag without a floor must go round: half its edge against
 * the half-girth of what it holds.
 */
function shortfalls(contents: Contents, sizes: BagSizes): Shortfall[] {
  const room = roomOf(contents)
  const { floor } = sizes
  const diagonal = Math.hypot(room.lengthCm, room.widthCm)
  const across: Shortfall[] = floor.shape === 'none'
    ? [{ what: 'lying flat, it would have to be', needCm: room.round ? (Math.PI * room.lengthCm) / 2 : room.lengthCm + room.widthCm, haveCm: sizes.flatWidth.cm }]
    : floor.shape === 'disc'
      ? [{ what: 'across the floor', needCm: room.round ? room.lengthCm : diagonal, haveCm: floor.length.cm }]
      : [{ what: 'along the floor', needCm: room.lengthCm, haveCm: floor.length.cm }, { what: 'across the floor', needCm: room.widthCm, haveCm: floor.width.cm }]
  return [...across, { what: 'up to the mouth', needCm: room.heightCm, haveCm: sizes.height.cm }].filter(({ needCm, haveCm }) => haveCm < needCm)
}

/** Whether the contents fit: a caution that says where they do not and by how much, or a note that they do. */
export function contentsFindings(contents: Contents | undefined, sizes: BagSizes): Finding[] {
  if (!contents) return []
  const short = shortfalls(contents, sizes)
  if (short.length === 0) return [{ code: 'contents-fit', weight: 'note', part: 'contents', what: 'What it must hold fits inside.' }]
  const where = short.map(({ what, needCm, haveCm }) => `${what} ${needCm.toFixed(1)} cm is needed and there is ${haveCm.toFixed(1)} cm`).join('; ')
  return [{ code: 'contents-outgrow', weight: 'caution', part: 'contents', what: `What it must hold no longer fits: ${where}. Make those larger, or let the contents propose a bag.` }]
}
