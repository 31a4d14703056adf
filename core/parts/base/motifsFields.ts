import { between, count, length, maybe, pin, want, ways } from '../field/questions'
import { tenths } from '../field/context'
import { seamChoice } from '../flat/seams'
import { motifField } from '../motif/kinds'
import type { FormSpec } from './form'

export const MOUTH_CM = between(2, 200)

export const fields = {
  bands: motifField('Each motif, from its ring outward', 'The rounds of a motif, from its ring outward; two of them are laid together.'),
  open: ways('Left open for the mouth', [
    want(
      'a width',
      { mouthCm: length('Left open, along each motif', MOUTH_CM, { usually: between(8, 50) }) },
      { does: 'Along the edge of each: the mouth goes twice as far round.', from: (_, { part }) => ({
        mouthCm: tenths((part?.size.circumference.cm ?? 40) / 2, MOUTH_CM),
      }) },
    ),
    pin(
      'places',
      { stitches: count('Left open on each motif', between(2, 2000), { usually: between(4, 120) }) },
      { from: (_, { part }) => ({ stitches: Math.max(2, Math.floor((part?.edge.count ?? 40) / 2)) }) },
    ),
  ]),
  straight: maybe(
    'Its mouth is',
    { rows: count('Rows along the mouth', between(1, 12), { begins: 2, usually: between(1, 4) }) },
    {
      without: { name: 'round, as the motif is' },
      having: {
        name: 'drawn straight',
        does: 'Rows over what is left open alone: the first draws so many pairs together that the edge is as long as the mouth is wide.',
      },
      says: 'Partial rows over what each motif leaves open, of which the first draws the mouth straight.', begin: { rows: 2 },
    },
  ),
  seam: seamChoice('Joined by'),
} as const

/** Two flat motifs laid together and joined about, but for the mouth (craft 5, panels). */
export type MotifsSpec = FormSpec<'motifs', typeof fields>
