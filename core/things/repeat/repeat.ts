/**
 * A stitch pattern of the maker's own, as the document keeps it: a line a round, in US abbreviations whatever vocabulary it
 * was typed in. The lines are worked one after the other and then over again; those that begin with `once:` only the first time.
 */
export interface Repeat {
  /** How bands refer to it. */
  readonly id: string
  readonly name: string
  readonly lines: readonly string[]
}

/** Trouble with a line: which one, from which character for how many, and what to change. */
export interface LineTrouble {
  readonly line: number
  readonly at: number
  readonly length: number
  readonly what: string
}

const ONCE = /^\s*once\s*:\s*/i

/** Whether a line is for the first time only, and where its steps begin. */
export function openingOf(line: string): { readonly once: boolean, readonly from: number } {
  const found = ONCE.exec(line)
  return { once: found !== null, from: found?.[0].length ?? 0 }
}
