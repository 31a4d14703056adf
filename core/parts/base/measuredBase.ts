import type { Evidence } from '../../things/gauge/refine'
import type { Setting } from '../part/part'
import { type BaseSpec, formOf } from './base'
import type { TapeMeasurement } from './form'

/** The maker's measures of the finished base, and which base that was. */
export interface MeasuredBase extends TapeMeasurement {
  /** The rounds and the stitches at the edge of the base that was measured: another base is not this one. */
  readonly rounds: number
  readonly stitches: number
}

/**
 * Evidence of a finished base about its stitches: each form says it of its own.
 *
 * @returns nothing for a base whose counts are not pinned, since they would move with the gauge, or one that was bought
 */
export function evidenceOf(spec: BaseSpec, measured: TapeMeasurement, setting: Setting): Evidence | undefined {
  if (!('size' in spec) || !('pin' in spec.size)) return undefined
  return formOf(spec).evidence?.(spec, spec.size.pin as never, measured, setting)
}
