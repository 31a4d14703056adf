import { times } from '../measure/length'
import { type PartResult, type Setting, stopped } from '../part/part'
import type { Repeat } from '../repeat/repeat'
import type { Edge } from '../round/edge'
import type { FabricKind } from '../stitch/dictionary'
import { type Asks, divides } from '../part/asks'
import { loops, loopsAsks, loopsGive, type LoopsSpec } from '../mesh/loops'
import { adjust, type AdjustSpec } from './adjust'
import { BAND_KINDS, type BandSpec, textureOf } from './band'
import { taper, type TaperSpec } from './taper'
import { workTexture } from './workTexture'

/** What a wall is stacked from: bands, adjusting rounds and tapers. */
export type WallSpec = BandSpec | LoopsSpec | AdjustSpec | TaperSpec
export const WALL_KINDS = [...BAND_KINDS, 'loops', 'adjust', 'taper'] as const

/** What is worked above, as far as a part below needs to know: whether all of it divides when so many stitches come up. */
export type Accepts = (count: number) => boolean

/** Works any part of a wall onto an edge. */
export function workWall(spec: WallSpec, edge: Edge, setting: Setting, repeats: readonly Repeat[], accepts: Accepts): PartResult {
  if (spec.band === 'adjust') return adjust(spec, edge, setting, accepts)
  if (spec.band === 'taper') return taper(spec, edge, setting)
  if (spec.band === 'loops') return loops(spec, edge, setting)
  const texture = textureOf(spec, repeats)
  if (texture) return workTexture(texture, spec, edge, setting)
  const { width, height } = setting.gauge.sc
  return stopped(edge, { height: times(height, 0), circumference: times(width, edge.count) }, {
    code: 'own-broken', weight: 'stop', what: 'This band is in a repeat of your own that cannot be worked as it is written. Mend the repeat, or give the band another.',
  })
}

/** What a part that works a repeat asks of the count below, and what it leaves. */
export interface Demand {
  readonly asks: Asks
  readonly gives: (count: number) => number
}

/** The demand of a part that has one: none of adjusting rounds and tapers, which take any count, nor of a repeat that cannot be worked. */
export function demandOf(spec: WallSpec, repeats: readonly Repeat[]): Demand | undefined {
  if (spec.band === 'adjust' || spec.band === 'taper') return undefined
  if (spec.band === 'loops') return { asks: loopsAsks(spec), gives: count => loopsGive(spec, count) }
  const texture = textureOf(spec, repeats)
  return texture && { asks: texture.asks, gives: count => ((count - texture.asks.plus) / texture.asks.multiple) * texture.gives + texture.asks.plus }
}

/** The stitch that a part of a wall is mostly worked in. */
export function mainStitch(spec: WallSpec, repeats: readonly Repeat[]): FabricKind {
  if ('stitch' in spec) return spec.stitch
  if (spec.band === 'loops') return 'sc'
  return textureOf(spec, repeats)?.main ?? 'sc'
}

/** The count that comes out of a stack for one that goes in, without working it; or which part it does not divide at. */
export function comesOut(wall: readonly WallSpec[], repeats: readonly Repeat[], count: number): { readonly count: number } | { readonly stuckAt: number } {
  for (const [i, spec] of wall.entries()) {
    // An adjusting round that finds its own count takes any, and so does everything above it.
    if (spec.band === 'adjust') {
      if ('want' in spec.to) return { count }
      count = 'stitches' in spec.to.pin ? spec.to.pin.stitches : count + spec.to.pin.change
    }
    else if (spec.band === 'taper') {
      if (!('pin' in spec.size)) return { count }
      count = spec.size.pin.stitches
    }
    else {
      const demand = demandOf(spec, repeats)
      if (!demand || !divides(count, demand.asks)) return { stuckAt: i }
      count = demand.gives(count)
    }
  }
  return { count }
}
