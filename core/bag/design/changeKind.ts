import { firstRepeat } from '../../parts/band/own'
import type { Gauge } from '../../things/gauge/gauge'
import type { Tool } from '../../parts/kind/kind'
import { divides } from '../../parts/part/asks'
import type { Repeat } from '../../things/repeat/repeat'
import { adjustedTo } from '../../parts/wall/adjusted'
import { beginPart, demandOf, kindOf } from '../../parts/wall/wall'
import { firstRounds } from '../../parts/wall/written'
import type { Design } from './design'
import { asPartOf } from './partIds'
import { contextsIn } from './partContexts'
import { freshRepeatId, keptOf, placeOf, restacked, type StackChange } from './stacking'

/** The edge below a part: how far round it goes, and how many stitches come up, in which gauge. */
export interface Below {
  readonly aroundCm: number
  readonly count: number
  readonly gauge: Gauge
}

/**
 * A part of another kind in the place of one; the first in a repeat of the maker's own brings one along, and a kind that says so an
 * adjusting round below it, where the count that comes up does not divide.
 */
export function turnedInto(design: Design, id: string, band: string, { aroundCm, count, gauge }: Below): StackChange {
  const kind = kindOf({ kind: band })
  const at = placeOf(design, id)
  const { called } = design.wall[at]!
  const spec = { ...beginPart(band, keptOf(design, design.wall[at], aroundCm)), ...(called ? { called } : {}) }
  const label = `Band: ${kind.name}`
  const own = ownLines(design, kind.tools ?? [])
  if (own) {
    const part = { ...spec, repeat: own.id }
    return { label, changes: [{ path: ['repeats'], value: [...design.repeats, own] }, { path: ['wall', id], value: part }], inHand: id }
  }
  const asks = kind.bringsAdjusting && demandOf(spec, contextsIn(design, gauge))?.asks
  if (!asks || divides(count, asks)) return { label, changes: [{ path: ['wall', id], value: spec }], inHand: id }
  const { wall } = design
  const adjusting = asPartOf(wall, adjustedTo({ want: { divides: true } }, 'sc', spec.colour))
  return restacked(label, [...wall.slice(0, at), adjusting, { ...spec, id }, ...wall.slice(at + 1)], id)
}

/** Lines of the maker's own that a new part brings along: the first repeat, or rounds of its own; none if it needs none. */
function ownLines(design: Design, tools: readonly Tool[]): Repeat | undefined {
  if (tools.includes('own-round')) return firstRounds(freshRepeatId(design))
  return tools.includes('own-repeat') && design.repeats.length === 0 ? firstRepeat('own-1') : undefined
}
