import type { Gauge } from '../../things/gauge/gauge'
import type { Hook } from '../../things/gauge/onHook'
import type { PartResult } from '../part/part'

/** Context of a question besides the spec: the part as drafted, and its gauge. */
export interface QuestionContext {
  /** Nothing where the bag stops below it. */
  readonly part?: Omit<PartResult, 'findings'>
  readonly gauge: Gauge
  /** The hook that the gauge is on, where it matters what it was. */
  readonly hook?: Hook
}

/** A length as it would be typed: to the millimetre, within bounds. */
export function tenths(cm: number, { least, most }: { readonly least: number, readonly most: number }): number {
  return Math.min(most, Math.max(least, Math.round(cm * 10) / 10))
}
