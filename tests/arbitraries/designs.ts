import fc from 'fast-check'
import type { Contents } from '../../core/parts/contents/contents'
import type { Design } from '../../core/bag/design/design'
import { DESIGN_VERSION } from '../../core/bag/design/versions'
import { STRETCH_FIELDS } from '../../core/bag/design/bagFields'
import { DESIGN_FIELDS } from '../../core/bag/design/fields'
import { stacked } from '../../core/bag/design/partIds'
import type { KindsField } from '../../core/parts/field/field'
import { wallKinds, type WallSpec } from '../../core/parts/wall/wall'
import { anyAnswer, anyKind, anyOf } from './fromFields'

const colour = fc.integer({ min: 0, max: 0xffffff }).map(n => `#${n.toString(16).padStart(6, '0')}`)

/** A base of any form. */
export const anyBase = anyKind(DESIGN_FIELDS.base)

/** Things to carry, weighed or not. */
export const anyContents = anyAnswer(DESIGN_FIELDS.contents) as fc.Arbitrary<Contents>

const inGroup = (...groups: string[]) => {
  const bands = wallKinds()
    .filter(({ group }) => groups.includes(group))
    .map(({ kind }) => kind)
  return anyKind(DESIGN_FIELDS.wall as KindsField, value => bands.includes(value))
}

const ofBand = (...bands: string[]) => anyKind(DESIGN_FIELDS.wall as KindsField, value => bands.includes(value))

/** Slots and chain straps. */
export const anySlots = ofBand('slots', 'chain-straps')

/** Straps and closures: what is placed on the rim and works no round of it. */
export const anyFitted = fc.oneof(
  ofBand(
    ...wallKinds()
      .filter(({ kind: band, group }) => group === 'Handles' && !['slots', 'chain-straps'].includes(band))
      .map(({ kind }) => kind),
  ),
  inGroup('Closures'),
)

/** A net of loops, a casing. */
export const anyLoops = ofBand('loops')
export const anyEyelets = ofBand('eyelets')

/** A part of a wall of any kind: fabric most often, as in real bags. */
export const anyWallPart = fc.oneof(
  { weight: 4, arbitrary: ofBand('solid', 'ridges') },
  { weight: 6, arbitrary: inGroup('Fabric', 'Mesh') },
  { weight: 4, arbitrary: inGroup('Mouth and edge') },
  { weight: 4, arbitrary: anySlots },
  { weight: 4, arbitrary: anyFitted },
  { weight: 3, arbitrary: inGroup('Shaping') },
) as fc.Arbitrary<WallSpec>

/** Repeats of a maker's own. */
export const REPEATS = [
  { id: 'nubs', name: 'nubs', lines: ['sc in next, (sc, ch 1, sc) in next, sk next 2 sts', 'sc in next 2, sk next ch-sp, 2 sc in next'] },
  { id: 'slants', name: 'slants', lines: ['once: sc in next 2', 'sk next st, dc in next, dc in same st'] },
  { id: 'rounds', name: 'rounds', lines: ['*hdc in next st; rep from * around', '*sc in next st; rep from * around'] },
] as const

/** A strip that did not get shorter under its weight. */
const anyStretch = anyOf(STRETCH_FIELDS).map(strip => ({ ...strip, afterCm: Math.max(strip.beforeCm as number, strip.afterCm as number) }))

/** A gauge in which single crochet was counted, and other stitches perhaps. */
const anyGauge = anyOf(DESIGN_FIELDS.gauge.fields).chain(gauge =>
  anyAnswer(DESIGN_FIELDS.gauge.fields.measured.fields.sc!).map(sc => ({
    ...gauge,
    measured: { ...(gauge.measured as object), sc },
  })),
)

/** Any design that a maker could have, of a size that a test can afford. */
export const anyDesign: fc.Arbitrary<Design> = anyOf({ ...DESIGN_FIELDS, wall: { ...DESIGN_FIELDS.wall, optional: true } } as never).chain(
  answers =>
    fc
      .record({
        fairHollow: fc.constant('design'), version: fc.constant(DESIGN_VERSION), gauge: anyGauge,
        yarns: fc.tuple(colour, colour).map(([a, b]) => [
          { id: 'main', name: 'undyed cotton', colour: a },
          { id: 'moss', name: 'moss green cotton', colour: b },
        ]),
        wall: fc.array(anyWallPart, { maxLength: 4 }).map(stacked), repeats: fc.constant(REPEATS),
        stretch: fc.option(anyStretch, { nil: undefined }),
      })
      .map(known => JSON.parse(JSON.stringify({ ...answers, ...known })) as Design),
) as fc.Arbitrary<Design>

/** Fixed, so that a failure can be run again. */
export const SEED = { seed: 20261124 }
