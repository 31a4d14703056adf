import type { Picture } from './picture'

/** A way that a stitch is entered or joined: what it is called, how it goes in two sentences, and how that looks. */
export interface Card<Id extends string = string> {
  readonly id: Id
  readonly name: string
  /** Two sentences; stitches are named in curly brackets. */
  readonly says: string
  readonly picture: Picture
}

/** Declares a card. */
export function card<const Id extends string>(declared: Card<Id>): Card<Id> {
  return declared
}
