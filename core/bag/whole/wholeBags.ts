import { newDesign } from '../design/starter'
import { stacked } from '../design/partIds'
import type { Design, DesignGauge, Yarn } from '../design/design'
import { draft } from '../draft/draft'
import { isStopped } from '../draft/fold/draftPart'
import { applyFix } from '../design/edit'
import { fit } from '../fit/fit'
import { asTall, type TallAs } from '../fit/wholeSize'
import { gaugeOf } from '../../things/gauge/gauge'
import type { Sizes, WholeBag } from './wholeBagList'

/*
 * Whole bags to begin with: each a working design in the maker's own gauge and yarn, as large as is asked.
 */

/** The maker's answers about a whole bag. */
export interface WholeBagWish {
  readonly name: string
  readonly gauge: DesignGauge
  readonly yarn: Omit<Yarn, 'id'>
  readonly sizes: Partial<Sizes>
  readonly carried?: string
  readonly units?: Design['units']
}

/** The sizes of a whole bag, the usual ones where none is said, each within its bounds. */
export function sizesOf({ asks }: WholeBag, said: Partial<Sizes>): Sizes {
  const usual = Object.fromEntries(asks.map(({ name, usualCm, bounds: { least, most } }) =>
    [name, Math.min(most, Math.max(least, said[name] ?? usualCm))]))
  return { wide: 0, tall: 0, deep: 0, ...usual }
}

/** How far off its sizes a whole bag may come to let its counts divide. */
const OFF_CM = 2

/** A bag with counts that divide all the way up, where they do not yet. */
export function dividing(plain: Design, gauge: DesignGauge): Design {
  if (!draft(plain).parts.some(isStopped)) return plain
  const [best] = fit(plain, gaugeOf(gauge), { toleranceCm: OFF_CM, mostAdjusting: 2 }).found
  return best ? { ...plain, base: best.base, wall: best.wall } : plain
}

/** Its walls, rim and floor share a whole height that was asked; the tallest plain band gives. */
function asTallAsAsked(design: Design, as: TallAs | undefined, cm: number): Design {
  const sized = as && asTall(design, cm, as)
  return sized?.can ? applyFix(design, sized.fix).design : design
}

/** A whole bag as a design: as large as is asked, in the maker's gauge and yarn, and with counts that divide all the way up. */
export function wholeBag(bag: WholeBag, { name, gauge, yarn, sizes, carried, units = 'cm' }: WholeBagWish): Design {
  const asked = sizesOf(bag, sizes)
  const carriedBy = bag.carried.find(({ id }) => id === carried) ?? bag.carried[0]
  const plain: Design = {
    ...newDesign(name), turnUp: 'plain', ...bag.like, gauge, units, yarns: [{ id: 'main', ...yarn }], base: bag.base(asked, 'main'),
    wall: stacked([...bag.wall(asked, 'main'), ...(carriedBy?.wall('main') ?? [])]),
  }
  return asTallAsAsked(dividing(plain, gauge), bag.tallAs, asked.tall)
}
