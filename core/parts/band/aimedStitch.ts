import type { StitchStep } from '../../things/round/step'
import type { FabricKind } from '../../things/stitch/dictionary'

/** One stitch into another place than the next stitch's top: a gap, or something a round further down. */
export function aimed(kind: FabricKind, aim: 'gap' | 'gapBelow' | 'below'): StitchStep {
  return { do: 'stitch', kind, times: 1, aim }
}
