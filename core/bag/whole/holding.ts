import { type Contents, propose } from '../../parts/contents/contents'
import { asPartOf, stacked } from '../design/partIds'
import type { Design } from '../design/design'
import { newDesign } from '../design/starter'
import { beginPart } from '../../parts/wall/wall'
import { keptOf } from '../design/stacking'
import type { WholeBagWish } from './wholeBags'
import { dividing } from './wholeBags'

/** A bag for what goes in: a base and a wall with ease around it, and slots to carry it by. */
export function holdingBag(contents: Contents, { name, gauge, yarn, units = 'cm' }: Omit<WholeBagWish, 'sizes'>): Design {
  const { base, heightCm } = propose(contents, 'sc', 'main')
  const wall = stacked([{ kind: 'solid', stitch: 'sc', size: { want: { heightCm } }, colour: 'main' }])
  const bare: Design = { ...newDesign(name), turnUp: 'plain', gauge, units, yarns: [{ id: 'main', ...yarn }], contents, base, wall }
  const slots = beginPart('slots', keptOf(bare, wall[0], 40))
  return dividing({ ...bare, wall: [...wall, asPartOf(wall, slots)] }, gauge)
}
