import { begun } from '../kind/beginnings'
import type { AnyKind, Keeps, PartKind, PartContext } from '../kind/kind'
import type { Fields } from '../field/field'
import type { Gauge } from '../../things/gauge/gauge'
import { gaugeOnHook, type Hook } from '../../things/gauge/onHook'
import { type Demand, divides } from '../part/asks'
import type { PartResult, WallSetting } from '../part/part'
import type { Edge } from '../../things/round/edge'
import type { FabricKind } from '../../things/stitch/dictionary'
import { KnownKinds } from '../kind/registry'
import type { WallSpec } from './kinds'
import type { SolidSpec } from '../band/solid'

export type { WallSpec } from './kinds'

/** A kind as everybody but itself reads it: by what it does with any spec of a wall. */
export type WallKind = PartKind<string, Fields, WallSpec>

const KNOWN = new KnownKinds<WallKind>('kind of part')

/** Makes kinds of part known, in the order they are offered. */
export function knowParts(kinds: readonly AnyKind[]): void {
  for (const kind of kinds) KNOWN.know(kind.kind, kind as WallKind)
}

/** Whether the kind of a part is known. */
export function isKnownPart({ kind: band }: { readonly kind: string }): boolean {
  return KNOWN.has(band)
}

/** Every kind of part that is known, in the order they are offered. */
export function wallKinds(): readonly WallKind[] {
  return KNOWN.all()
}

/** The kind of a part. */
export function kindOf({ kind: band }: { readonly kind: string }): WallKind {
  return KNOWN.of(band)
}

/** Works any part of a wall onto an edge. */
export function workWall(spec: WallSpec, edge: Edge, setting: WallSetting): PartResult {
  return kindOf(spec).work(spec, edge, { ...setting, gauge: ownGauge(spec, setting) })
}

/** The gauge that a part is worked in: the bag's, or that of a hook of its own. */
export function ownGauge(spec: object, seen: Pick<PartContext, 'gauge' | 'hook'>): Gauge {
  return gaugeOnHook(seen.gauge, seen.hook, (spec as { readonly hook?: Hook }).hook)
}

/** Demand of a part on the count below, and its yield; nothing of one that cannot be worked. */
export function demandOf(spec: WallSpec, seen: PartContext): Demand | undefined {
  return kindOf(spec).demand(spec, { ...seen, gauge: ownGauge(spec, seen) })
}

/** The stitch that a part of a wall is mostly worked in. */
export function mainStitch(spec: WallSpec, seen: PartContext): FabricKind {
  return kindOf(spec).main(spec, seen)
}

/** Whether a part is a plain band: a stitch in every stitch, so that a round more or fewer, or a changed one, minds nothing else. */
export function isPlain(spec: WallSpec): spec is SolidSpec {
  return kindOf(spec).plain === true
}

/** Whether a part comes to what everything above it can be worked on, and so has to look at it. */
export function looksUp(spec: WallSpec): boolean {
  return kindOf(spec).looksUp?.(spec) ?? false
}

/**
 * The count that comes out of a stack for one that goes in, without working it, and whether it depends on that; or which part it
 * does not divide at.
 */
export function comesOut(
  wall: readonly WallSpec[],
  seen: PartContext,
  count: number,
): { readonly count: number, readonly steadied: boolean } | { readonly stuckAt: number } {
  for (const [i, spec] of wall.entries()) {
    const demand = demandOf(spec, seen)
    if (!demand || !divides(count, demand.asks)) return { stuckAt: i }
    count = demand.leaves(count)
    // What stands above is no longer touched by what comes up from below.
    if (demand.steadies) return { count, steadied: true }
  }
  return { count, steadied: false }
}

/** A new part of a kind, keeping of what stands there what both have. */
export function beginPart(band: string, keeps: Keeps): WallSpec {
  return begun(kindOf({ kind: band }), keeps) as WallSpec
}

/** How tall a part is told to be, where that is all its size says: such a part can take up what others leave. */
export function heightAsked(spec: WallSpec): Keeps['size'] | undefined {
  if (!('size' in spec)) return undefined
  const said = Object.keys('want' in spec.size ? spec.size.want : spec.size.pin)
  return said.length === 1 ? (spec.size as Keeps['size']) : undefined
}
