/** How much a finding weighs: something to know, to keep an eye on, to take care over, or that halts the draft. */
export const WEIGHTS = ['note', 'watch', 'caution', 'stop'] as const
export type Weight = (typeof WEIGHTS)[number]

/**
 * A value put in one place of a document; `undefined` takes the place away. In a list, a word is the id of one of its things. In a
 * part's own findings the path starts at the part's spec.
 */
export interface Change {
  readonly path: readonly (string | number)[]
  readonly value: unknown
}

/** A change of the design that mends a finding when the maker says so. */
export interface Fix {
  readonly label: string
  readonly changes: readonly Change[]
}

/** Something a part noticed: what it is, how much it matters, and what would mend it. */
export interface Finding {
  readonly code: string
  readonly weight: Weight
  /** Which part it is about, by its id; the draft fills it in. */
  readonly part?: string
  /** Number of the round it is about, counted from the bag's first. */
  readonly round?: number
  readonly what: string
  readonly fix?: Fix
  /** Other ways to mend it, where makers would choose. */
  readonly otherFixes?: readonly Fix[]
}
