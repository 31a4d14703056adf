import { between, choice, count, countOr, length, pin, want, ways } from '../field/questions'
import { DIAMETER_CM, PINNED_ROUNDS } from '../field/bounds'
import { labelFrom } from '../field/field'
import { type QuestionContext, tenths } from '../field/context'
import type { ValuesOf } from '../field/spec'
import type { StitchSize } from '../../things/gauge/gauge'
import { times } from '../../things/measure/length'
import type { Floor } from '../part/floor'
import type { PartSize } from '../part/part'
import { flatness, gaugeIncreases, type NoneFlat } from './flatness'
import { noneFlatChoice } from './noneFlat'
import type { BaseStitch } from './form'

const WANT_DOES = 'You say how large, the counts are found. A new gauge finds new counts.'

const PIN_DOES = 'You pin the counts, the size is told. A new gauge keeps the counts.'

/** How a size is decided, as it is offered. */
export const DECIDES = { want: WANT_DOES, pin: PIN_DOES } as const

/** How a group's increase lies in it, and groups above each other. */
export const GROWING = {
  placing: choice(
    'Increases lie',
    [
      { value: 'stacked', name: 'one above the other', does: 'Easy to keep count of; a round floor becomes a soft polygon.' },
      { value: 'staggered', name: 'staggered', does: 'Half a group apart every second round: the edge stays round.' },
    ],
    { begins: 'stacked' },
  ),
  increaseAt: choice(
    'In each group, the increase comes',
    [
      { value: 'first', name: 'first' },
      { value: 'last', name: 'last' },
    ],
    { begins: 'last' },
  ),
} as const

/** How groups lie, as a spec says it. */
export type Growing = ValuesOf<typeof GROWING>

/** Answers that the questions look at of one another. */
interface CircleAnswers {
  readonly stitch: BaseStitch
  readonly increases: number | 'by-gauge'
}

const across = (_: object, { part }: QuestionContext) =>
  tenths(part?.size.floor?.length.cm ?? (part?.size.circumference.cm ?? 20) / 2, DIAMETER_CM)

/** Questions of discs; `rounds` is the one about their rounds, and `pins` how many of a worked base's rounds are one disc's. */
export function discFields(rounds: string, pins: (rounds: number) => number) {
  return {
    size: ways('You give', [
      want(
        'a diameter',
        { diameterCm: length('Across the floor', DIAMETER_CM, { usually: between(1, 40) }) },
        {
          does: WANT_DOES,
          from: (spec: object, now) => ({ diameterCm: across(spec, now) }),
        },
      ),
      want(
        'the bag lying flat',
        { flatWidthCm: length('Width lying flat', DIAMETER_CM, { usually: between(1, 60) }) },
        {
          does: 'You say how wide the bag lies, half its edge; the floor follows.',
          from: (_, { part }) => ({ flatWidthCm: tenths((part?.size.circumference.cm ?? 40) / 2, DIAMETER_CM) }),
        },
      ),
      pin(
        'counts',
        { rounds: count(rounds, PINNED_ROUNDS, { usually: between(1, 25) }) },
        {
          does: PIN_DOES, from: (_, { part }) => ({ rounds: Math.max(1, pins(part?.rounds.length ?? 1)) }),
          sets: (spec: CircleAnswers, { gauge }) => ({ increases: increasesOf(spec, gauge[spec.stitch]) }),
        },
      ),
    ]),
    increases: countOr('by-gauge', 'Increases a round', between(3, 48), {
      usually: between(3, 20), says: 'A school\'s number, or what lies flattest in the gauge.',
      orDoes: labelFrom((spec: CircleAnswers, { gauge }) =>
        `${increasesOf({ ...spec, increases: 'by-gauge' }, gauge[spec.stitch])} suit this gauge.`),
      taught: [
        { value: 6, name: '6', does: 'The school of six, usual for {sc.name}: soft hexagon, slow to grow.' },
        {
          value: 8, name: '8',
          does: 'The school of eight: grows faster, and in {sc.name} the edge often warps a little until the wall tames it.',
        },
        { value: 12, name: '12', does: 'Usual for {dc.name}, whose rounds are twice as tall.' },
      ],
    }),
    noneFlat: noneFlatChoice((spec: object) => (spec as CircleAnswers).increases === 'by-gauge'),
    start: choice(
      'Start with',
      [
        { value: 'ring', name: 'adjustable ring', does: 'Closes to no hole at all; weave its end in well.', card: 'ring' },
        { value: 'chain-ring', name: 'ring of chains', does: 'Quick and firm; leaves a small hole in the middle.' },
        { value: 'chain', name: 'one chain', does: 'The whole first round goes into one chain: nothing to pull closed.' },
      ],
      { begins: 'ring' },
    ),
    ...GROWING,
  } as const
}

/** The parts of a disc's document that its increases follow from. */
interface Increasing {
  readonly increases: number | 'by-gauge'
  readonly noneFlat?: NoneFlat
}

/** The increases a round that a spec comes to in this gauge. */
export function increasesOf(spec: Increasing, stitch: StitchSize): number {
  return spec.increases === 'by-gauge' ? gaugeIncreases(stitch, 1, spec.noneFlat) : spec.increases
}

/** Sizes of a disc of so many rounds. */
interface DiscSize extends PartSize {
  readonly floor: Floor
}

/**
 * The size of a disc. With edge enough or to spare it is as wide as its rounds reach; with too little it stands as a
 * shallow cone, as wide as its edge allows (craft 5). A floor adds nothing to the bag's height.
 */
export function discSize(rounds: number, increases: number, stitch: StitchSize): DiscSize {
  const circumference = times(stitch.width, increases * rounds)
  const across = flatness(increases, stitch).ratio < 1 ? times(circumference, 1 / Math.PI) : times(stitch.height, 2 * rounds)
  return { height: times(stitch.height, 0), circumference, floor: { shape: 'disc', length: across, width: across } }
}
