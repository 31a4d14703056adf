import { between, count, length, optional, pin, want, ways } from '../field/questions'
import { tenths } from '../field/context'
import { bandsField } from '../flat/kinds'
import { seamChoice } from '../flat/seams'
import type { PartSpec } from '../kind/kind'

const SIDES = between(2, 400)

interface PanelAnswers {
  readonly sides?: object
}

export const fields = {
  sides: optional(
    ways(
      'At the sides',
      [
        want(
          'panels, by their width',
          { widthCm: length('Width of a side panel', between(1, 60), { usually: between(3, 15) }) },
          {
            does: 'A panel at either side, nearest to so wide that all rows come out.',
            from: (_, { part }) => ({ widthCm: tenths(part?.size.floor?.width.cm ?? 8, between(1, 60)) }),
          },
        ),
        pin(
          'panels of so many stitches',
          { stitches: count('Stitches of a side panel', SIDES, { usually: between(4, 24) }) },
          { from: () => ({ stitches: 12 }) },
        ),
      ],
      { none: { name: 'a seam' } },
    ),
  ),
  bands: bandsField('Front and back', 'The bands of front and back, from the first row up.'),
  sideBands: optional({
    ...bandsField('The side panels', 'The bands of the side panels; the last one goes on until they are as tall as the front.'),
    when: (spec: object) => (spec as PanelAnswers).sides !== undefined,
  }),
  seam: seamChoice('Seamed by'),
} as const

/** Front, back and sides as flat pieces on one edge. */
export type PanelsSpec = PartSpec<'panels', typeof fields>
