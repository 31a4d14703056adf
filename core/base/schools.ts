import type { Gauge } from '../gauge/gauge'
import type { BaseSpec } from './base'
import { increasesOf } from './circle'
import { flatIncreases, flatness, type Flatness } from './flatness'
import { perEndOf } from './oval'

/** One way of increasing, and what it does in this maker's gauge. */
export interface School {
  /** Increases a round; at each end of an oval half of them. */
  readonly increases: number
  readonly flatness: Flatness
  /** Whether it is what lies flattest. */
  readonly flattest: boolean
  /** Whether the base uses it now. */
  readonly inUse: boolean
}

/** The numbers that makers teach (handbook 5; common practice, no source). */
const TAUGHT = [6, 8, 10, 12, 16]

/** The increases a round of a base's disc, or of both ends of its oval; none for forms that have no disc. */
export function discIncreases(spec: BaseSpec, gauge: Gauge): number | undefined {
  if (spec.form === 'circle' || spec.form === 'double-disc') return increasesOf(spec, gauge[spec.stitch])
  return spec.form === 'oval' ? 2 * perEndOf(spec, gauge[spec.stitch]) : undefined
}

/** What each school, the flattest number and the one in use do in this gauge, from few increases to many. */
export function compareSchools(spec: BaseSpec, gauge: Gauge): School[] {
  const inUse = discIncreases(spec, gauge)
  if (inUse === undefined) return []
  const stitch = gauge[spec.stitch]
  const best = flatIncreases(stitch)
  const flattest = spec.form === 'oval' ? 2 * Math.max(2, Math.round(best / 2)) : best
  return [...new Set([...TAUGHT, flattest, inUse])].sort((a, b) => a - b)
    .map(increases => ({ increases, flatness: flatness(increases, stitch), flattest: increases === flattest, inUse: increases === inUse }))
}

/** A base with another number of increases a round. */
export function withIncreases(spec: BaseSpec, increases: number): BaseSpec {
  if (spec.form === 'circle' || spec.form === 'double-disc') return { ...spec, increases }
  return spec.form === 'oval' ? { ...spec, perEnd: Math.round(increases / 2) } : spec
}
