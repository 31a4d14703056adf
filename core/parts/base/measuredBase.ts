import type { Evidence } from '../../things/gauge/refine'
import type { Setting } from '../part/part'
import { type BaseSpec, formOf } from './base'
import type { TapeMeasurement } from './form'

/**
 * Evidence of a finished base about its stitches: each form says it of its own.
 *
 * @returns nothing for a base whose counts are not pinned, since they would move with the gauge, or one that was bought
 */
export function evidenceOf(spec: BaseSpec, measured: TapeMeasurement, setting: Setting): Evidence | undefined {
  if (!('size' in spec) || !('pin' in spec.size)) return undefined
  return formOf(spec).evidence?.(spec, spec.size.pin, measured, setting)
}
