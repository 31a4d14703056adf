import { between, choice, count, length, maybe, optional, pin, want, ways, yarn } from '../field/questions'
import { CORD_CM } from '../field/bounds'
import type { QuestionContext } from '../field/context'
import { IN_ROUNDS } from '../kind/inRounds'
import type { PartSpec } from '../kind/kind'
import type { CordsSpec } from '../part/roles'
import { type Cord, CORD_OPTIONS, drawstring, isWorked } from './cords'

/** Where a cord runs: what one eyelet takes of the count and leaves, and how it is worked. A further one is a further row. */
interface EyeletMaking {
  readonly value: 'boxes' | 'slits' | 'gaps'
  readonly name: string
  readonly does: string
  /** How it is worked; not at all where the gaps below serve. */
  readonly made?: (spec: Slits) => EyeletPattern
  /** Stitches that one eyelet takes. */
  readonly takes: (spec: Slits) => number
  /** Whether the maker says how wide it is. */
  readonly widthAsked?: true
  /** Chain spaces right below make it lumpy. */
  readonly mindsSpaces?: true
}

interface Slits {
  readonly between: number
  readonly chains: number
}

/** The stitch between eyelets, how many of it, and the chains across as many skipped. */
export interface EyeletPattern {
  readonly kind: 'dc' | 'sc'
  readonly plain: number
  readonly chains: number
}

const EYELETS: readonly EyeletMaking[] = [
  {
    value: 'boxes', name: 'boxes', does: 'One {dc}, one chain, one skipped, all the way round.',
    made: () => ({ kind: 'dc', plain: 1, chains: 1 }), takes: () => 2, mindsSpaces: true,
  },
  {
    value: 'slits', name: 'slits', does: 'Plain stitches, then chains over as many skipped.',
    made: ({ between, chains }) => ({ kind: 'sc', plain: between, chains }), takes: ({ between, chains }) => between + chains,
    widthAsked: true,
  },
  { value: 'gaps', name: 'gaps below', does: 'Between the groups of three of the round below: no round of its own.', takes: () => 3 },
]

/** Answers that the questions look at of one another. */
interface EyeletAnswers {
  readonly eyelets: EyeletMaking['value']
  readonly cords?: CordsSpec
  readonly colour: string
}

const isSlits = (spec: object): boolean => makingOf(spec as EyeletAnswers).widthAsked === true

const hasRound = (spec: object): boolean => makingOf(spec as EyeletAnswers).made !== undefined

const isYarned = (spec: object): boolean => isWorked((spec as EyeletAnswers).cords!.kind)

const TAIL_CM = between(2, 100)

const CORDS_FIELDS = {
  number: choice(
    'Cords',
    [
      { value: 2, name: 'two, opposed', does: 'From opposite sides through the same eyelets: pull both ways and it closes evenly.' },
      { value: 1, name: 'one', does: 'Both its ends hang at one side.' },
    ],
    { begins: 2 },
  ),
  kind: choice('A cord is', CORD_OPTIONS, { begins: 'chain' }),
  size: ways('You give', [
    want(
      'its ends',
      { tailCm: length('Each end, bag open', TAIL_CM, { usually: between(2, 40) }) },
      {
        does: 'How far they hang out when the bag is open.',
        from: (spec: EyeletAnswers, now) => ({
          tailCm: Math.min(TAIL_CM.most, Math.max(TAIL_CM.least, Math.round(cordNow(spec, now)?.tailCm ?? 10))),
        }),
      },
    ),
    pin(
      'its chains',
      { chains: count('Chains of a cord', between(10, 2000), { usually: between(40, 400) }) },
      {
        does: 'You pin the chains, the length is told.',
        from: (spec: EyeletAnswers, now) => ({ chains: Math.max(10, cordNow(spec, now)?.chains || 100) }),
      },
    ),
    pin(
      'its length',
      { lengthCm: length('The whole cord', CORD_CM, { usually: between(10, 200) }) },
      {
        from: (spec: EyeletAnswers, now) => ({ lengthCm: Math.round(cordNow(spec, now)?.lengthCm ?? 50) }),
      },
    ),
  ]),
  opening: choice(
    'Opening cords',
    [
      { value: false, name: 'none' },
      { value: true, name: 'two short ones', does: 'Looped round posts at the quarters: pulling them opens the bag.' },
    ],
    { begins: false, says: 'Two short cords besides, which open the bag.' },
  ),
  second: optional(
    choice(
      'The second cord goes',
      [
        { value: 'alike', name: 'behind the same posts', does: 'As the first does: the mouth draws closed evenly.' },
        { value: 'crossed', name: 'over where the first goes under', does: 'One holds the other apart: neither slips along with it.' },
      ],
      { when: spec => cordsIn(spec)?.number === 2, says: 'Of two opposed cords: how the second lies to the first.' },
    ),
  ),
  ends: optional(
    choice(
      'Their ends are finished',
      [
        { value: 'knots', name: 'in knots' },
        { value: 'beads', name: 'in beads', does: 'A bead over each pair of ends. Small parts are not for small children.' },
        { value: 'inside', name: 'inside', does: 'Sewn together, and the joint drawn inside the casing.' },
      ],
      { says: 'How the ends of the cords are finished; in knots if left out.' },
    ),
  ),
  openingColour: optional(yarn({
    label: 'Yarn of the opening cords', when: spec => cordsIn(spec)?.opening === true && isYarned(spec),
    says: 'The yarn of the opening cords; that of the others if left out.',
  })),
  colour: yarn({ when: isYarned }),
} as const

function cordsIn(spec: object): CordsSpec | undefined {
  return (spec as EyeletAnswers).cords
}

/** The cord as drafted now. */
function cordNow({ cords }: EyeletAnswers, { part, gauge }: QuestionContext): Cord | undefined {
  return cords && part && drawstring(cords, part.size.circumference.cm, gauge)
}

/** Two cords of chain, as most casings have them. */
export function usualCords(colour: string): CordsSpec {
  return { number: 2, kind: 'chain', size: { want: { tailCm: 10 } }, opening: false, colour }
}

export const fields = {
  eyelets: choice(
    'Eyelets are',
    EYELETS.map(({ value, name, does }) => ({ value, name, does })),
    { begins: 'boxes' },
  ),
  between: count('Stitches between', between(1, 40), {
    begins: 4, beside: true, when: isSlits, usually: between(1, 6), says: 'Of slits: stitches between two.',
  }),
  chains: count('Chains of a slit', between(1, 12), {
    begins: 2, beside: true, when: isSlits, usually: between(1, 4), says: 'Of slits: chains across each.',
  }),
  evenOut: choice(
    'Where they do not come out even',
    [
      { value: false, name: 'only tell me', does: 'You adjust below, or change the base.' },
      { value: true, name: 'skip one more', does: 'As makers do: some eyelets skip a stitch more, and show as wider.' },
    ],
    { begins: false, when: hasRound, says: 'Skip a stitch more at some eyelets where the count does not come out even.' },
  ),
  cords: maybe('Cords', CORDS_FIELDS, {
    without: { name: 'none' }, having: { name: 'cords' }, lead: 'number', begin: ({ colour }: EyeletAnswers) => usualCords(colour),
  }),
  ...IN_ROUNDS,
} as const

/** A casing: a round of eyelets and the cords that run through it (craft 9). */
export type EyeletsSpec = PartSpec<'eyelets', typeof fields>

export function makingOf({ eyelets }: EyeletAnswers): EyeletMaking {
  return EYELETS.find(({ value }) => value === eyelets)!
}
