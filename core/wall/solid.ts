import { times } from '../measure/length'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type Setting, type Size, stopped, workUp } from '../part/part'
import type { Edge } from '../round/edge'
import { each } from '../round/step'
import { inStyle } from '../round/style'

export const SOLID_STITCHES = ['sc', 'hdc', 'dc'] as const

/** A band of one stitch, round upon round: any count in, the same count out (handbook 7). */
export interface SolidSpec {
  readonly band: 'solid'
  readonly stitch: (typeof SOLID_STITCHES)[number]
  readonly size: Size<{ readonly heightCm: number }, { readonly rounds: number }>
  readonly colour: string
}

/** The rounds whose height comes nearest to a wanted one; at least one. */
export function roundsForHeight(heightCm: number, roundCm: number): number {
  return Math.max(1, Math.round(heightCm / roundCm))
}

/** Works a plain band: a stitch in every place of the edge, spaces included. */
export function solid(spec: SolidSpec, edge: Edge, setting: Setting): PartResult {
  const stitch = setting.gauge[spec.stitch]
  const count = 'pin' in spec.size ? spec.size.pin.rounds : roundsForHeight(spec.size.want.heightCm, stitch.height.cm)
  const size = { height: times(stitch.height, count), circumference: times(stitch.width, edge.count) }
  if (count > MOST_ROUNDS || count * edge.count > MOST_STITCHES) {
    return stopped(edge, size, {
      code: 'band-too-tall', weight: 'stop',
      what: `This band would take ${count.toLocaleString('en')} rounds of ${edge.count.toLocaleString('en')} stitches. Ask for a lower band, or check the swatch.`,
    })
  }
  const { rounds, edge: top, stop } = workUp(edge, count, setting, (i, on) =>
    inStyle(setting.rounds, setting.turns + i, spec.stitch, spec.colour, [each(spec.stitch, on.count)]))
  return { rounds, edge: top, size, findings: stop ? [stop] : [] }
}
