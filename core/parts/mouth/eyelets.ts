import { between, choice, count, length, maybe, optional, pin, want, ways, yarn } from '../field/questions'
import { CORD_CM } from '../field/bounds'
import type { QuestionContext } from '../field/context'
import { IN_ROUNDS } from '../kind/inRounds'
import { kind, type PartSpec } from '../kind/kind'
import { times } from '../../things/measure/length'
import type { Asks } from '../part/asks'
import { asksWords, divides, nearestCounts } from '../part/asks'
import type { Finding } from '../part/finding'
import { type PartResult, type Setting, stopped, workUp } from '../part/part'
import type { CordsSpec } from '../part/roles'
import { type Edge, placesOf } from '../../things/round/edge'
import { chain, each, repeat, skip, type Step } from '../../things/round/step'
import { inStyle } from '../../things/round/style'
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
interface EyeletPattern {
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
function usualCords(colour: string): CordsSpec {
  return { number: 2, kind: 'chain', size: { want: { tailCm: 10 } }, opening: false, colour }
}

const fields = {
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

function makingOf({ eyelets }: EyeletAnswers): EyeletMaking {
  return EYELETS.find(({ value }) => value === eyelets)!
}

/** Stitches that one eyelet takes. */
function wide(spec: EyeletsSpec): number {
  return makingOf(spec).takes(spec)
}

/** Fewer eyelets than this do not gather. */
const FEWEST = 4

/**
 * Demand of a casing on the count: an even number of eyelets, so that a cord leaves on the side it entered. With `evenOut` any
 * count will do.
 */
export function eyeletsAsks(spec: EyeletsSpec): Asks {
  const least = FEWEST * wide(spec)
  return spec.evenOut && makingOf(spec).made ? { multiple: 1, plus: 0, least } : { multiple: 2 * wide(spec), plus: 0, least }
}

/** How many eyelets so many stitches make: with `evenOut` the nearest even number below. */
export function eyeletsOn(spec: EyeletsSpec, count: number): number {
  const whole = Math.floor(count / wide(spec))
  return spec.evenOut ? whole - (whole % 2) : whole
}

/** Places that a casing leaves. */
export function eyeletsGive(spec: EyeletsSpec, count: number): number {
  const made = makingOf(spec).made?.(spec)
  return made ? (made.plain + 1) * eyeletsOn(spec, count) : count
}

/** How many more stitches each eyelet skips: those over, spread evenly. */
function extras(over: number, eyelets: number): number[] {
  return Array.from({ length: eyelets }, (_, i) => Math.floor(((i + 1) * over) / eyelets) - Math.floor((i * over) / eyelets))
}

/** Eyelets alike, one after the other, become one repeat. */
function stepsFor({ kind, plain, chains }: EyeletPattern, over: number, eyelets: number): Step[] {
  const more = extras(over, eyelets)
  const steps: Step[] = []
  for (let from = 0, to = 0; from < eyelets; from = to) {
    while (to < eyelets && more[to] === more[from]) to++
    steps.push(repeat(to - from, each(kind, plain), chain(chains), skip(chains + more[from]!)))
  }
  return steps
}

function refused(spec: EyeletsSpec, count: number): Finding {
  const asks = eyeletsAsks(spec)
  const { below, above } = nearestCounts(count, asks)
  const eyelets = Math.floor(count / wide(spec))
  const one = { path: ['evenOut'], value: true }
  return {
    code: 'does-not-divide', weight: 'stop',
    what: `A cord needs an even number of eyelets to leave on the side it entered, so this asks for ${asksWords(asks)}, and ${count} `
      + `stitches come up from below (${eyelets} eyelets${count % wide(spec) > 0 ? ` and ${count % wide(spec)} over` : ''}); it could `
      + `be worked on ${below === undefined ? '' : `${below} or `}${above}.`,
    ...(makingOf(spec).made
      ? { otherFixes: [{ label: 'Skip a stitch more here and there: some eyelets will be wider', changes: [one] }] }
      : {}),
  }
}

/** Gaps are the casing only over groups of three, whose round below has them. */
function gapsMissing(edge: Edge): Finding[] {
  let groups = 0
  for (let made = 2; made < edge.count; made += 3) if (edge.from[made] === edge.from[made - 2]) groups++
  return groups * 3 >= edge.count - 3
    ? []
    : [
        {
          code: 'no-gaps', weight: 'watch',
          what: 'The round below is not of groups of three, so there are no gaps to run a cord through. Put the casing on a band of '
            + 'groups, or work boxes.',
        },
      ]
}

/** Findings about a casing's round. */
function eyeletFindings(over: number, onSpaces: boolean): Finding[] {
  const uneven = `${over} ${over === 1 ? 'eyelet skips' : 'eyelets skip'} a stitch more than the others, spread round: they show as `
    + 'wider gaps.'
  return [
    ...(over > 0 ? [{ code: 'eyelets-uneven', weight: 'watch', what: uneven } as const] : []),
    ...(onSpaces
      ? [
          {
            code: 'eyelets-on-spaces', weight: 'watch',
            what: 'There are chain spaces right below: a plain round between keeps the casing firm.',
          } as const,
        ]
      : []),
  ]
}

/** Works a casing's round; none where the gaps of the round below serve. */
function workEyelets(spec: EyeletsSpec, edge: Edge, setting: Setting): PartResult {
  const { gauge } = setting
  const around = setting.belowCm ?? edge.count * gauge.sc.width.cm
  const nothing = {
    height: times(gauge.sc.height, 0),
    circumference: { cm: around, plusMinusCm: (around * gauge.sc.width.plusMinusCm) / gauge.sc.width.cm },
  }
  if (!divides(edge.count, eyeletsAsks(spec))) return stopped(edge, nothing, refused(spec, edge.count))
  const eyelets = eyeletsOn(spec, edge.count)
  const casing = { eyelets, ...(spec.cords ? { cords: spec.cords } : {}) }
  const beads = spec.cords?.ends === 'beads' ? spec.cords.number + (spec.cords.opening ? 2 : 0) : 0
  const notions = beads > 0 ? { notions: [beads === 1 ? 'a bead' : `${beads} beads`] } : {}
  const { made: making, mindsSpaces } = makingOf(spec)
  const made = making?.(spec)
  if (!made) {
    return {
      rounds: [], edge, size: nothing, findings: gapsMissing(edge), casing, ...notions,
      advice: [`The ${eyelets} gaps between the groups below serve as eyelets: no round of its own.`],
    }
  }
  const over = edge.count - eyelets * wide(spec)
  const {
    rounds, edge: top, stop,
  } = workUp(edge, 1, setting, () => inStyle(setting, 0, made.kind, spec.colour, stepsFor(made, over, eyelets)))
  return {
    rounds, edge: top, casing, ...notions,
    findings: stop ? [stop] : eyeletFindings(over, mindsSpaces === true && placesOf(edge, 'space') > 0),
    size: { height: gauge[made.kind].height, circumference: times(gauge[made.kind].width, eyelets * wide(spec)) },
  }
}

/** A casing (craft 9). */
export const eyelets = kind({
  kind: 'eyelets', group: 'Mouth and edge', name: 'casing', fields, tools: ['threading'], sample: { on: 'fabric' },
  does: 'A round of eyelets for drawstrings, with the cords, how they are threaded, and how the mouth closes.',
  bringsAdjusting: true, begins: ({ yarn: { colour } }) => ({ cords: usualCords(colour) }),
  demand: spec => ({ asks: eyeletsAsks(spec), leaves: stitches => eyeletsGive(spec, stitches) }),
  main: spec => makingOf(spec).made?.(spec).kind ?? 'sc', work: workEyelets,
})
