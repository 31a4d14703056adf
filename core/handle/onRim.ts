import type { Finding } from '../part/finding'
import type { Setting } from '../part/part'
import type { Edge } from '../round/edge'
import type { Placing } from './placing'
import { facingBelow, wayOf } from './rim'
import type { StripStitch } from './strip'

/** What straps placed on the rim all say. */
export interface OnRim {
  readonly stitch: StripStitch
  /** Stitches that everything is moved on from where it is centred; opposite feet mirror it. */
  readonly nudge: number
  /** Where the maker marked the first side anew: so many stitches on from the start of the round. */
  readonly sideAt?: number
  readonly colour: string
}

/** How far round a span's middle lies. */
export function middleWay(edge: Edge, setting: Setting, first: number, places: number): number {
  const way = wayOf(edge, first + places / 2, facingBelow(setting))
  return way - Math.floor(way)
}

/** Why straps do not fit. */
export const strapsTooWide = (what: string, fix?: Finding['fix']): Finding => ({ code: 'straps-too-wide', weight: 'stop', what, ...(fix ? { fix } : {}) })

/** What lies between two spans, in words. */
export function between({ gaps: [a, b] }: Placing): string {
  return a === b ? `${a} stitches lie` : `${Math.min(a, b)} and ${Math.max(a, b)} stitches lie`
}

/** Where markers go before feet are worked or sewn. */
export function markerPlan(at: readonly string[], placing: Placing): string[] {
  return [`Markers: flatten the bag and mark ${at.join(' and ')}, counted from the start of the last round; ${between(placing)} between the feet. Count between them on both sides before you begin.`]
}
