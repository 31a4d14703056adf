import { csvTable } from '../../readers/words/csvTable'
import { sum } from '../shelf/money'
import type { ToBuy } from './buy'
import { dayWithYear } from './days'
import type { OrderPlan } from './orderPlan'
import { percent } from './words'
import { oneLine } from '../../readers/words/ownWords'
import { gramsFromTo, gramsOf, translate, type TranslateOptions } from '../../things/stitch/translate'

/*
 * Shopping list for some orders, to take along, and as a table for other programs.
 */

/** Words on a yarn's balls to buy; its weights are yet to be translated. */
export function buyWords({ wants: { low, high }, yarn, haveGrams, spokenForGrams, lasts, buy }: ToBuy): string {
  const range = gramsFromTo(low, high)
  if (!yarn) return `${range}; it is on no shelf, so nothing is known of its balls`
  const have = `${gramsOf(haveGrams)} ${spokenForGrams === undefined ? 'at home' : 'at home that earlier orders leave'}`
  if (!buy) return `${range}; the ${have} last (${percent(lasts)})`
  const balls = `${buy.balls} ${buy.balls === 1 ? 'ball' : 'balls'} of ${gramsOf(yarn.ballGrams)}`
  return `${balls} (wanted ${range}; with the ${have} ${percent(buy.odds)} that it lasts)`
}

/** Words on the dye lots of a yarn at home; its weights are yet to be translated. */
export function lotWords({ lots }: ToBuy): string[] {
  const enough = (bags: number) => (bags === 0 ? 'not enough for a whole bag' : `enough for ${bags} ${bags === 1 ? 'bag' : 'bags'}`)
  return lots.filter(({ lot }) => lot !== '').map(({ lot, grams, bags }) => `lot ${oneLine(lot)}: ${gramsOf(grams)}, ${enough(bags)}`)
}

/** The same sum as it is written with a currency. */
export function money(hundredths: number, currency: string): string {
  return currency ? `${sum(hundredths)} ${currency}` : sum(hundredths)
}

/** A list to take to the shop. */
export function shoppingText(plans: readonly OrderPlan[], buying: readonly ToBuy[], currency: string, told: TranslateOptions): string {
  const orders = plans.map(({ order: { name, by } }) => `${oneLine(name)}, by ${dayWithYear(by)}`)
  const wanted = buying.filter(({ buy, yarn }) => buy ?? !yarn)
  const lines = wanted.flatMap((one) => {
    const cost = one.cost === undefined ? '' : `, ${money(one.cost, currency)}`
    const sameLot = one.buy && one.buy.balls > 1 ? ['    all of one dye lot'] : []
    return [`[ ] ${oneLine(one.name)}: ${buyWords(one)}${cost}`, ...sameLot, ...lotWords(one).map(lot => `    at home ${lot}`)]
  })
  const costs = wanted.flatMap(({ cost }) => (cost === undefined ? [] : [cost]))
  const all = costs.length > 0 ? ['', `Together ${money(costs.reduce((total, cost) => total + cost, 0), currency)}`] : []
  const enough = buying.filter(one => !wanted.includes(one)).map(one => `${oneLine(one.name)}: ${buyWords(one)}`)
  return translate([
    'To buy', ...orders.map(order => `for ${order}`), '', ...(lines.length > 0 ? lines : ['Nothing: the shelf has it all.']), ...all,
    ...(enough.length > 0 ? ['', 'There already', ...enough] : []), '',
  ].join('\n'), told)
}

/** The same as a table: comma-separated values (RFC 4180), a line a yarn. */
export function shoppingTable(buying: readonly ToBuy[]): string {
  return csvTable([
    [
      'yarn', 'bags', 'grams wanted', 'from', 'to', 'grams at home', 'lots at home', 'balls to buy', 'grams a ball',
      'odds that it lasts', 'cost',
    ],
    ...buying.map(({ name, bags, wants, yarn, haveGrams, lasts, buy, cost, lots }) => [
      name, bags, Math.round(wants.grams), Math.floor(wants.low), Math.ceil(wants.high), Math.round(haveGrams),
      lots.filter(({ lot }) => lot).map(({ lot, grams }) => `${lot}: ${Math.round(grams)}`).join('; '),
      buy?.balls ?? (yarn ? 0 : undefined), yarn?.ballGrams, yarn ? Math.round(100 * (buy?.odds ?? lasts)) / 100 : undefined,
      cost === undefined ? undefined : sum(cost).replaceAll(',', ''),
    ]),
  ])
}
