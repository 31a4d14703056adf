import { between, choice, count, figure, group, list, optional, text } from '../../parts/field/questions'
import { versionField, word } from '../../parts/field/mark'
import type { ValuesOf } from '../../parts/field/spec'
import { type Day, DAY_FORM } from './days'

/*
 * An order: so many of which bags by a day, the evenings there are for them, and what is reckoned into their price (craft 17).
 */

export const MOST_LINES = 40
/** More of one bag are several orders. */
const MOST_OF_ONE = 500
/** An evening is no night. */
export const MOST_MINUTES = 720
const MOST_SUM = 100_000_000

const SUM = between(0, MOST_SUM)
const day = (label: string, says = '') =>
  text<Day>(label, 10, 10, {
    as: 'day', pattern: DAY_FORM, ...(says && { says }),
  })
const evening = (label: string) =>
  count(label, between(0, MOST_MINUTES), { beside: true, begins: 0, usually: between(0, 180), suffix: 'min' })

const LINE_FIELDS = {
  bag: text('Bag', 0, 64, { begins: '', says: 'The id that it is kept under here; an order from elsewhere knows its bags by name alone.' }),
  name: text('Its name', 1, 80), count: count('How many', between(1, MOST_OF_ONE), { usually: between(1, 20) }),
  notions: optional(
    count('Notions of one', SUM, { sum: true, usually: between(0, 500), says: 'Zips, buttons, labels of one bag, in hundredths.' }),
  ),
  price: optional(count('Asked for one', SUM, { sum: true, usually: between(500, 10_000), says: 'The price of one, in hundredths.' })),
} as const

const OTHER_EVENING_FIELDS = { day: day('Day'), minutes: evening('Minutes') } as const

export const WEEK_FIELDS = {
  mon: evening('Monday'), tue: evening('Tuesday'), wed: evening('Wednesday'), thu: evening('Thursday'), fri: evening('Friday'),
  sat: evening('Saturday'), sun: evening('Sunday'),
} as const

/** Of a hundred evenings so many come to nothing, before a maker says otherwise (from memory). */
const USUALLY_FALLS_OUT = 10

/** The fields of an order. */
export const ORDER_FIELDS = {
  fairHollow: word('order'), version: versionField(1),
  name: text('Name', 1, 80), note: text('Notes', 0, 4000, { begins: '', as: 'notes' }), forWhom: text('For whom', 0, 120, { begins: '' }),
  stands: choice(
    'It stands', [{ value: 'open', name: 'open' }, { value: 'closed', name: 'closed: it takes no more evenings' }], { begins: 'open' },
  ),
  taken: day('Bags count that are finished since', 'Bags finished on this day or later count for it.'),
  from: day('First evening', 'The first day with an evening for it.'),
  by: day('Ready in the morning of'),
  bags: list('Bags', LINE_FIELDS, {
    one: 'bag', all: 'bags', least: 0, most: MOST_LINES, begins: 'none', says: 'So many of which; what stands first is made first.',
  }),
  week: group('Evenings', WEEK_FIELDS, { begins: 'as-fields-do', says: 'Minutes there are on each day of the week.' }),
  startsAt: text('An evening begins at', 5, 5, {
    begins: '19:00', as: 'time', pattern: { source: '^([01]\\d|2[0-3]):[0-5]\\d$', message: 'must be a time such as 19:00' },
  }),
  otherEvenings: list('Other evenings', OTHER_EVENING_FIELDS, {
    one: 'evening', all: 'evenings', least: 0, most: 400, begins: 'none', says: 'Days that are not as their weekday is: longer, or none.',
  }),
  fallsOut: count('Lost, of 100 evenings', between(0, 90), {
    begins: USUALLY_FALLS_OUT, usually: between(0, 30), says: 'Of a hundred evenings so many come to nothing.',
  }),
  money: group('Price', {
    currency: text('Currency', 0, 8, { begins: '' }),
    hourRate: count('An hour', SUM, { sum: true, begins: 0, usually: between(0, 3000), says: 'What an hour is worth, in hundredths.' }),
    stallFee: count('Stall fee, all of it', SUM, {
      sum: true, begins: 0, usually: between(0, 5000), says: 'For the whole order, in hundredths.',
    }),
    sharePercent: figure('Share of the seller', between(0, 90), '%', { begins: 0, usually: between(0, 40) }),
  }, { begins: 'as-fields-do', says: 'What a price is made of besides yarn and time.' }),
} as const

/** An order as it is written to a file. */
export type Order = ValuesOf<typeof ORDER_FIELDS>
/** So many of one bag. */
export type OrderLine = ValuesOf<typeof LINE_FIELDS>
