import fc from 'fast-check'
import type { Contents } from '../../core/contents/contents'
import type { Design } from '../../core/design/design'

const colour = fc.integer({ min: 0, max: 0xffffff }).map(n => `#${n.toString(16).padStart(6, '0')}`)

const measured = fc.record({
  stitches: fc.integer({ min: 5, max: 60 }), rounds: fc.integer({ min: 4, max: 70 }), overCm: fc.integer({ min: 5, max: 20 }),
})

const kinds = fc.record({ sc: measured, hdc: measured, dc: measured, tr: measured }, { requiredKeys: ['sc'] })

const stitch = fc.constantFrom('sc', 'hdc', 'dc')

const cm = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const wantOrPin = (want: Record<string, fc.Arbitrary<number>>, pin: Record<string, fc.Arbitrary<number>>) =>
  fc.oneof(fc.record({ want: fc.record(want) }), fc.record({ pin: fc.record(pin) }))
const common = { stitch, colour: fc.constantFrom('main', 'moss') }
const growing = { placing: fc.constantFrom('stacked', 'staggered'), increaseAt: fc.constantFrom('first', 'last') }
const disc = {
  ...common, ...growing,
  increases: fc.oneof(fc.constant('by-gauge'), fc.integer({ min: 3, max: 20 })),
  size: fc.oneof(wantOrPin({ diameterCm: cm(1, 40) }, { rounds: fc.integer({ min: 1, max: 25 }) }), fc.record({ want: fc.record({ flatWidthCm: cm(1, 60) }) })),
  start: fc.constantFrom('ring', 'chain-ring', 'chain'),
}

/** A base of any form. */
export const anyBase = fc.oneof(
  fc.record({ form: fc.constantFrom('circle', 'double-disc'), ...disc }),
  fc.record({
    form: fc.constant('oval'), ...common, ...growing,
    perEnd: fc.oneof(fc.constant('by-gauge'), fc.integer({ min: 2, max: 8 })),
    size: wantOrPin({ lengthCm: cm(1, 50), widthCm: cm(1, 30) }, { sideStitches: fc.integer({ min: 1, max: 40 }), rounds: fc.integer({ min: 1, max: 12 }) }),
    start: fc.constantFrom('chain', 'foundation-sc'),
  }),
  fc.record({ form: fc.constant('boat'), ...common, perEnd: fc.integer({ min: 1, max: 6 }), size: wantOrPin({ flatWidthCm: cm(1, 50) }, { sideStitches: fc.integer({ min: 1, max: 60 }) }) }),
  fc.record({
    form: fc.constant('rectangle'), ...common, rowEnds: fc.constantFrom('one-each', 'by-gauge'), corners: fc.constantFrom('none', 'one-extra'),
    size: wantOrPin({ lengthCm: cm(1, 50), widthCm: cm(1, 30) }, { stitches: fc.integer({ min: 2, max: 60 }), rows: fc.integer({ min: 1, max: 20 }) }),
  }),
  fc.record({ form: fc.constant('tube'), ...common, size: wantOrPin({ flatWidthCm: cm(1, 50) }, { stitches: fc.integer({ min: 2, max: 120 }) }) }),
  fc.record({
    form: fc.constant('bought'), ...common, shape: fc.constantFrom('round', 'oblong'), holes: fc.integer({ min: 4, max: 120 }), perHole: fc.integer({ min: 1, max: 3 }),
    doubledHoles: fc.integer({ min: 0, max: 40 }), lengthCm: cm(5, 40), widthCm: cm(5, 40),
  }),
  fc.record({
    form: fc.constant('folded'), ...common, repeat: fc.integer({ min: 1, max: 12 }), edgeStitches: fc.integer({ min: -4, max: 6 }),
    size: wantOrPin({ widthCm: cm(1, 40), heightCm: cm(1, 40) }, { repeats: fc.integer({ min: 1, max: 12 }), rows: fc.integer({ min: 1, max: 30 }) }),
  }),
)

const yarnId = fc.constantFrom('main', 'moss')
const tall = wantOrPin({ heightCm: cm(0.2, 30) }, { rounds: fc.integer({ min: 1, max: 20 }) })
const stripes = fc.array(fc.record({ colour: yarnId, rounds: fc.integer({ min: 1, max: 4 }) }), { minLength: 1, maxLength: 3 })
const banded = { size: tall, colour: yarnId, stripes }
const bandKeys = { requiredKeys: ['band', 'size', 'colour'] as never[] }

const chains = fc.integer({ min: 2, max: 9 })
/** A net of loops. */
export const anyLoops = fc.record({
  band: fc.constant('loops'), skip: fc.integer({ min: 0, max: 3 }), first: chains, ends: fc.constantFrom('closed', 'spiral'), colour: yarnId,
  hold: wantOrPin({ flatWidthCm: cm(5, 60) }, { chains }), last: wantOrPin({ mouthCm: cm(5, 60) }, { chains }), size: wantOrPin({ heightCm: cm(1, 30) }, { rounds: fc.integer({ min: 1, max: 15 }) }),
  motif: fc.record({ between: fc.integer({ min: 1, max: 4 }), stitches: fc.integer({ min: 2, max: 5 }), rows: fc.integer({ min: 1, max: 3 }), every: fc.integer({ min: 1, max: 4 }) }),
  finish: fc.record({ inLoop: fc.integer({ min: 1, max: 5 }), inStitch: fc.integer({ min: 0, max: 2 }) }),
}, { requiredKeys: ['band', 'skip', 'first', 'ends', 'colour', 'hold', 'size'] })

/** A casing, with cords or without. */
export const anyEyelets = fc.record({
  band: fc.constant('eyelets'), eyelets: fc.constantFrom('boxes', 'slits', 'gaps'), between: fc.integer({ min: 1, max: 6 }), chains: fc.integer({ min: 1, max: 4 }), evenOut: fc.boolean(), colour: yarnId,
  cords: fc.record({ number: fc.constantFrom(1, 2), kind: fc.constantFrom('chain', 'slip-stitched', 'doubled', 'bought'), size: wantOrPin({ tailCm: cm(2, 40) }, { lengthCm: fc.integer({ min: 10, max: 200 }) }), opening: fc.boolean(), colour: yarnId }),
}, { requiredKeys: ['band', 'eyelets', 'between', 'chains', 'evenOut', 'colour'] })

const placed = { nudge: fc.integer({ min: -6, max: 6 }), sideAt: fc.integer({ min: 0, max: 80 }), colour: yarnId }
const across = wantOrPin({ widthCm: cm(1, 25) }, { stitches: fc.integer({ min: 1, max: 40 }) })
const long = wantOrPin({ dropCm: cm(1, 40) }, { count: fc.integer({ min: 1, max: 60 }) })
const oneOrTwo = fc.constantFrom(1, 2)
const feet = { foot: fc.integer({ min: 2, max: 12 }), wide: fc.integer({ min: 2, max: 12 }) }
const strip = { worked: fc.constantFrom('across', 'along', 'bumps'), wide: fc.integer({ min: 1, max: 12 }), length: long, lines: oneOrTwo, stitch }
const button = cm(0.5, 5)
/** Where a side was marked anew is left out as often as not. */
const part = (fields: Record<string, fc.Arbitrary<unknown>>) => fc.record(fields, { requiredKeys: Object.keys(fields).filter(key => key !== 'sideAt') as never[] })

/** Slots and chain straps. */
export const anySlots = part({
  band: fc.constantFrom('slots', 'chain-straps'), number: oneOrTwo, width: across, into: fc.constantFrom('chains', 'bumps', 'over'), corners: fc.integer({ min: 0, max: 4 }), rounds: fc.integer({ min: 1, max: 6 }), stitch, ...placed,
  chains: fc.oneof(fc.constant({ want: { hole: true } }), wantOrPin({ dropCm: cm(1, 30) }, { chains: fc.integer({ min: 1, max: 90 }) })),
})

/** Straps and closures: what is placed on the rim and works no round of it. */
export const anyFitted = fc.oneof(
  part({ band: fc.constant('grown-strap'), ...feet, length: long, join: fc.constantFrom('sewn', 'slip'), stitch, ...placed }),
  part({ band: fc.constant('knot-straps'), ...feet, width: across, short: long, long, join: fc.constantFrom('sewn', 'slip'), stitch, ...placed }),
  part({ band: fc.constant('sewn-straps'), ...strip, number: oneOrTwo, inCm: cm(0, 15), overlapCm: cm(0, 8), reinforced: fc.constantFrom('none', 'patch', 'tape'), ...placed }),
  part({ band: fc.constant('under-strap'), ...strip, ...placed }),
  part({ band: fc.constant('cross-body'), cord: fc.constantFrom('chain', 'slip-stitched', 'doubled', 'bought'), length: wantOrPin({ dropCm: cm(1, 80) }, { lengthCm: cm(10, 200) }), ...placed }),
  part({ band: fc.constant('bought-handles'), number: oneOrTwo, holds: fc.constantFrom('rings', 'holes'), lengthCm: cm(3, 80), apartCm: cm(1, 30), foot: fc.integer({ min: 1, max: 6 }), ...placed }),
  fc.record({ band: fc.constant('button-loop'), buttonCm: button, colour: yarnId }),
  fc.record({ band: fc.constant('tab'), stitch, wide: fc.integer({ min: 1, max: 14 }), lengthCm: cm(1, 20), buttonCm: button, colour: yarnId }),
  fc.record({ band: fc.constant('zip'), stitch, facingCm: cm(0.5, 6), colour: yarnId }),
)

/** A part of a wall of any kind. */
export const anyWallPart = fc.oneof(
  { weight: 4, arbitrary: fc.record({ band: fc.constantFrom('solid', 'ridges'), stitch, ...banded }, { requiredKeys: ['band', 'stitch', 'size', 'colour'] }) },
  { weight: 3, arbitrary: fc.record({ band: fc.constantFrom('pairs', 'groups', 'vees', 'waves', 'moss'), ...banded }, bandKeys) },
  fc.record({ band: fc.constant('rib'), stitch: fc.constantFrom('hdc', 'dc'), front: fc.integer({ min: 1, max: 3 }), back: fc.integer({ min: 1, max: 3 }), size: tall, colour: yarnId }),
  fc.record({ band: fc.constant('sprigs'), seamStitch: fc.boolean(), size: tall, colour: yarnId }),
  fc.record({ band: fc.constant('boxes'), chains: fc.integer({ min: 1, max: 4 }), finish: fc.boolean(), size: tall, colour: yarnId }),
  { weight: 2, arbitrary: anyLoops },
  { weight: 2, arbitrary: anyEyelets },
  { weight: 4, arbitrary: anySlots },
  { weight: 4, arbitrary: anyFitted },
  fc.record({ band: fc.constant('ruffle'), stitch, inEach: fc.integer({ min: 1, max: 5 }), every: fc.integer({ min: 0, max: 5 }), colour: yarnId }),
  fc.record({ band: fc.constant('picots'), chains: fc.integer({ min: 2, max: 5 }), between: fc.integer({ min: 1, max: 4 }), colour: yarnId }),
  fc.record({ band: fc.constant('shells'), stitches: fc.integer({ min: 3, max: 7 }), colour: yarnId }),
  fc.record({ band: fc.constant('rim'), rim: fc.constantFrom('slip', 'reverse'), colour: yarnId }),
  fc.record({ band: fc.constant('own'), repeat: fc.constantFrom('nubs', 'slants'), size: tall, colour: yarnId }),
  fc.record({ band: fc.constant('adjust'), stitch, mirrored: fc.boolean(), colour: yarnId, to: fc.oneof(
    { weight: 3, arbitrary: fc.constant({ want: { divides: true } }) },
    { weight: 1, arbitrary: fc.record({ pin: fc.record({ stitches: fc.integer({ min: 3, max: 200 }) }) }) },
    { weight: 1, arbitrary: fc.record({ pin: fc.record({ change: fc.integer({ min: -12, max: 12 }) }) }) },
  ) }),
  fc.record({ band: fc.constant('taper'), stitch, mirrored: fc.boolean(), colour: yarnId, stripes, size: fc.oneof(
    fc.record({ want: fc.record({ heightCm: cm(0.5, 25), aroundCm: cm(5, 120) }) }),
    fc.record({ pin: fc.record({ rounds: fc.integer({ min: 1, max: 20 }), stitches: fc.integer({ min: 3, max: 150 }) }) }),
  ) }, { requiredKeys: ['band', 'stitch', 'mirrored', 'colour', 'size'] }),
)

/** Repeats of a maker's own. */
export const REPEATS = [
  { id: 'nubs', name: 'nubs', lines: ['sc in next, (sc, ch 1, sc) in next, sk next 2 sts', 'sc in next 2, sk next ch-sp, 2 sc in next'] },
  { id: 'slants', name: 'slants', lines: ['once: sc in next 2', 'sk next st, dc in next, dc in same st'] },
] as const

const weighed = { weightKg: cm(0.1, 12) }
/** Things to carry, weighed or not. */
export const anyContents = fc.oneof(
  fc.record({ kind: fc.constantFrom('box', 'cloth'), lengthCm: cm(1, 60), widthCm: cm(1, 60), heightCm: cm(1, 60), ...weighed }, { requiredKeys: ['kind', 'lengthCm', 'widthCm', 'heightCm'] }),
  fc.record({ kind: fc.constant('bottle'), acrossCm: cm(1, 30), heightCm: cm(1, 50), ...weighed }, { requiredKeys: ['kind', 'acrossCm', 'heightCm'] }),
  fc.record({ kind: fc.constant('balls'), count: fc.integer({ min: 1, max: 40 }), acrossCm: cm(1, 20), ...weighed }, { requiredKeys: ['kind', 'count', 'acrossCm'] }),
) as fc.Arbitrary<Contents>

/** Any design that a maker could have, of a size that a test can afford. */
export const anyDesign: fc.Arbitrary<Design> = fc.record({
  fairHollow: fc.constant('design'),
  version: fc.constant(1),
  name: fc.string({ minLength: 1, maxLength: 30 }),
  note: fc.string({ maxLength: 60 }),
  hands: fc.constantFrom('right', 'left'),
  units: fc.constantFrom('cm', 'in'),
  gauge: fc.record({
    hookMm: fc.constantFrom(2.5, 3.5, 5, 8), strands: fc.integer({ min: 1, max: 4 }), measured: kinds, chain: fc.record({ chains: fc.integer({ min: 5, max: 40 }), overCm: fc.integer({ min: 5, max: 20 }) }),
    worked: fc.constantFrom('turned', 'unturned'), assumed: fc.boolean(),
  }, { requiredKeys: ['hookMm', 'strands', 'measured'] }),
  yarns: fc.tuple(colour, colour).map(([a, b]) => [{ id: 'main', name: 'undyed cotton', colour: a }, { id: 'moss', name: 'moss green cotton', colour: b }]),
  rounds: fc.record({ style: fc.constantFrom('spiral', 'joined', 'turned'), startingChainCounts: fc.boolean(), leanPerTen: cm(-6, 6) }, { requiredKeys: ['style', 'startingChainCounts'] }),
  contents: anyContents,
  base: anyBase,
  measuredBase: fc.record({ lengthCm: cm(5, 60), widthCm: cm(1, 30), rounds: fc.integer({ min: 1, max: 20 }), stitches: fc.integer({ min: 1, max: 120 }) }, { requiredKeys: ['lengthCm', 'rounds', 'stitches'] }),
  turnUp: fc.constantFrom('plain', 'back-loop', 'back-and-third-loop', 'post'),
  wall: fc.array(anyWallPart, { maxLength: 4 }),
  repeats: fc.constant(REPEATS),
  mouth: fc.record({ divides: fc.integer({ min: 1, max: 12 }) }),
  stretch: fc.record({ beforeCm: cm(5, 40), longerCm: cm(0, 10), kg: cm(0.1, 5), widthCm: cm(1, 8) }).map(({ beforeCm, longerCm, kg, widthCm }) => ({ beforeCm, afterCm: beforeCm + longerCm, kg, widthCm })),
  lining: fc.record({ seamCm: cm(0.5, 5) }),
  forChild: fc.boolean(),
}, { noNullPrototype: true, requiredKeys: ['fairHollow', 'version', 'name', 'note', 'hands', 'units', 'gauge', 'yarns', 'rounds', 'base', 'turnUp', 'wall', 'repeats'] }) as fc.Arbitrary<Design>

/** Fixed, so that a failure can be run again. */
export const SEED = { seed: 20261124 }
