import type { CardId } from '../../things/entry/cards'
import { between, choice, count, optional } from '../field/questions'
import { EDGED } from '../flat/edging'
import { bandsField } from '../flat/kinds'
import { labelFrom } from '../field/field'
import { WIDE_CM } from './onRim'
import { runsAcross } from './strip'

/*
 * Common to straps worked on their own.
 */

const workedOf = (spec: object): string => (spec as { worked: string }).worked

/** How a strip is worked, and how wide it is. */
export const STRIP = {
  worked: choice(
    'The strap is worked',
    [
      { value: 'along', name: 'along its length', does: 'A long chain and a few long rows: gives least.' },
      { value: 'bumps', name: 'along, into back bumps', does: 'The first row in the bumps of the chain: both edges alike.' },
      { value: 'across', name: 'across, in short rows', does: 'Easy to lengthen; its edges are row ends, and it gives more.' },
      {
        value: 'bands', name: 'across, in a texture',
        does: 'Bands of any stitches, one upon the other; the last one goes on until the strap is long enough.',
      },
    ],
    { begins: 'along' },
  ),
  wide: count(
    labelFrom(spec => (runsAcross(spec) ? 'Stitches across' : 'Rows side by side')),
    between(1, 60),
    { begins: 6, beside: true, usually: between(1, 12) },
  ),
  wideCm: WIDE_CM,
  bands: optional({
    ...bandsField('Its bands', 'The bands of a strap in a texture, from its first row on.'),
    when: (spec: object) => workedOf(spec) === 'bands',
  }),
  edged: EDGED,
} as const

/** Stitches side by side across a strip. */
export function strandsOf(spec: { readonly worked: string }): 'stitches' | 'rows' {
  return runsAcross(spec) ? 'stitches' : 'rows'
}

/** Ways to sew a strap's feet on. A further one is a further row. */
const SEWING = [
  { value: 'back', name: 'back stitch', does: 'Firm, and lies flat.', card: 'backStitch', by: 'with back stitch' },
  { value: 'whip', name: 'whip stitch', does: 'Over the edge: quick, and easy to undo.', card: 'whipSeam',
    by: 'with whip stitch, there and back through the same holes' },
  { value: 'slip', name: '{slst} through both', does: 'With the hook, from the right side: a line of chain shows.', card: 'slipSeam',
    by: 'with {slst} through strap and bag' },
] as const satisfies readonly { value: string, name: string, does: string, card: CardId, by: string }[]

/** Asks what a strap's feet are sewn on by. */
export const SEWN_BY = optional(choice('Sewn on by', SEWING))

/** A way of sewing in words, and the entry that explains it. */
export function sewnBy(way: (typeof SEWING)[number]['value'] = 'back'): { readonly by: string, readonly card: CardId } {
  return SEWING.find(({ value }) => value === way)!
}

/** Lines of stitching there and back, one inside the other. */
export const SEWN_WITH = choice(
  'Sewn with',
  [
    { value: 2, name: 'two lines', does: 'There and back, one inside the other.' },
    { value: 1, name: 'one line' },
  ],
  { begins: 2, when: (spec: object) => ((spec as { readonly sewn?: string }).sewn ?? 'back') === 'back' },
)

export const LINES = { 1: 'one line of back stitch', 2: 'two lines of back stitch, one inside the other' } as const
