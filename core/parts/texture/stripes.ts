import { between, count, list, optional, yarn } from '../field/questions'

export const MOST_STRIPES = 24

/** Answers of a stripe. */
export const STRIPE = {
  colour: yarn({ beside: true }),
  rounds: count('Rounds', between(1, 200), { beside: true, usually: between(1, 4) }),
} as const

/** One yarn, or several by turns: from the first round up, over and over. */
export const STRIPES = optional(
  list('Stripes', STRIPE, {
    one: 'stripe; leave it out for one yarn', all: 'stripes', least: 1, most: MOST_STRIPES, unasked: true,
    says: 'Stripes from the first round up, over and over; left out, the part is of one yarn.',
  }),
)
