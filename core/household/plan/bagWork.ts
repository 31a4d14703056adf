import type { Yarn } from '../../bag/design/design'
import type { Draft } from '../../bag/draft/draft'
import { AGAIN, PACE_SPREAD } from '../../making/log/rulesOfThumb'
import { NINE_OF_TEN } from '../../making/log/estimate'
import type { Skill } from '../../making/log/skill'
import { timeOfBag } from '../../making/log/time'
import { yarnUseOf, yarnUseUnseen, type Rate } from '../shelf/yarnUse'
import { wants } from '../shelf/enough'
import type { ShelfYarn } from '../shelf/yarn'
import { yarnNeeds } from '../../bag/yarn/yarn'

/** Need of one bag for a yarn. */
interface BagYarn {
  /** Its id on the shelf; none of a yarn that stands alone. */
  readonly shelf?: string
  readonly name: string
  readonly colour: string
  readonly grams: number
  /** How sure that is: the deviation of its logarithm. */
  readonly spread: number
}

/** Need of one bag: the maker's time, and which yarns. */
export interface BagWork {
  /** Minutes at the hook. */
  readonly minutes: number
  /** Deviations of its logarithm: of the maker's pace, which all bags share, and from bag to bag. */
  readonly paceSpread: number
  readonly bagSpread: number
  /** So many bags of the maker's own stand behind the time. */
  readonly known: number
  readonly yarns: readonly BagYarn[]
}

/** Bags of one maker differ by as much, each for itself. */
const BAG_SPREAD = Math.hypot(PACE_SPREAD.bags, AGAIN.bags)

/** The yarn of the shelf that a bag's yarn is: the one it points to; of one that points to none, the one that is called the same. */
function shelfYarn({ shelf: id, name }: Yarn, shelf: readonly ShelfYarn[]): ShelfYarn | undefined {
  return shelf.find(yarn => yarn.id === id) ?? shelf.find(yarn => yarn.name === name)
}

/** Work of a bag, by what is known of the maker's skill and of the yarns on the shelf. */
export function bagWork(draft: Draft, hands: Skill, onShelf: readonly ShelfYarn[]): BagWork {
  const { minutes, high, bags } = timeOfBag(draft, hands)
  const all = minutes > 0 ? Math.log(high / minutes) / NINE_OF_TEN : 0
  const bagSpread = Math.min(all, BAG_SPREAD)
  return {
    minutes, paceSpread: Math.sqrt(all ** 2 - bagSpread ** 2), bagSpread, known: bags,
    yarns: yarnNeeds(draft).map(({ yarn, metres }): BagYarn => {
      const shelf = shelfYarn(yarn, onShelf)
      const taught = hands.yarn.find(({ name }) => name === yarn.name)?.gramsPerMetre
      const rate: Rate = shelf ? yarnUseOf(shelf, taught) : yarnUseUnseen(draft, taught)
      const { grams, spread } = wants(metres, rate)
      return { ...(shelf ? { shelf: shelf.id } : {}), name: shelf?.name ?? yarn.name, colour: shelf?.colour ?? yarn.colour, grams, spread }
    }),
  }
}
