import { always, between, choice, count, length, optional, pin, want, ways } from '../field/questions'
import { labelFrom } from '../field/field'
import { type QuestionContext, tenths } from '../field/context'
import { IN_ROUNDS } from '../kind/inRounds'
import type { PartSpec } from '../kind/kind'
import type { Setting } from '../part/part'
import type { Edge } from '../../things/round/edge'
import { HAND_DROP_CM, lengthForDrop } from './drop'
import { FACE, oneOrTwo, WHERE } from './onRim'
import { markedAnew, type Placing, placed, placesNear } from './placing'
import { DROP_CM, STRAP_STITCH, USUAL_DROPS } from './strapLength'

export const SLOT_CM = between(1, 100)

/** Answers that the questions look at of one another. */
interface SlotAnswers {
  readonly corners: number
  readonly rounds: number
  readonly into: Into
}

/** Where the slots lie as drafted now, whether they fit there or not. */
function slotsNow(spec: object, { part, gauge }: QuestionContext): Slots | undefined {
  const first = part?.rounds[0]
  const edge = first?.on ?? part?.edge
  return edge && slotsOn(spec as SlotsSpec, edge, { gauge }, first?.round.begin.turn ?? false)
}

/** A handle that hangs wants its corners drawn together. */
function drawnAtCorners({ corners, rounds }: SlotAnswers): Partial<SlotAnswers> {
  return corners === 0 ? { corners: 1, rounds: Math.max(2, rounds) } : {}
}

function stitchesNow(spec: object, now: QuestionContext): number {
  return slotsNow(spec, now)?.placing.places ?? 16
}

function widthNow(spec: object, now: QuestionContext): number {
  return tenths(stitchesNow(spec, now) * now.gauge[(spec as SlotsSpec).stitch].width.cm, SLOT_CM)
}

const CHAINS = ways('The chain over each is', [
  want(
    'a handle, by its drop',
    { dropCm: length('Drop, rim to hand', DROP_CM, { picks: USUAL_DROPS, usually: between(1, 30) }) },
    {
      does: labelFrom((spec, now) => `It hangs: chains of ${slotsNow(spec, now)?.chains ?? '?'}.`), from: () => ({ dropCm: HAND_DROP_CM }),
      sets: drawnAtCorners,
    },
  ),
  want(
    'a hand hole',
    { hole: always(true, 'A hand hole') },
    {
      does: 'As long as what is skipped: the rim stays straight.', from: () => ({ hole: true as const }), sets: () => ({ corners: 0 }),
    },
  ),
  pin(
    'so many chains',
    { chains: count('Chains', between(1, 600), { usually: between(1, 90) }) },
    {
      does: 'You pin the chains, the drop is told.', from: (spec: SlotAnswers, now) => ({ chains: slotsNow(spec, now)?.chains ?? 30 }),
      sets: drawnAtCorners,
    },
  ),
])

/** Questions of slots; `wide` is the one about their width. */
export function slotFields<const I extends Into>(wide: string, into: I) {
  return {
    number: oneOrTwo('How many', 'One on each face, mirror images about the sides.'),
    face: FACE,
    width: ways('For their width, you give', [
      want(
        'centimetres',
        { widthCm: length(wide, SLOT_CM, { usually: between(1, 25) }) },
        {
          does: labelFrom((spec, now) => (now.part ? `${stitchesNow(spec, now)} stitches are skipped for each.` : '')),
          from: (spec: object, now) => ({ widthCm: widthNow(spec, now) }),
        },
      ),
      pin(
        'stitches',
        { stitches: count('Stitches skipped for each', between(1, 600), { usually: between(1, 40) }) },
        {
          from: (spec: object, now) => ({ stitches: stitchesNow(spec, now) }),
        },
      ),
    ]),
    chains: CHAINS,
    into: choice(
      'The next round goes',
      [
        { value: 'chains', name: 'into the chains', does: 'A stitch in each chain, under its two upper threads.', card: 'singleChain' },
        {
          value: 'bumps', name: 'into their back bumps', card: 'bump',
          does: 'Under the bump on the chain\'s back: both edges look alike, and no holes show.',
        },
        {
          value: 'over', name: 'around the chain', card: 'aroundChain',
          does: 'As many stitches over the chain as a whole: fast, and they can be pushed close.',
        },
      ],
      { begins: into as Into },
    ),
    stitch: STRAP_STITCH,
    rounds: count('Rounds above', between(1, 60), {
      begins: 4, beside: true, usually: between(1, 6),
      says: 'Rounds above the slots, the first of which works the chains: they give the handle its width.',
    }),
    corners: count('Decreases at each corner', between(0, 12), {
      begins: 1, beside: true, usually: between(0, 4),
      says: 'Rounds above the one that works the chains which draw body and handle together at the corners.',
      why: 'Where the rim meets a handle, so many rounds work two stitches together: the corner is drawn in and does not gape.',
      card: 'together',
    }),
    cornersFrom: optional(
      choice(
        'The corner decreases begin in',
        [
          { value: 'above', name: 'the round above the chains' },
          {
            value: 'chains', name: 'the round that works the chains',
            does: 'The last stitch of the bag with the first chain, and the last chain with the next stitch: no gap at the foot.',
          },
        ],
        { when: (spec: object) => (spec as SlotAnswers).corners > 0 && (spec as SlotAnswers).into !== 'over' },
      ),
    ),
    ...WHERE, ...IN_ROUNDS,
  } as const
}

/** How the round above works a handle's chain: into its chains, into the bumps on their backs, or around the chain as a whole. */
type Into = 'chains' | 'bumps' | 'over'

/**
 * Openings in the rim with a chain over each: hand holes if the chain is as long as what is skipped, handles if it is longer
 * (craft 10). Chain straps are the same from corner to corner, with a round worked over everything.
 */
export type SlotsSpec = PartSpec<'slots', SlotFields> | PartSpec<'chain-straps', SlotFields>
type SlotFields = ReturnType<typeof slotFields>

/** Slots of a spec on an edge. */
export interface Slots {
  /** Stitches that each is to skip; its place is within the rim even where it does not fit there. */
  readonly skipped: number
  readonly placing: Placing
  readonly chains: number
  /** Chains for each stitch skipped are more than that: it hangs as a handle. */
  readonly hangs: boolean
}

/** Fewest stitches from slot to slot: a corner needs some to hold on to (from memory). */
export const LEAST_BETWEEN = 2

/** Stitches that each slot skips. */
function skippedBy({ width }: SlotsSpec, count: number, stitchCm: number): number {
  return 'pin' in width ? width.pin.stitches : placesNear(count, width.want.widthCm / stitchCm, 'faces')
}

function chainsFor({ chains }: SlotsSpec, skipped: number, stitchCm: number): number {
  if ('pin' in chains) return chains.pin.chains
  if ('hole' in chains.want) return skipped
  return Math.max(skipped, Math.round(lengthForDrop(chains.want.dropCm, skipped * stitchCm) / stitchCm))
}

/** Where slots lie on an edge, and how long their chains are; whether they fit there or not. */
export function slotsOn(spec: SlotsSpec, edge: Edge, setting: Pick<Setting, 'gauge'>, turn: boolean): Slots {
  const stitchCm = setting.gauge[spec.stitch].width.cm
  const marked = markedAnew(edge, turn, spec.sideAt)
  const skipped = skippedBy(spec, edge.count, stitchCm)
  const chains = chainsFor(spec, skipped, stitchCm)
  const places = Math.min(skipped, Math.floor(edge.count / 2))
  // However far they are moved, a stitch more than the least stays between them: rounds that turn begin and end there.
  const room = Math.max(0, Math.floor((Math.floor(edge.count / 2) - places - LEAST_BETWEEN - 1) / 2))
  const placing = { ...placed(marked, places, 'faces', Math.min(room, Math.max(-room, spec.nudge))), room }
  return { skipped, placing, chains, hangs: chains > skipped }
}
