import fc from 'fast-check'
import type { Design } from '../../core/bag/design/design'
import { DESIGN_VERSION } from '../../core/bag/design/versions'
import { MOST_BANDS } from '../../core/bag/design/documentFields'
import { DESIGN_FIELDS } from '../../core/bag/design/fields'
import { stacked } from '../../core/bag/design/partIds'
import type { WallSpec } from '../../core/parts/wall/wall'
import type { KindsField } from '../../core/parts/field/field'
import { anyAnswer, anyKind, anyOf, YARN_IDS } from './fromFields'

/*
 * Everything that a document may hold, sensible or not: every kind in any order, numbers to their bounds, repeats that blow up.
 */

const TIMES = fc.constantFrom(1, 2, 3, 8, 40, 400, 999)

const item = fc.oneof(
  TIMES.map(n => `sc in next ${n} sts`), TIMES.map(n => `${n} dc in next st`), TIMES.map(n => `ch ${n}`),
  TIMES.map(n => `sk next ${n} sts`), fc.constantFrom('sc in next', 'dc in next ch-sp', '(dc, ch 2, dc) in next', 'sc2tog'),
  fc.constantFrom('hdc in same st', 'FPdc around next st', 'nonsense', ''),
)

const nested: fc.Arbitrary<string> = fc.letrec<{ line: string }>(tie => ({
  line: fc.oneof(
    { depthSize: 'small' },
    item,
    fc.array(tie('line'), { minLength: 1, maxLength: 3 }).map(all => all.join(', ')),
    fc.tuple(tie('line'), TIMES).map(([inside, n]) => `[${inside}] ${n} times`),
  ),
})).line

const line = fc.tuple(fc.boolean(), nested).map(([once, text]) => `${once ? 'once: ' : ''}${text}`.slice(0, 300))

const REPEAT_IDS = ['nubs', 'slants'] as const

const repeats = fc.tuple(
  fc.array(line, { minLength: 1, maxLength: 6 }),
  fc.array(line, { minLength: 1, maxLength: 4 }),
).map(lines => lines.map((own, i) => ({ id: REPEAT_IDS[i]!, name: 'own', lines: own })))

const wallPart = anyKind(DESIGN_FIELDS.wall as KindsField, () => true, 'legal') as unknown as fc.Arbitrary<WallSpec>

const wall = fc.oneof(
  { weight: 8, arbitrary: fc.array(wallPart, { maxLength: 6 }) },
  { weight: 1, arbitrary: fc.array(wallPart, { minLength: MOST_BANDS, maxLength: MOST_BANDS }) },
  { weight: 1, arbitrary: wallPart.map(part => Array.from({ length: MOST_BANDS }, () => part)) },
)

/** Any design that is taken, however foolish. */
const ANY_WALL = { ...DESIGN_FIELDS, wall: { ...DESIGN_FIELDS.wall, optional: true } }

export const anyLegalDesign: fc.Arbitrary<Design> = anyOf(ANY_WALL as never, 'legal')
  .chain(answers => fc.record({
    fairHollow: fc.constant('design'), version: fc.constant(DESIGN_VERSION), name: fc.constant('Any bag'),
    gauge: fc.oneof(
      { weight: 4, arbitrary: fc.constant({ hookMm: 4, strands: 1, measured: { sc: { stitches: 18, rounds: 20, overCm: 10 } } }) },
      {
        weight: 1,
        arbitrary: anyAnswer(DESIGN_FIELDS.gauge.fields.measured.fields.sc!, 'legal')
          .map(sc => ({ hookMm: 4, strands: 1, measured: { sc } })),
      },
    ),
    yarns: fc.constant(YARN_IDS.map(id => ({ id, name: id, colour: '#7d8f5b' }))), wall: wall.map(stacked), repeats,
    stretch: fc.constant(undefined),
  }).map(known => JSON.parse(JSON.stringify({ ...answers, ...known })) as Design))
