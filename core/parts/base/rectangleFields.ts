import { between, choice, count, optional, pin, ways } from '../field/questions'
import { PINNED_ROUNDS } from '../field/bounds'
import { DECIDES } from './discFields'
import type { FormSpec } from './form'
import { firstStitches } from './inStitches'
import { FLAT_AND_WIDE } from './lyingFlat'
import { LENGTH_AND_WIDTH } from './ovalSpec'

export const fields = {
  size: ways('You give', [
    LENGTH_AND_WIDTH,
    FLAT_AND_WIDE,
    pin(
      'counts',
      {
        stitches: count('Stitches a row', between(2, 1200), { usually: between(2, 60) }),
        rows: count('Rows', PINNED_ROUNDS, { usually: between(1, 20) }),
      },
      {
        does: DECIDES.pin,
        from: (_, { part }) => ({
          stitches: part?.rounds[0]?.edge.count ?? 2,
          rows: Math.max(1, Math.max(1, part?.rounds.length ?? 1) - 1),
        }),
      },
    ),
  ]),
  rowEnds: choice(
    'Along the row ends',
    [
      { value: 'one-each', name: 'one in each row', does: 'Usual in {sc.name}, whose rows are about as tall as stitches are wide.' },
      { value: 'by-gauge', name: 'by gauge', does: 'As many as the sides are long in your gauge, spread evenly.' },
    ],
    { begins: 'by-gauge' },
  ),
  corners: choice(
    'At each corner',
    [
      { value: 'none', name: 'none extra', does: 'The edge turns up at once, into box corners.' },
      { value: 'one-extra', name: 'one extra', does: 'The floor stays flat to its very edge.' },
    ],
    { begins: 'none' },
  ),
  firstStitches: firstStitches('First rows in other stitches', 'rows', {}),
  firstSide: optional(
    choice(
      'The round about it begins along',
      [
        { value: 'last-row', name: 'the last row' }, { value: 'row-ends', name: 'the row ends after it' },
        { value: 'underside', name: 'the first row\'s underside' }, { value: 'far-ends', name: 'the other row ends' },
      ],
      { says: 'The side of the rows that the round about them begins along; the last row if left out.' },
    ),
  ),
} as const

/** A rectangular floor: rows to and fro, then one round about it (craft 5, rectangle). */
export type RectangleSpec = FormSpec<'rectangle', typeof fields>
