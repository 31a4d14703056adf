import { tape } from '../measure/format'
import { times } from '../measure/length'
import type { Finding } from '../part/finding'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type Setting, type Size, stopped, workUp } from '../part/part'
import { changeEvenly, mostChange } from '../round/changes'
import type { Edge } from '../round/edge'
import { inStyle } from '../round/style'
import { STITCHES_A_CHANGE } from './adjust'
import type { SOLID_STITCHES } from './band'
import type { Bandlike } from '../texture/bandlike'
import { colourAt } from '../texture/workTexture'

/** A plain band that draws in or opens out to a wanted circumference over its height (handbook 7, shaping). */
export interface TaperSpec extends Pick<Bandlike, 'colour' | 'stripes'> {
  readonly band: 'taper'
  readonly stitch: (typeof SOLID_STITCHES)[number]
  readonly size: Size<{ readonly heightCm: number, readonly aroundCm: number }, { readonly rounds: number, readonly stitches: number }>
  readonly mirrored: boolean
}

/** The stitches after each of so many rounds on the way from one count to another, as evenly as whole stitches allow. */
export function taperCounts(from: number, to: number, rounds: number): number[] {
  return Array.from({ length: rounds }, (_, i) => from + Math.sign(to - from) * Math.round((Math.abs(to - from) * (i + 1)) / rounds))
}

function steepness(counts: readonly number[], from: number, stitchCm: number): Finding[] {
  const steps = counts.map((count, i) => ({ before: i === 0 ? from : counts[i - 1]!, change: count - (i === 0 ? from : counts[i - 1]!) })).filter(({ change }) => change !== 0)
  const least = Math.min(...steps.map(({ before, change }) => before / Math.abs(change)))
  if (steps.length === 0 || least >= STITCHES_A_CHANGE) return []
  const wanted = Math.ceil((Math.abs(counts.at(-1)! - from) * STITCHES_A_CHANGE) / Math.min(from, counts.at(-1)!))
  return [{
    code: 'taper-steep', weight: 'caution',
    what: `This ${counts.at(-1)! < from ? 'draws in' : 'opens out'} by one stitch in ${least.toFixed(1)} a round; more than about one in ${STITCHES_A_CHANGE} ${counts.at(-1)! < from ? 'puckers' : 'ripples'} (from memory). Give it ${wanted} rounds, about ${tape(wanted * stitchCm)}.`,
    fix: { label: `Give it ${wanted} rounds`, changes: [{ path: ['size'], value: { pin: { rounds: wanted, stitches: counts.at(-1)! } } }] },
  }]
}

/** Works a taper: changes spread over the rounds, and over each round, those of every second one between those before. */
export function taper(spec: TaperSpec, edge: Edge, setting: Setting): PartResult {
  const stitch = setting.gauge[spec.stitch]
  const { rounds: count, stitches: to } = 'pin' in spec.size
    ? spec.size.pin
    : {
        rounds: Math.max(1, Math.round(spec.size.want.heightCm / stitch.height.cm)),
        stitches: Math.max(1, Math.round(spec.size.want.aroundCm / stitch.width.cm)),
      }
  const size = { height: times(stitch.height, count), circumference: times(stitch.width, to) }
  if (count > MOST_ROUNDS || count * Math.max(edge.count, to) > MOST_STITCHES) return stopped(edge, size, { code: 'band-too-tall', weight: 'stop', what: `This taper would take ${count} rounds. Ask for a lower one, or check the swatch.` })
  const counts = taperCounts(edge.count, to, count)
  const abrupt = counts.findIndex((after, i) => Math.abs(after - (counts[i - 1] ?? edge.count)) > mostChange(counts[i - 1] ?? edge.count, after - (counts[i - 1] ?? edge.count)))
  if (abrupt >= 0) return stopped(edge, size, { code: 'taper-impossible', weight: 'stop', what: `From ${edge.count} to ${to} stitches is too much for ${count} ${count === 1 ? 'round' : 'rounds'}: round ${abrupt + 1} of the taper would have to more than double or halve. Make it taller, or the change smaller.` })
  let changing = 0
  const { rounds, edge: top, stop } = workUp(edge, count, setting, (i, on) => {
    const change = counts[i]! - on.count
    const halfGapFirst = change !== 0 && changing++ % 2 === 1
    return inStyle(setting.rounds, setting.turns + i, spec.stitch, colourAt({ ...spec, size: { pin: { rounds: 1 } } }, i), changeEvenly(on.count, change, spec.stitch, { mirrored: spec.mirrored, halfGapFirst }))
  })
  return { rounds, edge: top, size, arounds: counts.map(n => n * stitch.width.cm), findings: stop ? [stop] : steepness(counts, edge.count, stitch.height.cm) }
}
