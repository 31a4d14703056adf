import type { Finding } from '../part/finding'
import type { Setting, Size } from '../part/part'
import type { Edge } from '../round/edge'
import { lengthForDrop } from './drop'
import { markedAnew, nudgeRoom, type Placing, placed, placesNear } from './placing'
import type { StripStitch } from './strip'

/** How the round above works a handle's chain: into its chains, into the bumps on their backs, or around the chain as a whole. */
export const INTO = ['chains', 'bumps', 'over'] as const

/** How long a handle's chain is: as long as what it skips; long enough for a drop; or so many chains. */
export type SlotChains = { readonly want: { readonly hole: true } } | { readonly want: { readonly dropCm: number } } | { readonly pin: { readonly chains: number } }

/**
 * Openings in the rim with a chain over each: hand holes if the chain is as long as what is skipped, handles if it is longer
 * (handbook 10). Chain straps are the same from corner to corner, with a round worked over everything.
 */
interface Slotted<B extends string> {
  readonly band: B
  readonly number: 1 | 2
  readonly width: Size<{ readonly widthCm: number }, { readonly stitches: number }>
  readonly chains: SlotChains
  readonly into: (typeof INTO)[number]
  /** Rounds above the one that works the chains which draw body and handle together at the corners. */
  readonly corners: number
  /** Rounds above the slots, the first of which works the chains: they give the handle its width. */
  readonly rounds: number
  readonly stitch: StripStitch
  /** Stitches that the first slot is moved on from the middle of its face, the second one mirroring it. */
  readonly nudge: number
  /** Where the maker marked the first side anew: so many stitches on from the start of the round. */
  readonly sideAt?: number
  readonly colour: string
}

export type SlotsSpec = Slotted<'slots'> | Slotted<'chain-straps'>

/** What the slots of a spec come to on an edge. */
export interface Slots {
  /** Stitches that each is to skip; its place is within the rim even where it does not fit there. */
  readonly skipped: number
  readonly placing: Placing
  readonly chains: number
  /** Chains for each stitch skipped are more than that: it hangs as a handle. */
  readonly hangs: boolean
}

/** Fewest stitches from slot to slot: a corner needs some to hold on to (from memory). */
export const LEAST_BETWEEN = 3

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
  const room = Math.max(0, nudgeRoom(edge, places) - 1)
  return { skipped, placing: placed(marked, places, 'faces', Math.min(room, Math.max(-room, spec.nudge))), chains, hangs: chains > skipped }
}

/** Every run of body and handle needs so many stitches to give one at each of its two corners. */
export const CORNER_RUN = 4

const ROOMLESS = 'Ask for narrower slots, or widen the rim below.'

/** Why slots do not fit on so many stitches; nothing if they do. */
export function tooWide({ number }: SlotsSpec, { skipped: places, chains }: Slots, count: number): Finding | undefined {
  const most = Math.floor((count - 2 * LEAST_BETWEEN) / 2)
  if (places > most) return { code: 'slots-too-wide', weight: 'stop', what: `${number === 2 ? 'Two slots' : 'A slot'} of ${places} stitches ${number === 2 ? 'do' : 'does'} not fit on ${count}: at most ${Math.max(0, most)} leave ${LEAST_BETWEEN} between. ${ROOMLESS}`, ...(most > 0 ? { fix: { label: `Slots of ${most} stitches`, changes: [{ path: ['width'], value: { pin: { stitches: most } } }] } } : {}) }
  return chains < places
    ? { code: 'slot-chain-short', weight: 'stop', what: `A chain of ${chains} over ${places} skipped stitches would pull the rim together. Give it at least ${places}.`, fix: { label: `A chain of ${places}`, changes: [{ path: ['chains'], value: { want: { hole: true } } }] } }
    : undefined
}

/** Stitches that slots leave of a count, without working them; nothing if they do not fit. */
export function slotsGive(spec: SlotsSpec, edge: Edge, gauge: Setting['gauge']): number | undefined {
  const found = slotsOn(spec, edge, { gauge }, false)
  if (tooWide(spec, found, edge.count)) return undefined
  const { placing: { places, gaps } } = found
  // What is drawn together at a corner belongs to the body, which so keeps its stitches; the handle loses one at each end.
  const body = spec.number === 2 ? Math.min(...gaps) : edge.count - places
  let { chains } = found
  let count = edge.count + spec.number * (chains - places)
  for (let i = 1; i <= Math.min(spec.corners, spec.rounds - 1) && body >= CORNER_RUN && chains >= CORNER_RUN; i++) {
    count -= 2 * spec.number
    chains -= 2
  }
  return count
}

/** The fewest stitches that slots can be worked on: both slots, and what has to be left between them. */
export function slotsNeed({ width, stitch }: SlotsSpec, gauge: Setting['gauge']): number {
  return 2 * (LEAST_BETWEEN + ('pin' in width ? width.pin.stitches : Math.max(1, Math.round(width.want.widthCm / gauge[stitch].width.cm))))
}
