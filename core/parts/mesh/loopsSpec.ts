import { between, choice, count, length, maybe, optional, pin, want, ways } from '../field/questions'
import { AROUND_CM, DIAMETER_CM, HEIGHT_CM, PINNED_ROUNDS } from '../field/bounds'
import { type QuestionContext, tenths } from '../field/context'
import type { PartSpec } from '../kind/kind'
import type { Asks } from '../part/asks'

const LOOP_CHAINS = between(2, 60)
const usualChains = between(2, 9)

/** The chains of the longest loops, as drafted now. */
function longestNow({ part, gauge }: QuestionContext): number {
  return Math.round(Math.max(2, ...(part?.net?.loopsCm ?? [3])) / gauge.ch.width.cm)
}

const SIZE = ways('You give', [
  want(
    'a height',
    { heightCm: length('Height of the net', HEIGHT_CM, { usually: between(1, 30) }) },
    {
      does: 'As it hangs empty; the rounds are found.',
      from: (_, { part }) => ({ heightCm: tenths(part?.size.height.cm || 20, HEIGHT_CM) }),
    },
  ),
  pin(
    'rounds',
    { rounds: count('Rounds of loops', PINNED_ROUNDS, { usually: between(1, 15) }) },
    { from: (_, { part }) => ({ rounds: part?.net?.loopsCm.length ?? 8 }) },
  ),
])

const HOLD = ways('Loops grow by a chain a round up to', [
  pin(
    'so many chains',
    { chains: count('Chains of a full loop', LOOP_CHAINS, { usually: usualChains }) },
    { from: (_, now) => ({ chains: longestNow(now) }) },
  ),
  want(
    'a width',
    { flatWidthCm: length('Width lying flat', DIAMETER_CM, { usually: between(5, 60) }) },
    {
      does: 'As wide as the net lies where nothing pulls it: its diamonds square.',
      from: () => ({ flatWidthCm: 30 }),
    },
  ),
])

const LAST = optional(
  ways(
    'Towards the mouth they',
    [
      pin(
        'get shorter',
        { chains: count('Chains at the mouth', LOOP_CHAINS, { usually: usualChains }) },
        {
          does: 'By a chain a round, to so many.',
          from: (_, now) => ({ chains: Math.max(2, longestNow(now) - 2) }),
        },
      ),
      want(
        'draw in to a mouth',
        { mouthCm: length('Around the mouth', AROUND_CM, { usually: between(5, 60) }) },
        {
          does: 'By a chain a round, to a mouth so far round.',
          from: () => ({ mouthCm: 40 }),
        },
      ),
    ],
    { none: { name: 'stay' } },
  ),
)

/** More rows than this a fan of a net cannot sensibly have. */
export const MOST_FAN_ROWS = 9

const MOTIF = {
  between: count('Loops between', between(1, 40), {
    begins: 3, beside: true, usually: between(1, 4), says: 'Plain loops between two fans.',
  }),
  every: count('A round in every', between(1, 40), {
    begins: 4, beside: true, usually: between(1, 4),
    says: 'Loop rounds from one round of fans to the next; the first one comes after as many.',
  }),
  stitches: count('Stitches of a fan', between(2, 20), { begins: 4, beside: true, usually: between(2, 5) }),
  rows: count('Rows of a fan', between(1, MOST_FAN_ROWS), {
    begins: 3, beside: true, usually: between(1, 3), says: 'Rows that a fan is worked back and forth.',
  }),
} as const

const FINISH = {
  inLoop: count('In each loop', between(1, 40), { begins: 4, beside: true, usually: between(1, 5) }),
  inStitch: count('In each {sc}', between(0, 4), { begins: 1, beside: true, usually: between(0, 2) }),
  closedLoop: optional(
    choice(
      'The loop that the hook stands in is worked',
      [
        { value: 'halves', name: 'in two halves', does: 'Half of it first, the rest when the round is back: the seam lies at its top.' },
        { value: 'whole', name: 'at once', does: 'All of it first: simpler, and the round starts a little earlier.' },
      ],
    ),
  ),
} as const

/** Ways to close the last loop of a round, and what each does to the slant of the start. */
const CLOSINGS = [
  {
    value: 'half', name: 'half chains, half a stitch',
    does: 'By the loop\'s length {hdc}, {dc} or {tr}: the next round starts at the loop\'s top, and its start hardly leans.',
  },
  { value: 'hdc', name: '{hdc}', does: 'More chains and a short stitch: rounds start past the top, and their start leans on with '
    + 'them.' },
  { value: 'dc', name: '{dc}', does: 'Past the top of long loops, before that of short ones: the start leans as much.' },
  { value: 'tr', name: '{tr}', does: 'Few chains and a tall stitch: rounds start before the top, and their start leans back.' },
] as const

export const LOOPS_FIELDS = {
  size: SIZE,
  skip: count('Skipped under a loop', between(0, 12), {
    begins: 1, beside: true, usually: between(0, 3), says: 'Stitches skipped under each loop of the first round.',
  }),
  first: count('Chains at first', LOOP_CHAINS, {
    begins: 3, beside: true, usually: usualChains,
    says: 'Chains of the loops of the first round; each further round has one more, up to those that the net holds.',
  }),
  hold: HOLD, last: LAST,
  ends: choice(
    'Rounds are',
    [
      {
        value: 'closed', name: 'closed each time',
        does: 'The last loop is fewer chains and a taller stitch, so that the next round starts at its top. Mark that stitch.',
      },
      { value: 'spiral', name: 'on and on', does: 'No closing: loop after loop, climbing like a stair. Mark the last {sc} of each round.' },
    ],
    { begins: 'closed' },
  ),
  closes: optional(
    choice(
      'The last loop is closed with',
      CLOSINGS,
      {
        when: spec => (spec as { readonly ends: string }).ends === 'closed',
        says: 'The stitch that closes the last loop of a round, as far as the loop is long enough for it; half chains, half stitch if '
          + 'left out.',
      },
    ),
  ),
  closesLater: maybe(
    'Later rounds are closed',
    {
      from: count('From round', between(2, 400), {
        begins: 3, beside: true, usually: between(2, 6), says: 'The first round of loops closed so.',
      }),
      with: choice('With', CLOSINGS, { begins: 'half' }),
    },
    {
      without: { name: 'as the first' }, having: { name: 'otherwise' }, usuallyNot: true,
      says: 'Rounds of loops from one on that are closed otherwise than the first.', begin: { from: 3, with: 'dc' },
    },
  ),
  motif: maybe('Fans', MOTIF, {
    without: { name: 'none' },
    having: {
      name: 'in some loops',
      does: 'Worked back and forth inside a loop, plain loops between; the loops must divide by the two together.',
    },
    says: 'Fans worked back and forth in every so many loops.', begin: { between: 3, stitches: 4, rows: 3, every: 4 },
  }),
  finish: maybe('On top', FINISH, {
    without: { name: 'loops to the end' },
    having: { name: 'a solid round', does: 'So many stitches in each loop and in each {sc}: it sets how wide the rim holds the net.' },
    says: 'A solid round on top: stitches in each loop, and in each single between.', begin: { inLoop: 2, inStitch: 1 },
  }),
} as const

/** A net of loops that stay the same number and grow, hold and narrow by their chains (craft 8, loop mesh). */
export type LoopsSpec = PartSpec<'loops', typeof LOOPS_FIELDS>
/** Fans worked back and forth in every so many loops. */
export type Motif = NonNullable<LoopsSpec['motif']>

/** Demand of a net on the count below: a whole number of loops, and a whole number of fans. */
export function loopsAsks({ skip: skipped, motif }: LoopsSpec): Asks {
  return { multiple: (skipped + 1) * (motif ? motif.between + 1 : 1), plus: 0, least: 2 * (skipped + 1) }
}

/** The loops that so many stitches make. */
export function loopsOn({ skip: skipped }: LoopsSpec, count: number): number {
  return Math.floor(count / (skipped + 1))
}

/** Places that a net leaves for what comes above. */
export function loopsGive(spec: LoopsSpec, count: number): number {
  const loops = loopsOn(spec, count)
  return spec.finish ? loops * (spec.finish.inLoop + spec.finish.inStitch) : 2 * loops
}
