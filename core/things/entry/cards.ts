import type { Card } from './card'
import { back, backAndFar, backAndThird, backPost, both, bothLayers, bump, front, frontPost } from './loops'
import { backStitch, backwards, colourChange, foundationSc, mattressSeam, ring, slipSeam, whipSeam } from './techniques'
import {
  aroundChain,
  below,
  closing,
  foundationChain,
  gap,
  gapBelow,
  hole,
  rowEnd,
  singleChain,
  space,
  together,
  underside,
} from './places'

/** Every way that a stitch is entered or joined, in the order they are browsed. */
export const CARDS = [
  both, front, back, backAndThird, frontPost, backPost, bump, bothLayers, backAndFar,
  space, singleChain, gap, below, gapBelow, foundationChain,
  underside, rowEnd, hole, aroundChain, closing, together, backwards, ring, foundationSc, colourChange, whipSeam, slipSeam, mattressSeam,
  backStitch,
] as const

export type CardId = (typeof CARDS)[number]['id']

/** A card by its id. */
export function cardOf(id: CardId): Card {
  return CARDS.find(one => one.id === id)!
}
