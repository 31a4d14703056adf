import type { Gauge } from '../../things/gauge/gauge'
import { type BaseSpec, formOf } from './base'
import { flatIncreases, flatness, type Flatness } from './flatness'

/** One way of increasing, and what it does in this maker's gauge. */
interface School {
  /** Increases a round; at each end of an oval half of them. */
  readonly increases: number
  readonly flatness: Flatness
  /** Whether it is what lies flattest. */
  readonly flattest: boolean
  /** Whether the base uses it now. */
  readonly inUse: boolean
}

/** The numbers that makers teach (craft 5; common practice, no source). */
const TAUGHT = [6, 8, 10, 12, 16]

/** The increases a round of a base's disc, or of both ends of its oval; none for forms that have no disc. */
export function discIncreases(spec: BaseSpec, gauge: Gauge): number | undefined {
  return formOf(spec).increases?.(spec, gauge)
}

/** Effect of each school, the flattest number and the one in use in this gauge, from few increases to many. */
export function compareSchools(spec: BaseSpec, gauge: Gauge): School[] {
  const inUse = discIncreases(spec, gauge)
  const { nearestIncreases } = formOf(spec)
  if (inUse === undefined || !nearestIncreases) return []
  const stitch = gauge[spec.stitch]
  const flattest = nearestIncreases(flatIncreases(stitch))
  return [...new Set([...TAUGHT, flattest, inUse])].sort((a, b) => a - b)
    .map(increases => ({ increases, flatness: flatness(increases, stitch), flattest: increases === flattest, inUse: increases === inUse }))
}

/** A base with another number of increases a round. */
export function withIncreases(spec: BaseSpec, increases: number): BaseSpec {
  return formOf(spec).withIncreases?.(spec, increases) ?? spec
}
