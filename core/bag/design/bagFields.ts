import { between, choice, count, figure, group, length, maybe, optional } from '../../parts/field/questions'
import { WEIGHT_KG } from '../../parts/field/bounds'
import type { GroupField } from '../../parts/field/field'
import type { StretchTest } from '../../parts/handle/drop'
import { roundsFields } from '../../parts/kind/inRounds'
import { TURN_UPS } from '../../parts/wall/turnUp'
import type { Rounds } from '../../things/round/style'

/*
 * Questions about the bag as a whole.
 */

/** How the maker goes round. */
const ROUNDS_FIELDS = roundsFields(design => (design as { readonly rounds: Rounds }).rounds)

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

/** Numbers that are often worked on a mouth. */
const MOUTHS = [
  { value: 2, name: '2', does: 'For a casing with one cord, or an edging over two.' },
  { value: 4, name: '4', does: 'For a casing with two opposed cords, or two slots alike.' },
  { value: 6, name: '6', does: 'For a shell edging over six.' },
  { value: 12, name: '12', does: 'For two cords and a shell edging both.' },
]

/** Questions about the bag as a whole, how it is worked and finished: the page's panel of the whole bag asks them. */
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
  turnUp: choice('Base becomes wall by', TURN_UPS, { begins: 'plain' }),
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
