import { between, choice, count, figure, length, list, maybe, optional, stitch, text } from '../../parts/field/questions'
import { versionField, word } from '../../parts/field/mark'
import type { ValuesOf } from '../../parts/field/spec'
import { YARN_WEIGHTS } from '../../things/stitch/yarnWeights'

/*
 * The yarn shelf: what lies at home of which yarn, in plain words, and what it is known to eat (craft 12).
 */

export const MOST_BALLS = 200

/** Rows that can be unravelled or weighed (craft 12). */
const FABRIC = ['sc', 'hdc', 'dc', 'tr'] as const

const ROW_CM = between(0.5, 500)

const UNRAVELLED_FIELDS = {
  stitch: stitch(FABRIC), stitches: count('Stitches', between(2, 1000), { beside: true, begins: 10, usually: between(10, 40) }),
  rowCm: length('They lay', ROW_CM, { beside: true, usually: between(2, 30) }),
  yarnCm: length('Yarn in them', between(1, 20_000), { beside: true, usually: between(10, 400) }),
} as const

const WEIGHED_FIELDS = {
  stitch: stitch(FABRIC), stitches: count('Stitches a row', between(2, 1000), { beside: true, begins: 20, usually: between(10, 60) }),
  rounds: count('Rows', between(1, 1000), { beside: true, begins: 20, usually: between(5, 60) }),
  wideCm: length('It lies wide', ROW_CM, { beside: true, usually: between(5, 30) }),
  grams: figure('It weighs', between(0.1, 10_000), 'g', { beside: true, usually: between(3, 100) }),
} as const

const BALL_FIELDS = {
  grams: figure('Weighs', between(0, 100_000), 'g', { beside: true, usually: between(5, 1000) }),
  lot: optional(text('Dye lot', 0, 40, { says: 'Where the band says one: two of one name may differ.' })),
} as const

/** The fields of a yarn of the shelf. */
export const SHELF_YARN_FIELDS = {
  fairHollow: word('yarn'), version: versionField(1),
  id: text('Id', 1, 40, {
    pattern: { source: '^[a-z0-9-]{1,40}$', message: 'must be 1 to 40 small letters, digits or dashes' }, says: 'What bags know it by.',
  }),
  name: text('Name', 1, 80), note: text('Notes', 0, 4000, { begins: '', as: 'notes' }),
  fibre: text('Fibre', 0, 80, { begins: '', beside: true }),
  weightClass: choice(
    'Weight class',
    YARN_WEIGHTS.map(({ number, name }) => ({ value: number, name: `${number} ${name.toLowerCase()}` })),
    { begins: 4 },
  ),
  colour: text('Colour', 7, 7, {
    begins: '#d9c8a5', pattern: { source: '^#[0-9a-f]{6}$', flags: 'i', message: 'must be a colour such as #7d8f5b' },
  }),
  metresPer100g: figure('Length in 100 g', between(5, 5000), 'm', { beside: true, usually: between(40, 900) }),
  ballGrams: figure('A whole ball', between(1, 20_000), 'g', { beside: true, usually: between(20, 1000) }),
  ballPrice: optional(count('Price of a ball', between(0, 100_000_000), {
    sum: true, usually: between(50, 10_000), says: 'In hundredths of the maker\'s currency.',
  })),
  place: text('Where it lies', 0, 120, { begins: '', beside: true }),
  balls: list('Balls', BALL_FIELDS, {
    one: 'ball', all: 'balls', least: 0, most: MOST_BALLS, begins: 'none', says: 'What lies there, each ball as it was weighed.',
    further: ({ ballGrams }: { readonly ballGrams: number }) => ({ grams: ballGrams }),
  }),
  unravelled: maybe('A row unravelled', UNRAVELLED_FIELDS, {
    without: { name: 'not yet', does: 'How much a stitch eats is the craft\'s guess, good to a third.' },
    having: { name: 'I unravelled one', does: 'Measure a row of one stitch, unravel it, and measure the yarn that came out.' },
    says: 'How much yarn came out of how long a row of which stitch.', begin: { stitch: 'sc', stitches: 10, rowCm: 5, yarnCm: 38 },
  }),
  weighed: maybe('A swatch weighed', WEIGHED_FIELDS, {
    without: { name: 'not yet' },
    having: { name: 'I weighed one', does: 'A square of one stitch on the scales: what it took, bags take too.' },
    says: 'A swatch of one stitch on the scales.', begin: { stitch: 'sc', stitches: 20, rounds: 20, wideCm: 10, grams: 6 },
  }),
} as const

/** A yarn on the shelf. */
export type ShelfYarn = ValuesOf<typeof SHELF_YARN_FIELDS>
/** A ball, hank or cone as it lies there: whole or begun. */
export type Ball = ValuesOf<typeof BALL_FIELDS>
/** A row of stitches unravelled: how long it lay, and how much yarn came out. */
export type UnravelledRow = ValuesOf<typeof UNRAVELLED_FIELDS>
/** A swatch on the scales. */
export type WeighedSwatch = ValuesOf<typeof WEIGHED_FIELDS>
/** Class of thickness, 0 to 7 (Craft Yarn Council's Standard Yarn Weight System, from memory). */
export type YarnClass = ShelfYarn['weightClass']
