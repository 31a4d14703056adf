import { between, choice, count, length, optional, pin, want, ways } from '../field/questions'
import { DIAMETER_CM, HEIGHT_CM, PINNED_ROUNDS } from '../field/bounds'
import { labelFrom } from '../field/field'
import { tenths } from '../field/context'
import { bandsField } from '../flat/kinds'
import { seamChoice } from '../flat/seams'
import { STRIPES } from '../texture/stripes'
import { DECIDES } from './discFields'
import type { FormSpec } from './form'

const isPlain = (spec: object): boolean => (spec as FoldedAnswers).pattern === 'plain'

/** Answers that the questions look at of one another. */
interface FoldedAnswers {
  readonly fold: 'below' | 'side'
  readonly pattern: 'plain' | 'wave' | 'bands'
  readonly repeat: number
  readonly edgeStitches: number
}

export const fields = {
  size: ways('You give', [
    want(
      'a size',
      {
        widthCm: length('Width of the bag', DIAMETER_CM, { usually: between(1, 40) }),
        heightCm: length('Height of the bag', HEIGHT_CM, { usually: between(1, 40) }),
      },
      {
        does: DECIDES.want,
        from: (_, { part }) => ({
          widthCm: tenths(part?.size.floor?.length.cm ?? 20, DIAMETER_CM),
          heightCm: tenths(part?.size.height.cm ?? 20, DIAMETER_CM),
        }),
      },
    ),
    pin(
      'counts',
      {
        repeats: count(
          labelFrom((spec: FoldedAnswers) => (spec.pattern === 'bands' ? 'Stitches of its first row' : 'Repeats')),
          between(1, 600),
          { usually: between(1, 12) },
        ),
        rows: count('Rows', PINNED_ROUNDS, { usually: between(1, 30) }),
      },
      {
        does: DECIDES.pin,
        from: (spec: FoldedAnswers, { part }) => ({
          repeats: Math.max(1, repeatsNow(spec, part?.rounds[0]?.on.count ?? 30)),
          rows: Math.max(1, part?.rounds.length ?? 1),
        }),
      },
    ),
  ]),
  pattern: choice(
    'Its rows are',
    [
      { value: 'plain', name: 'plain' },
      {
        value: 'wave', name: 'waves',
        does: 'Two plain rows, then two of stitches that grow and fall, the second the other way about. Takes six and one more.',
      },
      {
        value: 'bands', name: 'bands, one upon the other', does: 'Each with its own stitches, height and yarn; the last one goes on until '
          + 'the piece is as tall as asked.',
      },
    ],
    { begins: 'plain' },
  ),
  fold: choice(
    'Folded',
    [
      { value: 'below', name: 'below', does: 'Across its rows: the fold is the bottom, with a seam up each side.' },
      { value: 'side', name: 'at one side', does: 'Along its rows: one seam up the other side, and one along the bottom.' },
    ],
    { begins: 'below' },
  ),
  bands: optional({
    ...bandsField('Its bands', 'The bands of the piece from its first row up; of a piece in bands alone.'),
    when: (spec: object) => (spec as FoldedAnswers).pattern === 'bands',
  }),
  edged: optional(
    count('Rows of {sc} along its sides', between(1, 12), {
      usually: between(1, 3),
      says: 'Rows of an edging along the two sides of the piece, where its rows end, before it is seamed; none if left out.',
    }),
  ),
  seam: seamChoice('Its seams are'),
  repeat: count('Stitches of a repeat', between(1, 60), { begins: 6, usually: between(1, 12), when: isPlain }),
  edgeStitches: count('Stitches besides whole repeats', between(-20, 40), {
    begins: 1, usually: between(-4, 6), when: isPlain, says: 'A row is repeats times repeat, and these; below 0 so many fewer.',
    why: 'Many stitch patterns want a few stitches more than whole repeats, to begin and end a row alike.',
  }),
  stripes: { ...STRIPES, when: (spec: object) => (spec as FoldedAnswers).pattern !== 'bands' },
} as const

/** A flat piece in rows, folded below or at one side, and seamed (craft 5, flat and folded). */
export type FoldedSpec = FormSpec<'folded', typeof fields>

/** The repeats of a row of so many stitches. */
function repeatsNow(spec: FoldedAnswers, stitches: number): number {
  const { repeat, edge } = repeatOf(spec)
  return Math.round((stitches - edge) / repeat)
}

/** Make-up of a row: so many repeats of so many, and so many more. */
export function repeatOf({ pattern, repeat, edgeStitches }: FoldedAnswers): { readonly repeat: number, readonly edge: number } {
  if (pattern === 'bands') return { repeat: 1, edge: 0 }
  return pattern === 'wave' ? { repeat: 6, edge: 1 } : { repeat, edge: edgeStitches }
}
