import type { PartResult, Setting } from '../part/part'
import type { Edge } from '../round/edge'
import { grownStrap, type GrownStrapSpec, knotStraps, type KnotStrapsSpec } from './grownStraps'
import { asMarked } from './rim'
import { sewnStraps, type SewnStrapsSpec, underStrap, type UnderStrapSpec } from './sewnStraps'
import { refusedOnHandles } from './unworked'

export const STRAP_KINDS = ['grown-strap', 'knot-straps', 'sewn-straps', 'under-strap'] as const
export type StrapSpec = GrownStrapSpec | KnotStrapsSpec | SewnStrapsSpec | UnderStrapSpec

/** Works straps of any kind; none on a rim that has handles worked in it. */
export function straps(spec: StrapSpec, edge: Edge, setting: Setting): PartResult {
  if (edge.free) return refusedOnHandles(edge, setting, 'These straps')
  const { edge: marked, ...moved } = asMarked(edge, setting, spec.sideAt)
  return { ...strapsOn(spec, marked, setting), ...moved }
}

function strapsOn(spec: StrapSpec, edge: Edge, setting: Setting): PartResult {
  switch (spec.band) {
    case 'grown-strap': return grownStrap(spec, edge, setting)
    case 'knot-straps': return knotStraps(spec, edge, setting)
    case 'sewn-straps': return sewnStraps(spec, edge, setting)
    case 'under-strap': return underStrap(spec, edge, setting)
  }
}
