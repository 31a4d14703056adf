import type { Gauge } from '../../things/gauge/gauge'
import type { PartContext } from '../../parts/kind/kind'
import { ownGauge } from '../../parts/wall/wall'
import { fromNothing, type Setting } from '../../parts/part/part'
import type { Rounds } from '../../things/round/style'
import type { Design } from './design'

/** Contexts of a design's parts, for questions. */
export function contextsIn({ repeats, gauge: { hookMm, strands } }: Pick<Design, 'repeats' | 'gauge'>, gauge: Gauge): PartContext {
  return { gauge, repeats, hook: { hookMm, strands } }
}

/** Setting of a design's base: its rounds go as the bag's do, or in a way of their own. */
export function baseSetting(design: Pick<Design, 'rounds' | 'base' | 'repeats' | 'gauge'>, gauge: Gauge): Setting {
  const { rounds, base, repeats } = design
  return fromNothing(ownGauge(base, contextsIn(design, gauge)), roundsOf(base, rounds), repeats)
}

/** How the rounds of a part go: as the bag's do, or in a way of their own. */
export function roundsOf(spec: object, rounds: Rounds): Rounds {
  return (spec as { readonly goes?: Rounds }).goes ?? rounds
}
