import { minutesWords } from '../../core/making/log/time'
import type { ToBuy } from '../../core/household/plan/buy'
import { dayWithYear, dayWords } from '../../core/household/plan/days'
import { buyWords, lotWords, money } from '../../core/household/plan/list'
import type { OrderPlan } from '../../core/household/plan/orderPlan'
import type { OrderPrice } from '../../core/household/plan/price'
import { eveningCare, jobName, SELLING_CARE, stateWords, verdictWords } from '../../core/household/plan/words'
import { translate, type TranslateOptions } from '../../core/things/stitch/translate'
import { ACCENT, type Fonts, type PaperWish, Sheet } from './sheet'

/*
 * An order on paper: what is wanted with a box to tick for every bag, evening by evening what is to be made, the yarn, and the price.
 */

/** An order with all that its sheet says. */
interface OrderSheet {
  readonly plan: OrderPlan
  readonly buying: readonly ToBuy[]
  readonly price: OrderPrice
  /** Units of amounts of yarn. */
  readonly told: TranslateOptions
}

/** Where a bag's words begin, beside its boxes. */
const WORDS_AT = 130

function wantedBags(sheet: Sheet, { lines }: OrderPlan): void {
  sheet.heading('Bags')
  for (const { line: { name, count }, finished, inHand, toMake, work } of lines) {
    const state = `${count} wanted: ${finished.length} finished, ${inHand.length} on the hook, ${toMake} to begin.`
    const time = work ? ` About ${minutesWords(work.minutes)} each.` : ' How long one takes is not known.'
    sheet.round(name, state + time, count, WORDS_AT)
  }
}

function evenings(sheet: Sheet, plan: OrderPlan): void {
  if (plan.stretches.length === 0) return
  sheet.heading('Evenings')
  for (const day of new Set(plan.stretches.map(stretch => stretch.day))) {
    const own = plan.stretches.filter(stretch => stretch.day === day)
    const said = own.map(({ job, minutes, finishes }) =>
      `${jobName(plan, job)}${finishes ? ', to its end' : ''} (${minutesWords(minutes)})`)
    sheet.pair(dayWords(day), `${said.join('; ')}${day >= plan.order.by ? ': too late' : ''}`)
  }
}

function prices(sheet: Sheet, { lines, wanted, order: { money: { currency, sharePercent } } }: OrderPlan, price: OrderPrice): void {
  const written = (hundredths: number) => money(hundredths, currency)
  sheet.heading('Price')
  lines.forEach(({ line }, i) => {
    const own = price.lines[i]
    if (!own) return sheet.pair(line.name, 'not known')
    const unpriced = own.unpriced.length > 0 ? ` Without ${own.unpriced.join(', ')}: no price is known.` : ''
    const asked = line.price === undefined ? '' : ` Asked: ${written(line.price)}, which is ${written(own.anHour ?? 0)} an hour.`
    const costs = `Yarn ${written(own.yarn)}, notions ${written(own.notions)}, hours ${written(own.hours)}, fee ${written(own.fee)}`
    const seller = sharePercent > 0 ? `, ${sharePercent} % of it the seller's` : ''
    const pays = `${written(own.pays)} (${written(own.paysLow)} to ${written(own.paysHigh)})`
    sheet.pair(line.name, `${costs}: ${written(own.costs)}. A price that pays${seller}: ${pays}.${asked}${unpriced}`)
  })
  const brings = price.brings === undefined ? '' : `; as asked they bring ${written(price.brings)}`
  sheet.text(`All ${wanted}: ${written(price.pays)}${brings}.`, { face: 'bold' })
}

/** Writes an order as a PDF. */
export async function orderPdf({ plan, buying, price, told }: OrderSheet, wish: PaperWish, fonts: Fonts): Promise<Buffer> {
  const { order } = plan
  const sheet = new Sheet(order.name, wish, fonts)
  sheet.text(order.name, { face: 'heading', size: 24, after: 8 })
  sheet.pair('Ready by', `the morning of ${dayWithYear(order.by)}`)
  if (order.forWhom) sheet.pair('For', order.forWhom)
  if (order.note) sheet.pair('Notes', order.note)
  sheet.pair('As it stands', stateWords(plan))
  const verdict = verdictWords(plan)
  if (verdict) sheet.text(verdict, { face: 'bold', ...(plan.behind.length > 0 ? { colour: ACCENT } : {}) })
  wantedBags(sheet, plan)
  evenings(sheet, plan)
  sheet.heading('Yarn')
  for (const one of buying) {
    sheet.pair(one.name, translate([buyWords(one), ...lotWords(one).map(lot => `at home ${lot}`)].join('; '), told)
    + (one.cost === undefined ? '' : `; ${money(one.cost, order.money.currency)}`))
  }
  prices(sheet, plan, price)
  sheet.heading('Take care')
  for (const text of [...eveningCare(order), SELLING_CARE]) sheet.pair('–', text, 16)
  return sheet.finished()
}
