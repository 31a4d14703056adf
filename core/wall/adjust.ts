import { times } from '../measure/length'
import type { Finding } from '../part/finding'
import { type PartResult, type Setting, stopped, workUp } from '../part/part'
import { changeEvenly, mostChange } from '../round/changes'
import type { Edge } from '../round/edge'
import { inStyle } from '../round/style'
import type { SOLID_STITCHES } from './band'

/** What an adjusting round comes to: a number that everything above divides by, a pinned count, or so many more or fewer. */
export type AdjustTo = { readonly want: { readonly divides: true } } | { readonly pin: { readonly stitches: number } } | { readonly pin: { readonly change: number } }

/** A plain round with increases or decreases spread over it, so that what comes above divides (handbook 7). */
export interface AdjustSpec {
  readonly band: 'adjust'
  readonly stitch: (typeof SOLID_STITCHES)[number]
  readonly to: AdjustTo
  /** The same from both ends, about the round's start. */
  readonly mirrored: boolean
  /** Set where the maker's count came out otherwise than planned and they live with it. */
  readonly counted?: boolean
  readonly colour: string
}

/** The count nearest to one that is accepted; of two as near the larger. None within what one round can change. */
export function nearestAccepted(count: number, accepts: (count: number) => boolean): number | undefined {
  const furthest = Math.min(count, 400)
  for (let by = 0; by <= furthest; by++) {
    if (accepts(count + by)) return count + by
    if (by <= mostChange(count, -1) && count - by >= 1 && accepts(count - by)) return count - by
  }
  return undefined
}

/** The stitches an adjusting round should leave. */
function target({ to }: AdjustSpec, count: number, accepts: (count: number) => boolean): number | undefined {
  if ('want' in to) return nearestAccepted(count, accepts)
  return 'stitches' in to.pin ? to.pin.stitches : count + to.pin.change
}

const cannot = (what: string): Finding => ({ code: 'adjust-impossible', weight: 'stop', what })

/** Steeper than this a round puckers: one decrease in so many stitches (handbook 7; from memory). */
export const STITCHES_A_CHANGE = 6

/** Works an adjusting round; none at all if nothing needs adjusting. */
export function adjust(spec: AdjustSpec, edge: Edge, setting: Setting, accepts: (count: number) => boolean): PartResult {
  const stitch = setting.gauge[spec.stitch]
  const nothing = { height: times(stitch.height, 0), circumference: times(stitch.width, edge.count) }
  const count = target(spec, edge.count, accepts)
  if (count === undefined) return stopped(edge, nothing, cannot('No number near this one divides by all that the bands above ask for. Take one of them out, or look for counts that fit.'))
  const change = count - edge.count
  if (change === 0) return { rounds: [], edge, size: nothing, findings: [{ code: 'adjust-needless', weight: 'note', what: `Nothing to adjust: ${edge.count} stitches are right as they are.` }] }
  if (count < 1 || Math.abs(change) > mostChange(edge.count, change)) {
    return stopped(edge, nothing, cannot(`One round cannot come from ${edge.count} to ${count} stitches. Shape over several rounds instead.`))
  }
  const { rounds, edge: top, stop } = workUp(edge, 1, setting, () =>
    inStyle(setting.rounds, setting.turns, spec.stitch, spec.colour, changeEvenly(edge.count, change, spec.stitch, spec)))
  const steep: Finding[] = edge.count / Math.abs(change) < STITCHES_A_CHANGE
    ? [{ code: 'adjust-steep', weight: 'watch', what: `${Math.abs(change)} ${change > 0 ? 'increases' : 'decreases'} in a round of ${edge.count} may ${change > 0 ? 'ripple' : 'pucker'}: more than about one in ${STITCHES_A_CHANGE} shows (from memory).` }]
    : []
  return { rounds, edge: top, size: { height: stitch.height, circumference: times(stitch.width, count) }, findings: stop ? [stop] : steep, ...(spec.counted ? { advice: [`This is the round as it was counted: ${count} stitches where ${edge.count} were planned.`] } : {}) }
}
