import type { Design } from '../../design/design'
import { roundsOf, contextsIn } from '../../design/partContexts'
import type { Gauge, StitchSize } from '../../../things/gauge/gauge'
import type { Hook } from '../../../things/gauge/onHook'
import { unevenly } from '../../../things/gauge/uneven'
import type { Length } from '../../../things/measure/length'
import type { PartResult } from '../../../parts/part/part'
import type { Rounds } from '../../../things/round/style'
import { mainStitch, ownGauge } from '../../../parts/wall/wall'
import type { PartSource } from './draftPart'

/*
 * Yarn, hook and way of working of a part: as the bag says, or as it says itself. The turn-up is the first round of the wall,
 * and goes as that does.
 */

/** The part whose answers say how a part is worked: of the turn-up the one that stands on it. */
function specOf(from: PartSource, { wall }: Design): object {
  return from.in === 'turnUp' ? (wall[0] ?? {}) : from.spec
}

/** The gauge that a part is worked in. */
export function gaugeOfPart(from: PartSource, design: Design, gauge: Gauge): Gauge {
  return ownGauge(specOf(from, design), contextsIn(design, gauge))
}

/** The stitch that a part is mostly worked in, in its own gauge; of the turn-up that of what stands on it. */
function stitchOfPart(from: PartSource, design: Design, gauge: Gauge): StitchSize {
  const above = from.in === 'wall' ? from.spec : from.in === 'turnUp' ? design.wall[0] : undefined
  const kind = above ? mainStitch(above, contextsIn(design, gauge)) : design.base.stitch
  return gaugeOfPart(from, design, gauge)[kind]
}

/** A part's size as sure as its own stitches and those of the swatch are even, besides what the gauge is good to. */
export function unevenPart<R extends PartResult>(result: R, from: PartSource, design: Design, gauge: Gauge): R {
  const { width, height, counted } = stitchOfPart(from, design, gauge)
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
  return roundsOf(specOf(from, design), design.rounds)
}

/** The hook and strands that a part is worked with. */
export function hookOfPart(from: PartSource, design: Design): Hook {
  const { hookMm, strands } = design.gauge
  return (specOf(from, design) as { readonly hook?: Hook }).hook ?? { hookMm, strands }
}
