import { stitch, yarn } from '../field/questions'
import { DIAMETER_CM } from '../field/bounds'
import type { Fields } from '../field/field'
import { tenths } from '../field/context'
import type { ValuesOf } from '../field/spec'
import type { Gauge } from '../../things/gauge/gauge'
import type { Evidence } from '../../things/gauge/refine'
import { IN_ROUNDS } from '../kind/inRounds'
import { CALLED, OWN_HOOK } from '../kind/kind'
import type { PartResult, Setting } from '../part/part'
import type { BaseChoice } from './baseChoice'

/** Stitches a base is worked in. */
export const BASE_STITCHES = ['sc', 'hdc', 'dc'] as const
export type BaseStitch = (typeof BASE_STITCHES)[number]

/** Fields of every base besides those of its own form. */
const COMMON = { stitch: stitch(BASE_STITCHES), colour: yarn(), ...IN_ROUNDS, hook: OWN_HOOK, called: CALLED } as const

/** The spec of a base, from its form's fields. */
export type FormSpec<F extends string, Fs> = ValuesOf<Fs & typeof COMMON> & { readonly form: F }

/** Answers that a new base keeps of the one before it. */
export interface Like {
  readonly stitch: BaseStitch
  readonly colour: string
  readonly lengthCm: number
  readonly widthCm: number
  readonly heightCm: number
}

/** A new base's sizes by those of the one before: as long and as wide as it was, or, for one that is to be long, long enough. */
export function sizesLike({ lengthCm, widthCm }: Like): { readonly lengthCm: number, readonly widthCm: number, readonly longerCm: number } {
  const long = tenths(lengthCm, DIAMETER_CM)
  const wide = tenths(widthCm > 0 ? widthCm : lengthCm / 3, DIAMETER_CM)
  return { lengthCm: long, widthCm: wide, longerCm: wide < 0.9 * long ? long : tenths(1.6 * long, DIAMETER_CM) }
}

/** The maker's measures of a finished base. */
export interface TapeMeasurement {
  /** Its length; its diameter if it is round, its flat width if it has no floor. */
  readonly lengthCm: number
  /** Its width, where it has one of its own. */
  readonly widthCm?: number
}

/** The counts that a base pins. */
type PinnedCounts<S> = S extends { readonly size: infer Z }
  ? Extract<Z, { readonly pin: unknown }> extends { readonly pin: infer P }
    ? P
    : never
  : never

/** A form of base: everything that the program knows of it. */
export interface BaseKind<F extends string = string, Fs extends Fields = Fields, S = FormSpec<F, Fs>> {
  readonly form: F
  readonly name: string
  readonly does: string
  readonly fields: Fs
  /** How a new one begins by the one before it; what is left out begins as its field says. */
  begins(like: Like): Partial<S>
  work(spec: S, setting: Setting): PartResult
  /** Of a form with a disc, or the two halves of one: its increases a round, and the same base with others. */
  increases?(spec: S, gauge: Gauge): number
  withIncreases?(spec: S, increases: number): S
  /** Whole numbers of increases that come nearest to so many. */
  nearestIncreases?(increases: number): number
  /** It is of two floors, the upper of which hides the other from above. */
  readonly floors?: 2
  /** It grows at two ends alone, each with half of the increases. */
  readonly ends?: 2
  /** Sides of a finished one that can be measured; none of one that was bought. */
  readonly measures?: 'length' | 'length-and-width'
  /** Evidence of a finished one's measures about its stitches, its counts being pinned. */
  evidence?(spec: S, counts: PinnedCounts<S>, measured: TapeMeasurement, setting: Setting): Evidence | undefined
  /** Every one whose sizes lie within a tolerance of what is wanted, or of what it is if its counts are pinned. */
  choices(spec: S, setting: Setting, toleranceCm: number): BaseChoice[]
  /** It says of its own how tall the bag is. */
  readonly tall?: true
}

/** Declares a form of base, with what every base says besides. */
export function form<const F extends string, const Fs extends Fields>(
  declared: BaseKind<F, Fs>,
): BaseKind<F, Fs & typeof COMMON, FormSpec<F, Fs>> {
  // The stitch decides what a size comes to: it is asked right after it.
  const { size, ...rest } = declared.fields
  return { ...declared, fields: { ...(size ? { size } : {}), stitch: COMMON.stitch, ...rest, colour: COMMON.colour,
    ...IN_ROUNDS, hook: OWN_HOOK, called: CALLED } } as never
}

/** The spec of a form's bases. */
export type FormSpecOf<K> = K extends BaseKind<infer _F, infer _Fs, infer S> ? S : never
