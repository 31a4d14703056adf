import { between, choice, count, countOr, length, optional, pin, want, ways } from '../field/questions'
import { DIAMETER_CM, PINNED_ROUNDS } from '../field/bounds'
import { labelFrom } from '../field/field'
import { type QuestionContext, tenths } from '../field/context'
import { DECIDES, GROWING } from './discFields'
import type { FormSpec } from './form'
import { firstStitches } from './inStitches'
import { noneFlatChoice } from './noneFlat'
import { FLAT_AND_WIDE } from './lyingFlat'
import type { OvalCounts } from './ovalRounds'
import { type OvalSizeAnswers, growthTold, type OvalAsked, ovalCounts, perEndOf } from './ovalSizes'

/** A base's length and width now. */
const sizesNow = (_: object, { part }: QuestionContext) => ({
  lengthCm: tenths(part?.size.floor?.length.cm ?? 20, DIAMETER_CM),
  widthCm: tenths(part?.size.floor?.width.cm ?? 10, DIAMETER_CM),
})

/** A floor wanted by its length and width. */
export const LENGTH_AND_WIDTH = want(
  'a size',
  {
    lengthCm: length('Length of the floor', DIAMETER_CM, { usually: between(1, 50) }),
    widthCm: length('Width of the floor', DIAMETER_CM, { usually: between(1, 30) }),
  },
  { does: DECIDES.want, from: sizesNow },
)

/** The counts it comes to now. */
function countsNow(spec: object, { gauge }: QuestionContext): OvalCounts {
  return ovalCounts(spec as OvalAsked, gauge)
}

/** Questions of an oval. */
export const fields = {
  size: ways('You give', [
    LENGTH_AND_WIDTH,
    FLAT_AND_WIDE,
    pin(
      'counts',
      {
        sideStitches: count('Side stitches', between(1, 600), { usually: between(1, 40) }),
        rounds: count('Rounds', PINNED_ROUNDS, { usually: between(1, 12) }),
      },
      {
        does: DECIDES.pin, from: countsNow,
        sets: (spec: OvalSizeAnswers, { gauge }) => ({ perEnd: perEndOf(spec, gauge[spec.stitch]), ...growthTold(spec, gauge) }),
      },
    ),
  ]),
  perEnd: countOr('by-gauge', 'Increases at each end, a round', between(2, 24), {
    usually: between(2, 8), says: 'Stitches in each end of round 1, and the number that each end gains a round.',
    orDoes: labelFrom((spec: OvalSizeAnswers, { gauge }) =>
      `${perEndOf({ ...spec, perEnd: 'by-gauge' }, gauge[spec.stitch])} suit this gauge.`),
    taught: [
      { value: 3, name: '3', does: 'Half of the school of six.' },
      { value: 4, name: '4', does: 'Half of the school of eight: the ends may warp a little.' },
      { value: 5, name: '5', does: 'Between the schools: used in {hdc.name}.' },
      { value: 6, name: '6', does: 'Half of twelve: usual for {dc.name}.' },
    ],
  }),
  noneFlat: noneFlatChoice((spec: object) => (spec as OvalSizeAnswers).perEnd === 'by-gauge'),
  start: choice(
    'Start with',
    [
      { value: 'chain', name: 'a chain', does: 'Worked along, around its end, and back along its underside.', card: 'underside' },
      {
        value: 'foundation-sc', name: 'foundation {sc}', card: 'foundationSc',
        does: 'Chain and first row in one: even, and it does not draw in. Adds a row to the width.',
      },
      {
        value: 'foundation-side', name: 'a foundation that is the first side', card: 'foundationSc',
        does: 'Chain and stitch in one, along the first side; round 1 goes on round its end and back along its underside.',
      },
    ],
    { begins: 'chain' },
  ),
  nearEnd: optional(
    choice(
      'The near end is begun with',
      [
        { value: 'one', name: 'one stitch', does: 'The rest of it comes when the round is back.' },
        { value: 'half', name: 'half of it', does: 'The round begins at the middle of the end: the start lies at the side of the bag.' },
        { value: 'whole', name: 'all of it at once', does: 'Then the first side; nothing is left for the end of the round.' },
      ],
    ),
  ),
  farEnd: optional(
    count('Stitches of the far end in round 1, if other', between(1, 24), {
      usually: between(2, 8), says: 'Stitches of the far end in the first round, where it has more or fewer than the near one.',
    }),
  ),
  laterBy: optional(
    count('Increases at each end in later rounds, if other', between(1, 24), {
      usually: between(1, 6),
      says: 'Increases that each end has in every round after the first, where they are more or fewer; 1 is a single one.',
    }),
  ),
  firstStitches: firstStitches('First rounds in other stitches', 'rounds', {
    grows: optional(
      count('Increases at each end, if other', between(1, 24), {
        usually: between(1, 12),
        says: 'What each end has in round 1, and gains in these rounds unless another number is asked for in all later ones.',
      }),
    ),
  }),
  ...GROWING,
} as const

/** An oval floor as the maker asks for it: a rectangle with a half disc at each end (craft 5, oval). */
export type OvalSpec = FormSpec<'oval', typeof fields>
