import { between, choice, count } from '../field/questions'
import type { Fix } from '../part/finding'
import { type Free, leastRows } from './strip'
import { FOOT_CM, WIDE_CM } from './onRim'
import { underInstead } from './strapLength'

/*
 * Common to straps that grow from the rim: their feet, how they are joined, what is said of it.
 */

/** How the end of a strap that grew from the rim is joined: sewn, or by slip stitches through both. */
export const JOIN = choice(
  'Joined by',
  [
    { value: 'sewn', name: 'sewing', does: 'Stitch by stitch, there and back: flat.' },
    { value: 'slip', name: '{slst} through both', does: 'Quicker; leaves a ridge.' },
  ],
  { begins: 'sewn' },
)
type StrapJoin = 'sewn' | 'slip'

/** Stitches of the rim that each end holds, and stitches across between. */
export const FEET = {
  foot: count('Stitches of a foot', between(2, 60), {
    begins: 7, beside: true, usually: between(2, 12), says: 'Stitches of the rim that each end holds.',
  }),
  wide: count('Stitches across', between(2, 60), { begins: 7, beside: true, usually: between(2, 12) }),
  footCm: FOOT_CM, wideCm: WIDE_CM,
} as const

/** Sewing, in words: there, and back through the same holes. */
export function sewingWords(join: StrapJoin, foot: number): string {
  return join === 'sewn'
    ? `Sew the last row to the ${foot} marked stitches, stitch by stitch: whip stitch there, and back again through the same holes.`
    : `Hold the last row to the ${foot} marked stitches and join them with {slst} through both, one for one; it is quicker than sewing `
      + 'and leaves a ridge.'
}

export const NO_TWIST
  = 'Lay the strap over without a twist before you join it: run a finger along one edge from foot to foot; it must stay the same edge.'

/** Which of a strap's faces is seen, said where it begins. */
export function leadWords(at: string, foot: number): string {
  return (
    `Right side facing, join the yarn in the first of the ${foot} stitches marked (${at} of the last round). The first row faces `
    + `as the bag does: the strap's right side is the bag's.`
  )
}

/** A strap from the rim cannot have fewer rows than it takes to draw in and open out again. */
export function longEnough(free: Free, foot: number, wide: number, stepCm: number): Free {
  const count = Math.max(free.count, leastRows(foot, wide))
  return { count, lengthCm: count * stepCm }
}

/** Ways to make a strap from the rim bear more: wider, on feet as wide. */
export function widerOnFeet({ foot, colour }: { readonly foot: number, readonly colour: string }, strands: number | undefined): Fix[] {
  const wider: Fix[]
    = strands === undefined
      ? []
      : [
          {
            label: `${strands} stitches wide, on feet as wide`,
            changes: [
              { path: ['wide'], value: strands },
              { path: ['foot'], value: Math.max(strands, foot) },
            ],
          },
        ]
  return [...wider, underInstead(colour)]
}
