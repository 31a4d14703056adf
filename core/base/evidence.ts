import { type Evidence, perStitch } from '../gauge/refine'
import type { BaseSpec } from './base'
import { flatness } from './flatness'
import type { Setting } from '../part/part'
import { discIncreases } from './schools'

/** What a maker's tape said of the finished base. */
export interface MeasuredBase {
  /** Its length; its diameter if it is round, its flat width if it has no floor. */
  readonly lengthCm: number
  /** Its width, where it has one of its own. */
  readonly widthCm?: number
  /** The rounds and the stitches at the edge of the base that was measured: another base is not this one. */
  readonly rounds: number
  readonly stitches: number
}

/**
 * What a finished base says of its stitches. A disc tells their height (its rounds reach its radius), or, where it has
 * too little edge and stands as a dish, their width; an oval and a rectangle tell both; a bag without a floor its width.
 *
 * @returns nothing for a base whose counts are not pinned, since they would move with the gauge, or one that was bought
 */
export function evidenceOf(spec: BaseSpec, measured: Pick<MeasuredBase, 'lengthCm' | 'widthCm'>, setting: Setting): Evidence | undefined {
  if (!('size' in spec) || !('pin' in spec.size)) return undefined
  const kind = spec.stitch
  const stitch = setting.gauge[kind]
  const { lengthCm, widthCm } = measured
  switch (spec.form) {
    case 'circle':
    case 'double-disc': {
      const { rounds } = spec.size.pin
      const increases = discIncreases(spec, setting.gauge)!
      return flatness(increases, stitch).ratio < 1
        ? { kind, width: perStitch(Math.PI * lengthCm, increases * rounds) }
        : { kind, height: perStitch(lengthCm, 2 * rounds) }
    }
    case 'oval': {
      const { sideStitches, rounds } = spec.size.pin
      const foundation = spec.start === 'foundation-sc' ? 1 : 0
      if (widthCm === undefined || lengthCm <= widthCm) return undefined
      return { kind, width: perStitch(lengthCm - widthCm, sideStitches), height: perStitch(widthCm, 2 * rounds + foundation) }
    }
    case 'rectangle': {
      const { stitches, rows } = spec.size.pin
      return { kind, width: perStitch(lengthCm, stitches), ...(widthCm === undefined ? {} : { height: perStitch(widthCm, rows) }) }
    }
    case 'boat': return { kind, width: perStitch(lengthCm, spec.size.pin.sideStitches + spec.perEnd) }
    case 'tube': return { kind, width: perStitch(2 * lengthCm, spec.size.pin.stitches) }
    case 'folded': return { kind, width: perStitch(lengthCm, spec.size.pin.repeats * spec.repeat + spec.edgeStitches) }
  }
}
