import type { Design } from '../../design/design'
import { roundsOf, contextsIn } from '../../design/partContexts'
import type { Gauge } from '../../../things/gauge/gauge'
import type { Hook } from '../../../things/gauge/onHook'
import { unevenly } from '../../../things/gauge/uneven'
import type { Length } from '../../../things/measure/length'
import type { PartResult } from '../../../parts/part/part'
import type { Rounds } from '../../../things/round/style'
import { ownGauge } from '../../../parts/wall/wall'
import type { PartSource } from './draftPart'

/*
 * Yarn, hook and way of working of a part: as the bag says, or as it says itself.
 */

/** The gauge that a part is worked in. */
export function gaugeOfPart(from: PartSource, design: Design, gauge: Gauge): Gauge {
  return ownGauge(from, contextsIn(design, gauge))
}

/** A part's size as sure as its own stitches and those of the swatch are even, besides what the gauge is good to. */
export function unevenPart<R extends PartResult>(result: R, from: PartSource, design: Design, gauge: Gauge): R {
  const { width, height, counted } = gaugeOfPart(from, design, gauge)[from.stitch]
  if (!counted) return result
  const { floor, ...size } = result.size
  const { stitches, rounds } = counted
  const over = (length: Length) => unevenly(length, height.cm, rounds)
  return {
    ...result,
    size: {
      ...size, height: over(size.height), circumference: unevenly(size.circumference, width.cm, stitches),
      ...(floor ? { floor: { ...floor, length: over(floor.length), width: over(floor.width) } } : {}),
    },
  }
}

/** How the rounds of a part go. */
export function roundsOfPart(from: PartSource, design: Design): Rounds {
  return roundsOf(from, design.rounds)
}

/** The hook and strands that a part is worked with. */
export function hookOfPart({ hook }: PartSource, design: Design): Hook {
  const { hookMm, strands } = design.gauge
  return hook ?? { hookMm, strands }
}
