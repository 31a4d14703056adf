import { BASE_FORMS } from '../base/forms'
import { CONTENT_KINDS } from '../contents/contents'
import { between, choice, count, figure, group, idText, length, list, maybe, oneOfKinds, optional, text } from '../field/ask'
import { CONTENT_CM, WEIGHT_KG } from '../field/bounds'
import { type Fields, type GroupField, type LinesField, type Told, told } from '../field/field'
import type { StretchTest } from '../handle/drop'
import { roundsFields } from '../kind/inRounds'
import { FABRIC_KINDS } from '../stitch/dictionary'
import { hookLabel } from '../stitch/hooks'
import { WALL_KINDS } from '../wall/kinds'
import { TURN_UPS } from '../wall/turnUp'
import { DESIGN_VERSION, type Design } from './design'
import { MEASURES } from './measured'
import { keptTextureField } from './textureSwatch'

/*
 * The whole design document, question by question: what its parts ask stands with their kinds, the rest here. The validated classes
 * (classes.ts) and the published schema (schema.ts) are made from it.
 */

export const MOST_BANDS = 40
export const MOST_YARNS = 12
export const MOST_REPEATS = 30
export const MOST_REPEAT_LINES = 24
export const MOST_MEASURED = 40

const SWATCH_COUNT = between(1, 1000)
export const SWATCH_CM = between(1, 200)

const MEASURED = {
  stitches: figure('Stitches', SWATCH_COUNT, '', { beside: true, usually: between(5, 60) }),
  rounds: figure('Rounds', SWATCH_COUNT, '', { beside: true, usually: between(4, 70) }),
  // Whoever counts over another length counts a square anew.
  overCm: length('Counted over', SWATCH_CM, { beside: true, usually: between(5, 20), along: () => ({ tallCm: undefined }) }),
  tallCm: optional(
    length('Tall', SWATCH_CM, {
      unasked: true, usually: between(5, 20), says: 'Height the rounds were counted over; as tall as it is wide if left out.',
    }),
  ),
} as const

const MEASURED_SAYS
  = 'A count on a swatch: stitches across overCm, rounds up tallCm (or up overCm). One stitch must come out between 0.05 and 12 cm.'

/** What was counted, by the stitch it was counted in. */
export const MEASURED_KINDS: Fields = Object.fromEntries(
  FABRIC_KINDS.map(kind => [kind, optional(group(`{${kind}}`, MEASURED, { says: MEASURED_SAYS }))]),
)

export const GAUGE_FIELDS = {
  hookMm: figure(
    told((gauge: { readonly hookMm: number }) => `Hook: ${hookLabel(gauge.hookMm)}`),
    between(0.5, 40),
    'mm',
    { beside: true, usually: between(2, 8) },
  ),
  strands: count('Strands', between(1, 12), { beside: true, begins: 1, usually: between(1, 4) }),
  measured: group('Counted', MEASURED_KINDS, { unasked: true, least: 1, says: 'At least one stitch has to be measured.' }),
  chain: optional(
    group(
      'A chain',
      {
        chains: figure('Chains', SWATCH_COUNT, '', { beside: true, usually: between(5, 40) }),
        overCm: length('Over a length of', SWATCH_CM, { beside: true, usually: between(5, 20) }),
      },
      { unasked: true, says: 'A length of chain counted.' },
    ),
  ),
  assumed: optional(
    choice(
      'Assumed',
      [
        { value: true, name: 'yes' },
        { value: false, name: 'no' },
      ],
      { unasked: true, says: 'True while nobody has made a swatch.' },
    ),
  ),
  learnt: optional(
    group(
      'Learnt',
      {
        bags: count('Bags behind it', between(1, 10_000)),
        widePercent: figure('Good across to', between(0.1, 50), '%', { usually: between(1, 12) }),
        tallPercent: figure('Good up to', between(0.1, 50), '%', { usually: between(1, 12) }),
        flatFrom: optional(figure('Floors lay flat from', between(0.2, 3), 'of flat', { usually: between(0.9, 1) })),
        flatTo: optional(figure('Floors lay flat to', between(0.2, 3), 'of flat', { usually: between(1, 1.4) })),
      },
      { unasked: true, says: 'Where the gauge was learnt from finished bags: how many, and what it is good to, nine times of ten.' },
    ),
  ),
  worked: optional(
    choice('The swatch was worked', [
      { value: 'unturned', name: 'same side facing' },
      { value: 'turned', name: 'turned' },
    ]),
  ),
} as const

/** How the maker goes round. */
export const ROUNDS_FIELDS = roundsFields(design => (design as Design).rounds)

/** A strip of the maker's own, hung up. Under a weight no strip gets shorter: one figure takes the other along. */
export const STRETCH_FIELDS = {
  beforeCm: length('Strip before', between(1, 300), {
    beside: true, usually: between(5, 40), along: (cm, strip) => ({ afterCm: Math.max(cm, (strip as StretchTest).afterCm) }),
  }),
  afterCm: length('With the weight', between(1, 300), {
    beside: true, usually: between(40, 50), along: (cm, strip) => ({ beforeCm: Math.min(cm, (strip as StretchTest).beforeCm) }),
  }),
  widthCm: length('Strip\'s width', between(1, 300), { beside: true, usually: between(1, 8) }),
  kg: figure('Weight on it', WEIGHT_KG, 'kg', { beside: true, usually: between(0.1, 5) }),
} as const

/** What is often worked on a mouth. */
const MOUTHS = [
  { value: 2, name: '2', does: 'For a casing with one cord, or an edging over two.' },
  { value: 4, name: '4', does: 'For a casing with two opposed cords, or two slots alike.' },
  { value: 6, name: '6', does: 'For a shell edging over six.' },
  { value: 12, name: '12', does: 'For two cords and a shell edging both.' },
]

/** What is asked of the bag as a whole, how it is worked and finished: the page's panel of the whole bag asks it. */
export const BAG_FIELDS = {
  hands: choice(
    'You hold the hook in the',
    [
      { value: 'right', name: 'right hand' },
      { value: 'left', name: 'left hand', does: 'Work runs clockwise; the chart is mirrored.' },
    ],
    { begins: 'right' },
  ),
  units: choice(
    'Your tape is in',
    [
      { value: 'cm', name: 'centimetres' },
      { value: 'in', name: 'inches' },
    ],
    {
      begins: 'cm',
      says: 'What lengths are shown in; the document itself is always in centimetres.',
    },
  ),
  rounds: group('How you work', ROUNDS_FIELDS, { begins: 'as-fields-do' }) as GroupField<typeof ROUNDS_FIELDS>,
  turnUp: choice(
    'Base becomes wall by',
    TURN_UPS.map(({ value, name, does }) => ({ value, name, does })),
    { begins: 'plain' },
  ),
  mouth: maybe(
    'The mouth must come to',
    { divides: count('It must divide by', between(1, 60), { usually: between(1, 12), taught: MOUTHS }) },
    {
      without: { name: 'any count', does: 'Any number of stitches will do at the top.' }, having: { name: 'a count that divides' },
      says: 'What the count at the mouth must divide by, for what will be worked on it.', begin: { divides: 2 },
    },
  ),
  stretch: maybe('How much straps lengthen', STRETCH_FIELDS, {
    without: { name: 'as cotton usually does', does: 'By 5 to 15 %: the middle of it is taken, a rule of thumb.' },
    having: {
      name: 'I hung a strip',
      does: 'Crochet a strip as your handles will be, measure it, hang a weight on it low over the floor, and measure again.',
    },
    says: 'A strip of the maker\'s, hung up with a weight on it: how much handles lengthen.',
    begin: { beforeCm: 20, afterCm: 22, kg: 1, widthCm: 2 },
  }),
  lining: maybe(
    'Lining',
    { seamCm: length('Seams of the lining', between(0.5, 5), { begins: 1.5 }) },
    {
      without: { name: 'no lining' },
      having: { name: 'lined', does: 'Stops small things falling through mesh and takes the strain; the pieces to cut are told below.' },
      says: 'The bag is lined; seamCm is what the pieces get all round for their seams.', begin: { seamCm: 1.5 },
    },
  ),
  forChild: optional(
    choice(
      'Made for',
      [
        { value: false, name: 'grown people' },
        { value: true, name: 'a child', does: 'Cords, loops and small parts are watched more closely. Your local safety law decides.' },
      ],
      { says: 'Made for a child: cords and small parts want more care.' },
    ),
  ),
} as const

const lines: LinesField = { is: 'lines', label: 'Lines', most: MOST_REPEAT_LINES, longest: 300 }

const REPEAT = { id: idText('Id'), name: text('What you call it', 1, 80), lines } as const

/** Asks which yarn of the shelf something is, by its id there. */
function onShelf(says: string) {
  const pattern = { source: '^[a-z0-9-]{1,40}$', message: 'must be 1 to 40 small letters, digits or dashes' }
  return optional(text('On the shelf', 1, 40, { pattern, says }))
}

const YARN = {
  id: idText('Id', { begins: 'main' }), name: text('Name', 1, 80, { begins: 'main yarn' }),
  colour: text('Colour', 7, 7, {
    begins: '#d9c8a5',
    pattern: { source: '^#[0-9a-f]{6}$', flags: 'i', message: 'must be a colour such as #7d8f5b' },
  }),
  shelf: onShelf('The id of the yarn of the shelf that it is; one that stands alone if left out.'),
} as const

const partId = text('Id', 1, 30, {
  pattern: { source: '^part-[a-z0-9]{1,24}$', message: 'must be part- and up to 24 small letters or digits' },
  says: 'What the part is known by wherever it is moved; ids of one wall must differ.',
})

const MEASURED_PART = {
  part: text('Part', 1, 30, { says: '`base`, or the id of a part of the wall.' }),
  rounds: count('Rounds worked', between(1, 2001)),
  stitches: count('Stitches', between(1, 200_000), { says: 'That its last round left, by which it is known again.' }),
  what: choice('What', MEASURES.map(value => ({ value, name: value }))),
  cm: length('Measured', between(0.1, 1000)),
} as const

/** A mark that every document has. */
export function word(value: string): Fields[string] {
  return text(value, 1, 20, { pattern: { source: `^${value}$`, message: `must be ${value}` } })
}

const name = (label: Told) => text(label, 1, 80)
const note = text('Notes', 0, 4000, { begins: '' })
const tags = optional(text('Tags', 0, 200, { says: 'Words of the maker\'s own to find and sort bags by, between commas.' }))

/** A design as it is written to a file. */
export const DESIGN_FIELDS = {
  fairHollow: word('design'), version: count('Version', between(1, DESIGN_VERSION)), name: name('Name'), note, hands: BAG_FIELDS.hands,
  units: BAG_FIELDS.units, gauge: group('Gauge', GAUGE_FIELDS),
  yarns: list('Yarns', YARN, {
    one: 'yarn', all: 'yarns', least: 1, most: MOST_YARNS, begins: 'one',
    says: 'Ids must differ. Parts name the yarn they are worked in by its id.',
  }),
  rounds: BAG_FIELDS.rounds,
  contents: optional(
    oneOfKinds(
      'It must hold',
      'kind',
      CONTENT_KINDS.map(({ kind, fields }) => ({ value: kind, fields })),
      { says: 'What the bag must hold.' },
    ),
  ),
  base: oneOfKinds(
    'Base',
    'form',
    BASE_FORMS.map(({ form, fields }) => ({ value: form, fields })),
    { says: 'What the bag starts from, told apart by its form.' },
  ),
  measuredBase: optional(
    group(
      'Measured base',
      {
        lengthCm: length('Length measured', CONTENT_CM, { usually: between(5, 60) }),
        widthCm: optional(length('Width measured', CONTENT_CM, { usually: between(1, 30) })),
        rounds: count('Rounds', between(1, 2001), { usually: between(1, 20) }),
        stitches: count('Stitches', between(1, 200_000), { usually: between(1, 120) }),
      },
      {
        says: 'What the finished base measured, and its rounds and edge stitches, by which it is known again. Refines the gauge for '
          + 'everything above.',
      },
    ),
  ),
  measured: optional(
    list('Measured parts', MEASURED_PART, {
      one: 'measured part', all: 'measured parts', least: 1, most: MOST_MEASURED, unasked: true,
      says: 'What parts of the bag measured, done or half done: what lies above them is drafted by it.',
    }),
  ),
  turnUp: BAG_FIELDS.turnUp,
  wall: oneOfKinds(
    'Wall',
    'band',
    WALL_KINDS.map(({ band, fields }) => ({ value: band, fields: { id: partId, ...fields } })),
    {
      list: { all: 'bands', most: MOST_BANDS },
      says: 'Parts from the floor up, told apart by their band.',
    },
  ),
  repeats: list('Repeats', REPEAT, {
    one: 'repeat', all: 'repeats', least: 0, most: MOST_REPEATS, begins: 'none',
    says: 'Stitch patterns of the maker\'s own, a line a round in US abbreviations; lines that begin with once: are worked the first '
      + 'time only.',
  }),
  mouth: BAG_FIELDS.mouth, forChild: BAG_FIELDS.forChild, stretch: BAG_FIELDS.stretch, lining: BAG_FIELDS.lining,
  tags,
} as const

/** A swatch as it is written to a file. */
export const SWATCH_FIELDS = {
  fairHollow: word('swatch'), version: count('Version', between(1, 1)), name: name('Name'), note,
  yarn: text('Yarn', 0, 120, { begins: '' }), shelf: onShelf('The id of the yarn of the shelf that it was made in, if that lies there.'),
  gauge: group('Gauge', GAUGE_FIELDS), texture: keptTextureField(lines),
} as const
