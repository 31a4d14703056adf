import { between, figure, optional } from '../field/questions'
import { WEIGHT_KG } from '../field/bounds'
import type { Fields } from '../field/field'
import type { ValuesOf } from '../field/spec'
import type { Footprint } from '../part/floor'

/** The room that contents take up, standing. */
export interface Room extends Footprint {
  readonly heightCm: number
  readonly round: boolean
  /** For balls: how many lie in a layer, and how many layers there are. */
  readonly layers?: { readonly each: number, readonly count: number }
}

/** Fields of all contents: what they weigh, all of them together. */
const COMMON = {
  weightKg: optional(
    figure('Weighs', WEIGHT_KG, 'kg', { beside: true, usually: between(0.1, 12), says: 'What all of it weighs, if the maker says.' }),
  ),
} as const

/** The spec of contents, from their kind's fields. */
type ContentSpec<K extends string, F> = ValuesOf<F & typeof COMMON> & { readonly kind: K }

/** A kind of thing that a bag must hold: everything that the program knows of it. */
export interface ContentKind<K extends string = string, F extends Fields = Fields, S = ContentSpec<K, F>> {
  readonly kind: K
  readonly name: string
  readonly fields: F
  /** Values that a maker begins with who names it. */
  readonly begins: S
  /** The room that it takes up. */
  room(contents: S): Room
  /**
   * How large a ball would be that is as hard to push through a hole; nothing of what falls through none.
   */
  leastThroughCm?(contents: S): number
  /** Its name where it falls out: `a ball`. */
  called(contents: S): string
  /** Litres that it takes poured into a net; of what is poured. */
  pouredLitres?(contents: S): number
  /** It gives way, and does not hold a net open. */
  readonly soft?: true
  /** The base that it stands on, as wide as it is long or not, and why. */
  standsOn(contents: S, square: boolean): { readonly form: string, readonly why: string }
  /** How it is drawn standing in the bag. */
  readonly drawn: 'balls' | 'bottle' | 'block' | 'bundle'
}

/** Declares a kind of contents. */
export function content<const K extends string, const F extends Fields>(
  declared: ContentKind<K, F>,
): ContentKind<K, F & typeof COMMON, ContentSpec<K, F>> {
  return { ...declared, fields: { ...declared.fields, ...COMMON } }
}

/** The spec of a kind's contents. */
export type ContentsOf<C> = C extends ContentKind<infer _K, infer _F, infer S> ? S : never

export const ON_CORNERS = { form: 'rectangle', why: 'A box stands on a floor with corners.' }
export const ON_A_DISC = { form: 'circle', why: 'Round things stand on a round floor.' }
