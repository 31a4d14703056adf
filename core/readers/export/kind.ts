import type { Draft } from '../../bag/draft/draft'
import type { Terms } from '../../things/stitch/dictionary'
import type { RepeatStyle } from '../words/openingWords'
import type { TaughtGrams } from '../../bag/yarn/grams'

/** A form that a draft leaves the program in: everything that the program knows of it. */
export interface ExportKind<A extends string = string> {
  /** The word that asks for it. */
  readonly as: A
  readonly name: string
  /** Its media type. */
  readonly type: string
  readonly extension: string
  readonly write: (draft: Draft, terms: Terms, repeats: RepeatStyle, taught?: TaughtGrams) => string
}

/** Declares a form of export. */
export function exported<const A extends string>(declared: ExportKind<A>): ExportKind<A> {
  return declared
}
