import type { Demand } from '../part/asks'
import { ANY } from '../part/asks'
import type { Finding } from '../part/finding'
import type { Setting } from '../part/part'
import { type Edge, foundation } from '../../things/round/edge'
import { LEAST_BETWEEN, type Slots, type SlotsSpec, slotsOn } from './slotSpec'

/** A handle needs so many stitches to give one at each of its two ends, and the body between two of them so many. */
export const CORNER_RUN = 4

export const CORNER_BODY = 2

/** The first and the last of the rounds above the slots that draw corners together, the one that works the chains being 0. */
export function cornerRounds({ corners, cornersFrom, into }: SlotsSpec): readonly [number, number] {
  return cornersFrom === 'chains' && into !== 'over' ? [0, corners - 1] : [1, corners]
}

const ROOMLESS = 'Ask for narrower slots, or widen the rim below.'

/** Why slots do not fit on so many stitches; nothing if they do. */
export function tooWide(
  { number }: SlotsSpec,
  { skipped: places, chains }: Slots,
  count: number,
  turnsBack = false,
): Finding | undefined {
  // What turns back begins and ends between the slots, and needs a stitch more there.
  const between = LEAST_BETWEEN + (turnsBack ? 1 : 0)
  const most = Math.floor((count - 2 * between) / 2)
  if (places > most)
    return {
      code: 'slots-too-wide', weight: 'stop',
      what:
        `${number === 2 ? 'Two slots' : 'A slot'} of ${places} stitches ${number === 2 ? 'do' : 'does'} not fit on ${count}: at `
        + `most ${Math.max(0, most)} leave ${between} between. ${ROOMLESS}`,
      ...(most > 0
        ? { fix: { label: `Slots of ${most} stitches`, changes: [{ path: ['width'], value: { pin: { stitches: most } } }] } }
        : {}),
    }
  return chains < places
    ? {
        code: 'slot-chain-short', weight: 'stop',
        what: `A chain of ${chains} over ${places} skipped stitches would pull the rim together. Give it at least ${places}.`,
        fix: { label: `A chain of ${places}`, changes: [{ path: ['chains'], value: { want: { hole: true } } }] },
      }
    : undefined
}

/** Stitches that slots leave of a count, without working them; nothing if they do not fit. */
export function slotsGive(spec: SlotsSpec, edge: Edge, gauge: Setting['gauge']): number | undefined {
  const found = slotsOn(spec, edge, { gauge }, false)
  if (tooWide(spec, found, edge.count)) return undefined
  const { placing: { places } } = found
  // What is drawn together at a corner belongs to the body, which so keeps its stitches; the handle loses one at each end.
  let { chains } = found
  let count = edge.count + spec.number * (chains - places)
  const [from, to] = cornerRounds(spec)
  for (let i = from; i <= Math.min(to, spec.rounds - 1) && chains >= CORNER_RUN; i++) {
    count -= 2 * spec.number
    chains -= 2
  }
  return count
}

/** The fewest stitches that slots can be worked on: both slots, and what has to be left between them. */
function slotsNeed({ width, stitch }: SlotsSpec, gauge: Setting['gauge']): number {
  return 2 * (LEAST_BETWEEN + ('pin' in width ? width.pin.stitches : Math.max(1, Math.round(width.want.widthCm / gauge[stitch].width.cm))))
}

/** Demand of slots on the count, and their yield. */
export function slotsDemand(spec: SlotsSpec, gauge: Setting['gauge']): Demand {
  return {
    asks: { ...ANY, least: slotsNeed(spec, gauge) },
    leaves: stitches => slotsGive(spec, foundation('stitch', stitches), gauge) ?? stitches,
  }
}
