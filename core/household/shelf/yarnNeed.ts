import type { Skill } from '../../making/log/skill'
import type { YarnNeed } from '../../bag/yarn/yarn'
import { type YarnUse, yarnUseOf } from './yarnUse'
import { ballsFor, oddsThatItLasts, SURE_ENOUGH, type Wants, wants } from './enough'
import { stockOf } from './stock'
import type { ShelfYarn } from './yarn'
import { gramsFromTo, gramsOf } from '../../things/stitch/translate'

/** Need of a bag for a yarn of the shelf: grams, balls with their odds, and whether what lies there lasts. */
interface NeedOfShelf {
  readonly eats: YarnUse
  readonly wants: Wants
  readonly balls: ReturnType<typeof ballsFor>
  readonly haveGrams: number
  /** How likely it is that what lies there lasts. */
  readonly lasts: number
}

/** Need of a bag for a yarn of the shelf, by what is known of how it is used up: from the yarn itself, or from bags in it. */
export function needOfShelf({ yarn: { name }, metres }: YarnNeed, yarn: ShelfYarn, hands: Pick<Skill, 'yarn'>): NeedOfShelf {
  const eats = yarnUseOf(yarn, hands.yarn.find(taught => taught.name === name)?.gramsPerMetre)
  const bag = wants(metres, eats)
  const { grams } = stockOf(yarn)
  return { eats, wants: bag, balls: ballsFor(bag, yarn.ballGrams), haveGrams: grams, lasts: oddsThatItLasts(grams, bag) }
}

/** Words on whether it lasts. */
export function lastsWords({ haveGrams, lasts, wants: { low, high } }: NeedOfShelf): string {
  const percent = Math.min(99, Math.max(1, Math.round(100 * lasts)))
  if (haveGrams <= 0) return 'None lies on the shelf.'
  if (haveGrams >= high) return `The ${gramsOf(haveGrams)} on the shelf last (${percent} %).`
  if (haveGrams >= low) {
    const verdict = lasts < 0.5 ? 'are probably too little' : lasts < SURE_ENOUGH ? 'may be enough' : 'are probably enough'
    return `The ${gramsOf(haveGrams)} on the shelf ${verdict}: ${percent} % that they last.`
  }
  return `The ${gramsOf(haveGrams)} on the shelf do not last (${percent} %): about `
    + `${gramsFromTo(low - haveGrams, high - haveGrams)} short.`
}
