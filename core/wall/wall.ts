import { times } from '../measure/length'
import { type PartResult, type Setting, stopped } from '../part/part'
import type { Gauge } from '../gauge/gauge'
import { closure, CLOSURE_KINDS, type ClosureSpec } from '../handle/closures'
import { hung, HUNG_KINDS, type HungSpec } from '../handle/hung'
import { slots } from '../handle/slots'
import { slotsGive, slotsNeed, type SlotsSpec } from '../handle/slotSpec'
import { straps, STRAP_KINDS, type StrapSpec } from '../handle/straps'
import type { Repeat } from '../repeat/repeat'
import type { Finding } from '../part/finding'
import { EDGING_KINDS, edgingOf, type EdgingSpec } from '../mouth/edging'
import { eyelets, eyeletsAsks, eyeletsGive, type EyeletsSpec } from '../mouth/eyelets'
import { type Edge, foundation, placesOf } from '../round/edge'
import type { FabricKind } from '../stitch/dictionary'
import { ANY, type Asks, divides } from '../part/asks'
import { loops, loopsAsks, loopsGive, type LoopsSpec } from '../mesh/loops'
import { adjust, type AdjustSpec } from './adjust'
import { BAND_KINDS, type BandSpec, textureOf } from './band'
import { taper, type TaperSpec } from './taper'
import { workTexture } from '../texture/workTexture'

/** Slots, and chain straps, which are slots from corner to corner. */
export const SLOT_KINDS = ['slots', 'chain-straps'] as const

/** What is placed on the rim and works no round of the bag: straps and closures. */
export type FittedSpec = StrapSpec | HungSpec | ClosureSpec
export const FITTED_KINDS = [...STRAP_KINDS, ...HUNG_KINDS, ...CLOSURE_KINDS] as const

/** What a wall is stacked from: bands, nets, casings, edgings, handles, closures, adjusting rounds and tapers. */
export type WallSpec = BandSpec | LoopsSpec | EyeletsSpec | EdgingSpec | SlotsSpec | FittedSpec | AdjustSpec | TaperSpec
export const WALL_KINDS = [...BAND_KINDS, 'loops', 'eyelets', ...EDGING_KINDS, ...SLOT_KINDS, ...FITTED_KINDS, 'adjust', 'taper'] as const

/** What is worked above, as far as a part below needs to know: whether all of it divides when so many stitches come up. */
export type Accepts = (count: number) => boolean

/** Whether a part is an edging: so many rounds, not a height. */
export function isEdging(spec: WallSpec): spec is EdgingSpec {
  return (EDGING_KINDS as readonly string[]).includes(spec.band)
}

function isOneOf<B extends WallSpec['band']>(spec: WallSpec, kinds: readonly B[]): spec is Extract<WallSpec, { band: B }> {
  return (kinds as readonly string[]).includes(spec.band)
}

/** Whether a part is slots or chain straps. */
export function isSlots(spec: WallSpec): spec is SlotsSpec {
  return spec.band === 'slots' || spec.band === 'chain-straps'
}

/** Whether a part is only placed on the rim. */
export function isFitted(spec: WallSpec): spec is FittedSpec {
  return isOneOf(spec, FITTED_KINDS)
}

/** Places what works no round. */
function fit(spec: FittedSpec, edge: Edge, setting: Setting): PartResult {
  if (isOneOf(spec, CLOSURE_KINDS)) return closure(spec, edge, setting)
  return isOneOf(spec, HUNG_KINDS) ? hung(spec, edge, setting) : straps(spec, edge, setting)
}

/** How full an edging is: its edge to the edge it stands on, by the same ratio as a floor's flatness (handbook 5 and 9). */
function fullness(ratio: number): Finding[] {
  const does = ratio < 0.93 ? 'draws the mouth in a little' : ratio <= 1.07 ? 'lies flat' : ratio <= 1.3 ? 'waves gently' : 'ruffles'
  return [{ code: 'edging-fullness', weight: 'note', what: `Its edge is ${ratio.toFixed(2)} times what it stands on: it ${does} (flat within 7 %: from memory).` }]
}

/** Works an edging's rounds. */
function workEdging(spec: EdgingSpec, edge: Edge, setting: Setting): PartResult {
  const { texture, rounds, advice } = edgingOf(spec, placesOf(edge, 'space') > 0)
  const result = workTexture(texture, { colour: spec.colour, size: { pin: { rounds } } }, edge, setting)
  const stopped = result.findings.some(({ weight }) => weight === 'stop')
  return { ...result, advice, findings: stopped ? result.findings : [...result.findings, ...fullness(result.edge.count / edge.count)] }
}

/** Works any part of a wall onto an edge. */
export function workWall(spec: WallSpec, edge: Edge, setting: Setting, repeats: readonly Repeat[], accepts: Accepts): PartResult {
  if (spec.band === 'adjust') return adjust(spec, edge, setting, accepts)
  if (spec.band === 'taper') return taper(spec, edge, setting)
  if (spec.band === 'loops') return loops(spec, edge, setting)
  if (spec.band === 'eyelets') return eyelets(spec, edge, setting)
  if (isEdging(spec)) return workEdging(spec, edge, setting)
  if (isSlots(spec)) return slots(spec, edge, setting)
  if (isFitted(spec)) return fit(spec, edge, setting)
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
export function demandOf(spec: WallSpec, repeats: readonly Repeat[], gauge: Gauge): Demand | undefined {
  if (spec.band === 'adjust' || spec.band === 'taper') return undefined
  if (isFitted(spec)) return { asks: ANY, gives: count => count }
  if (isSlots(spec)) return { asks: { ...ANY, least: slotsNeed(spec, gauge) }, gives: count => slotsGive(spec, foundation('stitch', count), gauge) ?? count }
  if (spec.band === 'loops') return { asks: loopsAsks(spec), gives: count => loopsGive(spec, count) }
  if (spec.band === 'eyelets') return { asks: eyeletsAsks(spec), gives: count => eyeletsGive(spec, count) }
  const texture = isEdging(spec) ? edgingOf(spec, true).texture : textureOf(spec, repeats)
  return texture && { asks: texture.asks, gives: count => ((count - texture.asks.plus) / texture.asks.multiple) * texture.gives + texture.asks.plus }
}

/** The stitch that a part of a wall is mostly worked in. */
export function mainStitch(spec: WallSpec, repeats: readonly Repeat[]): FabricKind {
  if ('stitch' in spec) return spec.stitch
  if (spec.band === 'loops') return 'sc'
  if (spec.band === 'eyelets') return spec.eyelets === 'boxes' ? 'dc' : 'sc'
  if (isEdging(spec)) return edgingOf(spec, true).texture.main
  if (isSlots(spec) || isFitted(spec)) return 'sc'
  return textureOf(spec, repeats)?.main ?? 'sc'
}

/** The count that comes out of a stack for one that goes in, without working it; or which part it does not divide at. */
export function comesOut(wall: readonly WallSpec[], repeats: readonly Repeat[], count: number, gauge: Gauge): { readonly count: number } | { readonly stuckAt: number } {
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
      const demand = demandOf(spec, repeats, gauge)
      if (!demand || !divides(count, demand.asks)) return { stuckAt: i }
      count = demand.gives(count)
    }
  }
  return { count }
}
