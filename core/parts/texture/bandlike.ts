import type { Size } from '../part/part'

/** A stripe: so many rounds of a yarn. */
export interface Stripe {
  readonly colour: string
  readonly rounds: number
}

/** Fields of every band: how tall it is, and in which yarn; or in which stripes, from its first round up, over and over. */
export interface Bandlike {
  readonly size: Size<{ readonly heightCm: number }, { readonly rounds: number }>
  readonly colour: string
  readonly stripes?: readonly Stripe[]
}
