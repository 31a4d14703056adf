import { between, choice, count } from '../field/ask'
import { told } from '../field/field'

/*
 * What straps worked on their own have in common.
 */

const isAcross = (spec: object): boolean => (spec as { worked: string }).worked === 'across'

/** How a strip is worked, and how wide it is. */
export const STRIP = {
  worked: choice(
    'The strap is worked',
    [
      { value: 'along', name: 'along its length', does: 'A long chain and a few long rows: gives least.' },
      { value: 'bumps', name: 'along, into back bumps', does: 'The first row in the bumps of the chain: both edges alike.' },
      { value: 'across', name: 'across, in short rows', does: 'Easy to lengthen; its edges are row ends, and it gives more.' },
    ],
    { begins: 'along' },
  ),
  wide: count(
    told(spec => (isAcross(spec) ? 'Stitches across' : 'Rows side by side')),
    between(1, 60),
    { begins: 6, usually: between(1, 12) },
  ),
} as const

/** What lies side by side across a strip. */
export function strandsOf({ worked }: { readonly worked: string }): 'stitches' | 'rows' {
  return worked === 'across' ? 'stitches' : 'rows'
}

/** Lines of stitching there and back, one inside the other. */
export const SEWN_WITH = choice(
  'Sewn with',
  [
    { value: 2, name: 'two lines', does: 'There and back, one inside the other.' },
    { value: 1, name: 'one line' },
  ],
  { begins: 2 },
)

export const LINES = { 1: 'one line of back stitch', 2: 'two lines of back stitch, one inside the other' } as const
