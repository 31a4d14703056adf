import fc from 'fast-check'
import type { Design } from '../../core/design/design'

const colour = fc.integer({ min: 0, max: 0xffffff }).map(n => `#${n.toString(16).padStart(6, '0')}`)

const measured = fc.record({
  stitches: fc.integer({ min: 5, max: 60 }), rounds: fc.integer({ min: 4, max: 70 }), overCm: fc.integer({ min: 5, max: 20 }),
})

const kinds = fc.record({ sc: measured, hdc: measured, dc: measured, tr: measured }, { requiredKeys: ['sc'] })

const stitch = fc.constantFrom('sc', 'hdc', 'dc')

const band = fc.record({
  band: fc.constant('solid'),
  stitch,
  size: fc.oneof(
    fc.record({ want: fc.record({ heightCm: fc.double({ min: 0.2, max: 40, noNaN: true }) }) }),
    fc.record({ pin: fc.record({ rounds: fc.integer({ min: 1, max: 30 }) }) }),
  ),
  colour: fc.constantFrom('main', 'moss'),
})

/** Any design that a maker could have, of a size that a test can afford. */
export const anyDesign: fc.Arbitrary<Design> = fc.record({
  fairHollow: fc.constant('design'),
  version: fc.constant(1),
  name: fc.string({ minLength: 1, maxLength: 30 }),
  note: fc.string({ maxLength: 60 }),
  hands: fc.constantFrom('right', 'left'),
  units: fc.constantFrom('cm', 'in'),
  gauge: fc.record({
    hookMm: fc.constantFrom(2.5, 3.5, 5, 8), strands: fc.integer({ min: 1, max: 4 }), measured: kinds,
    worked: fc.constantFrom('turned', 'unturned'), assumed: fc.boolean(),
  }, { requiredKeys: ['hookMm', 'strands', 'measured'] }),
  yarns: fc.tuple(colour, colour).map(([a, b]) => [{ id: 'main', name: 'undyed cotton', colour: a }, { id: 'moss', name: 'moss green cotton', colour: b }]),
  rounds: fc.record({ style: fc.constantFrom('spiral', 'joined', 'turned'), startingChainCounts: fc.boolean() }),
  base: fc.record({
    form: fc.constant('circle'),
    stitch,
    increases: fc.oneof(fc.constant('by-gauge'), fc.integer({ min: 3, max: 20 })),
    size: fc.oneof(
      fc.record({ want: fc.record({ diameterCm: fc.double({ min: 1, max: 40, noNaN: true }) }) }),
      fc.record({ pin: fc.record({ rounds: fc.integer({ min: 1, max: 25 }) }) }),
    ),
    start: fc.constantFrom('ring', 'chain-ring', 'chain'),
    placing: fc.constantFrom('stacked', 'staggered'),
    increaseAt: fc.constantFrom('first', 'last'),
    colour: fc.constantFrom('main', 'moss'),
  }),
  turnUp: fc.constantFrom('plain', 'back-and-third-loop'),
  wall: fc.array(band, { maxLength: 4 }),
}) as fc.Arbitrary<Design>

/** Fixed, so that a failure can be run again. */
export const SEED = { seed: 20261124 }
