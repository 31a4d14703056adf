import type { CircleSpec } from '../../parts/base/circle'
import type { SolidSpec } from '../../parts/band/solid'
import type { Design, DesignGauge } from './design'
import { DESIGN_VERSION } from './versions'

/**
 * The gauge a bag starts with before anybody has made a swatch: firm single crochet in a light cotton.
 * From memory, and marked as assumed so that every size says so.
 */
export const ASSUMED_GAUGE: DesignGauge = {
  hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 22, overCm: 10 } }, assumed: true,
}

/** A new bag: a small round pouch, which asks for nothing before it can be drawn. */
export function newDesign(
  name: string,
): Design & { readonly base: CircleSpec, readonly wall: readonly (SolidSpec & { readonly id: string })[] } {
  return {
    fairHollow: 'design', version: DESIGN_VERSION, name, note: '', hands: 'right', units: 'cm', gauge: ASSUMED_GAUGE,
    yarns: [{ id: 'main', name: 'undyed cotton, DK', colour: '#dccba6' }], rounds: { style: 'joined', startingChainCounts: false },
    base: {
      form: 'circle', stitch: 'sc', increases: 'by-gauge', noneFlat: 'more', size: { want: { diameterCm: 12 } }, start: 'ring',
      placing: 'stacked', increaseAt: 'last', colour: 'main',
    },
    turnUp: 'back-and-third-loop',
    wall: [{ id: 'part-1', kind: 'solid', stitch: 'sc', size: { want: { heightCm: 14 } }, colour: 'main' }], repeats: [],
  }
}
