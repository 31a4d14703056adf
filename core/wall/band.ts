import type { PartResult, Setting } from '../part/part'
import type { Edge } from '../round/edge'
import { solid, type SolidSpec } from './solid'

/** The kinds of band a wall is stacked from. */
export const BAND_KINDS = ['solid'] as const

export type BandSpec = SolidSpec

type Bands = { [B in BandSpec['band']]: (spec: Extract<BandSpec, { band: B }>, edge: Edge, setting: Setting) => PartResult }

const BANDS: Bands = { solid }

/** Works a band of any kind onto an edge. */
export function workBand(spec: BandSpec, edge: Edge, setting: Setting): PartResult {
  return BANDS[spec.band](spec, edge, setting)
}
