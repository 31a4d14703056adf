import type { Units } from '../../things/measure/format'
import { SIDE_WORDS } from './facts'
import type { BagFacts } from './bagFacts'

/** A point of what was learnt, bag after bag or along a bag. */
interface Point {
  readonly bag: string
  readonly at: number
  readonly value: number
}

/** A size said, and found. */
interface SizeSaid {
  readonly bag: string
  readonly what: string
  readonly saidCm: number
  readonly plusMinusCm: number
  readonly cm: number
  readonly units: Units
}

/** All bags over time, for charts. */
export interface OverTime {
  /** Seconds a stitch, bag after bag, by stitch and pattern. */
  readonly pace: readonly { readonly key: string, readonly points: readonly Point[] }[]
  /** How much larger than its swatch a stitch came out, along the bag from 0 to 1. */
  readonly along: readonly (Point & { readonly side: 'width' | 'height' })[]
  /** Sizes said and found, in centimetres. */
  readonly sizes: readonly SizeSaid[]
}

/** All bags over time. */
export function overTime(bags: readonly BagFacts[]): OverTime {
  const keys = [...new Set(bags.flatMap(({ pace }) => pace.map(({ key }) => key)))]
  return {
    pace: keys.map(key => ({
      key,
      points: bags.flatMap(({ name, begun, pace }) => pace.filter(one => one.key === key && one.stitches > 0 && one.minutes > 1)
        .map(({ stitches, minutes }) => ({ bag: name, at: begun, value: (60 * minutes) / stitches }))),
    })).filter(({ points }) => points.length > 0),
    along: bags.flatMap(({ name, tension }) => tension.map(({ along, side, cm, swatchCm }) => ({
      bag: name, at: along, side, value: cm / swatchCm,
    }))),
    sizes: bags.flatMap(({ name, units, sizes }) => sizes.map(({ what, part, saidCm, plusMinusCm, cm }) => ({
      bag: name, what: `${part.toLowerCase()} ${SIDE_WORDS[what]}`, saidCm, plusMinusCm, cm, units,
    }))),
  }
}
