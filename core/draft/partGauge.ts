import type { Design } from '../design/design'
import { roundsOf, seenIn } from '../design/seen'
import type { Gauge } from '../gauge/gauge'
import type { Hook } from '../gauge/onHook'
import type { Rounds } from '../round/style'
import { ownGauge } from '../wall/wall'
import type { Drafted } from './part'

/*
 * What a part is worked with, and how its rounds go: as the bag says, or as it says itself. The turn-up is the first round of the wall,
 * and goes as that does.
 */

/** What says how a part is worked: of the turn-up what stands on it. */
function specOf(from: Drafted, { wall }: Design): object {
  return from.in === 'turnUp' ? (wall[0] ?? {}) : from.spec
}

/** The gauge that a part is worked in. */
export function gaugeOfPart(from: Drafted, design: Design, gauge: Gauge): Gauge {
  return ownGauge(specOf(from, design), seenIn(design, gauge))
}

/** How the rounds of a part go. */
export function roundsOfPart(from: Drafted, design: Design): Rounds {
  return roundsOf(specOf(from, design), design.rounds)
}

/** The hook and strands that a part is worked with. */
export function hookOfPart(from: Drafted, design: Design): Hook {
  const { hookMm, strands } = design.gauge
  return (specOf(from, design) as { readonly hook?: Hook }).hook ?? { hookMm, strands }
}
