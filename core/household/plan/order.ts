import { between, choice, count, figure, group, list, optional, text } from '../../parts/field/questions'
import { word } from '../../parts/field/mark'
import { type Day, DAY_PATTERN, type Weekday } from './days'

/*
 * An order: so many of which bags by a day, the evenings there are for them, and what is reckoned into their price (craft 17).
 */

/** So many of one bag. */
export interface OrderLine {
  /** The id that the house keeps the bag under; an order that comes from elsewhere knows its bags by name alone. */
  readonly bag: string
  readonly name: string
  readonly count: number
  /** Zips, buttons, labels of one bag, in hundredths. */
  readonly notions?: number
  /** The maker's price for one, in hundredths. */
  readonly price?: number
}

/** An evening that is not as its weekday usually is: none of it, or longer. */
interface OtherEvening {
  readonly day: Day
  readonly minutes: number
}

/** Parts of a price besides yarn and time; sums in hundredths of whatever currency. */
export interface OrderMoney {
  /** As it is written behind sums: `€`, `crowns`. */
  readonly currency: string
  readonly hourRate: number
  /** The stall's fee, for the whole order. */
  readonly stallFee: number
  /** Share of the price that goes to the stall, the market or whoever sells. */
  readonly sharePercent: number
}

/** An order as it is written to a file. */
export interface Order {
  readonly fairHollow: 'order'
  readonly version: 1
  readonly name: string
  readonly note: string
  readonly forWhom: string
  readonly stands: 'open' | 'closed'
  /** Bags finished on this day or later count for it. */
  readonly taken: Day
  /** The first day with an evening for it. */
  readonly from: Day
  /** Everything has to be ready in the morning of this day. */
  readonly by: Day
  readonly bags: readonly OrderLine[]
  /** Minutes of each evening, by its day of the week. */
  readonly week: Readonly<Record<Weekday, number>>
  /** When an evening begins: `19:00`. */
  readonly startsAt: string
  readonly otherEvenings: readonly OtherEvening[]
  /** Of a hundred evenings so many come to nothing. */
  readonly fallsOut: number
  readonly money: OrderMoney
}

export const MOST_LINES = 40
/** More of one bag are several orders. */
export const MOST_OF_ONE = 500
/** An evening is no night. */
export const MOST_MINUTES = 720
const MOST_SUM = 100_000_000

const SUM = between(0, MOST_SUM)
const day = (label: string) =>
  text(label, 10, 10, { pattern: { source: DAY_PATTERN, message: 'must be a day such as 2026-12-05' } })
const evening = (label: string) =>
  count(label, between(0, MOST_MINUTES), { beside: true, begins: 0, usually: between(0, 180), suffix: 'min' })

const LINE_FIELDS = {
  bag: text('Bag', 0, 64, { begins: '', says: 'The id that the house keeps it under, if it does; else it is known by its name.' }),
  name: text('Its name', 1, 80), count: count('How many', between(1, MOST_OF_ONE), { usually: between(1, 20) }),
  notions: optional(count('Notions of one, in hundredths', SUM, { usually: between(0, 500) })),
  price: optional(count('Asked for one, in hundredths', SUM, { usually: between(500, 10_000) })),
} as const

const OTHER_EVENING_FIELDS = { day: day('Day'), minutes: evening('Minutes') } as const

export const WEEK_FIELDS = {
  mon: evening('Monday'), tue: evening('Tuesday'), wed: evening('Wednesday'), thu: evening('Thursday'), fri: evening('Friday'),
  sat: evening('Saturday'), sun: evening('Sunday'),
} as const

/** Of a hundred evenings so many come to nothing, before a maker says otherwise (from memory). */
const USUALLY_FALLS_OUT = 10

/** An order as it is written to a file. */
export const ORDER_FIELDS = {
  fairHollow: word('order'), version: count('Version', between(1, 1)),
  name: text('Name', 1, 80), note: text('Notes', 0, 4000, { begins: '' }), forWhom: text('For whom', 0, 120, { begins: '' }),
  stands: choice(
    'It stands', [{ value: 'open', name: 'open' }, { value: 'closed', name: 'closed: it takes no more evenings' }], { begins: 'open' },
  ),
  taken: day('Taken on'), from: day('Begins'), by: day('Ready in the morning of'),
  bags: list('Bags', LINE_FIELDS, {
    one: 'bag', all: 'bags', least: 0, most: MOST_LINES, begins: 'none', says: 'So many of which; what stands first is made first.',
  }),
  week: group('Evenings', WEEK_FIELDS, { begins: 'as-fields-do', says: 'Minutes there are on each day of the week.' }),
  startsAt: text('An evening begins at', 5, 5, {
    begins: '19:00', pattern: { source: '^([01]\\d|2[0-3]):[0-5]\\d$', message: 'must be a time such as 19:00' },
  }),
  otherEvenings: list('Other evenings', OTHER_EVENING_FIELDS, {
    one: 'evening', all: 'evenings', least: 0, most: 400, begins: 'none', says: 'Days that are not as their weekday is: longer, or none.',
  }),
  fallsOut: count('Of a hundred evenings come to nothing', between(0, 90), { begins: USUALLY_FALLS_OUT, usually: between(0, 30) }),
  money: group('Price', {
    currency: text('Currency', 0, 8, { begins: '' }),
    hourRate: count('An hour, in hundredths', SUM, { begins: 0, usually: between(0, 3000) }),
    stallFee: count('Stall fee, in hundredths', SUM, { begins: 0, usually: between(0, 5000) }),
    sharePercent: figure('Share of the seller', between(0, 90), '%', { begins: 0, usually: between(0, 40) }),
  }, { begins: 'as-fields-do', says: 'What a price is made of besides yarn and time.' }),
} as const
